package org.swaplane.reviewcopy.docx;

import java.io.InputStream;
import java.util.HashMap;
import java.util.Map;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.format.ElementText;
import org.swaplane.format.SafeXml;
import org.swaplane.reviewcopy.Remark;

/** The comments part of a word processor document, by comment id. */
final class DocxComments {
    private DocxComments() {}

    static Map<String, Remark> read(InputStream in) throws XMLStreamException {
        Map<String, Remark> comments = new HashMap<>();
        XMLStreamReader xml = SafeXml.factory().createXMLStreamReader(in);
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("comment")) {
                String id = Docx.attribute(xml, "id");
                comments.put(id, readOne(xml));
            }
        }
        return comments;
    }

    private static Remark readOne(XMLStreamReader xml) throws XMLStreamException {
        String author = Docx.attribute(xml, "author");
        String date = Docx.attribute(xml, "date");
        StringBuilder text = new StringBuilder();
        while (xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals("t")) {
                text.append(ElementText.read(xml));
            } else if (event == XMLStreamConstants.END_ELEMENT
                    && xml.getLocalName().equals("p")) {
                text.append('\n');
            } else if (event == XMLStreamConstants.END_ELEMENT
                    && xml.getLocalName().equals("comment")) {
                break;
            }
        }
        return new Remark(author, date, text.toString().strip());
    }
}
