package org.swaplane.reviewcopy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.ElementText;

/** The text of one table cell as it reads when all tracked changes are accepted; paragraphs and breaks are line ends. */
final class DocxCell {
    private final Map<String, Remark> comments;
    private final StringBuilder text = new StringBuilder();
    private final List<Remark> remarks = new ArrayList<>();
    private Revision revision;
    private boolean joinsNext;

    /** Reads from the start tag of the cell to its end tag. */
    DocxCell(XMLStreamReader2 xml, Map<String, Remark> comments) throws XMLStreamException {
        this.comments = comments;
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                depth += startElement(xml) ? 1 : 0;
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
                if (xml.getLocalName().equals("p") && !joinsNext) {
                    text.append('\n');
                }
            }
        }
        if (!text.isEmpty() && text.charAt(text.length() - 1) == '\n') {
            text.setLength(text.length() - 1);
        }
    }

    String text() {
        return text.toString();
    }

    List<Remark> remarks() {
        return remarks;
    }

    Optional<Revision> revision() {
        return Optional.ofNullable(revision);
    }

    /** Whether the element is still open afterwards. */
    private boolean startElement(XMLStreamReader2 xml) throws XMLStreamException {
        switch (xml.getLocalName()) {
            case "t" -> {
                text.append(ElementText.read(xml));
                return false;
            }
            case "ins", "moveTo" -> {
                revised(xml);
                return true;
            }
            case "del", "moveFrom" -> {
                revised(xml);
                xml.skipElement();
                return false;
            }
            case "pPr" -> {
                readParagraphProperties(xml);
                return false;
            }
            case "commentReference" -> {
                Remark remark = comments.get(Docx.attribute(xml, "id"));
                if (remark != null) {
                    remarks.add(remark);
                }
                return true;
            }
            case "rPr", "tcPr", "sdtPr", "instrText", "delInstrText", "Fallback", "txbxContent" -> {
                xml.skipElement();
                return false;
            }
            default -> {
                text.append(symbol(xml.getLocalName()));
                return true;
            }
        }
    }

    private static String symbol(String name) {
        return switch (name) {
            case "tab" -> "\t";
            case "br", "cr" -> "\n";
            case "noBreakHyphen" -> "\u2011";
            case "softHyphen" -> "\u00AD";
            default -> "";
        };
    }

    private void revised(XMLStreamReader2 xml) {
        revision = new Revision(Docx.attribute(xml, "author"), Docx.attribute(xml, "date"));
    }

    /** A paragraph mark that is deleted joins the paragraph with the next one. */
    private void readParagraphProperties(XMLStreamReader2 xml) throws XMLStreamException {
        joinsNext = false;
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                depth++;
                joinsNext |= xml.getLocalName().equals("del");
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            }
        }
    }
}
