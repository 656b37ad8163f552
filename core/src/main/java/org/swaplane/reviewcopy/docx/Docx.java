package org.swaplane.reviewcopy.docx;

import javax.xml.stream.XMLStreamReader;

/** What reading and writing word processor documents share. */
final class Docx {
    static final String W = "http://schemas.openxmlformats.org/wordprocessingml/2006/main";

    private Docx() {}

    /** An attribute by its local name: documents of the strict kind use another namespace. */
    static String attribute(XMLStreamReader xml, String localName) {
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            if (xml.getAttributeLocalName(i).equals(localName)) {
                return xml.getAttributeValue(i);
            }
        }
        return "";
    }
}
