package org.swaplane.reviewcopy.docx;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.ElementText;
import org.swaplane.reviewcopy.Remark;

/** A paragraph outside the table: its text, its style, and the comments on it. */
final class DocxParagraph {
    private final StringBuilder text = new StringBuilder();
    private final List<Remark> remarks = new ArrayList<>();
    private String style = "";

    /** Reads from the start tag of the paragraph to its end tag. */
    DocxParagraph(XMLStreamReader2 xml, Map<String, Remark> comments) throws XMLStreamException {
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "t" -> text.append(ElementText.read(xml));
                    case "del", "moveFrom", "instrText", "Fallback", "txbxContent" -> xml.skipElement();
                    default -> {
                        depth++;
                        if (xml.getLocalName().equals("pStyle")) {
                            style = Docx.attribute(xml, "val");
                        } else if (xml.getLocalName().equals("commentReference")) {
                            Remark remark = comments.get(Docx.attribute(xml, "id"));
                            if (remark != null) {
                                remarks.add(remark);
                            }
                        }
                    }
                }
            }
        }
    }

    String text() {
        return text.toString();
    }

    String style() {
        return style;
    }

    List<Remark> remarks() {
        return remarks;
    }
}
