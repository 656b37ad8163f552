package org.swaplane.reviewcopy.docx;

import java.io.InputStream;
import java.util.Optional;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.format.ElementText;
import org.swaplane.format.SafeXml;

/** The texts as they were sent, in a custom part of the document (ECMA-376, part 1, section 22.5), which word processors keep as it is. */
final class DocxTexts {
    static final String PART = "customXml/item1.xml";
    private static final String NAMESPACE = "urn:swaplane:copy";

    private DocxTexts() {}

    static String written(String packed) {
        return "<?xml version=\"1.0\" encoding=\"UTF-8\" standalone=\"yes\"?>\n<texts xmlns=\"" + NAMESPACE + "\">"
                + packed + "</texts>";
    }

    /** Those of a part, if it is ours. */
    static Optional<String> read(InputStream part) throws XMLStreamException {
        XMLStreamReader xml = SafeXml.factory().createXMLStreamReader(part);
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT) {
                return NAMESPACE.equals(xml.getNamespaceURI()) ? Optional.of(ElementText.read(xml)) : Optional.empty();
            }
        }
        return Optional.empty();
    }
}
