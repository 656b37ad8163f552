package org.swaplane.reviewcopy;

import java.io.InputStream;
import java.util.Optional;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.format.ElementText;
import org.swaplane.format.SafeXml;
import org.swaplane.format.XmlContent;

/** The custom properties of a document (ECMA-376, part 1, section 22.3). */
public final class CustomProperties {
    private CustomProperties() {}

    /** The text of the property with this name. */
    public static Optional<String> read(InputStream in, String name) throws XMLStreamException {
        XMLStreamReader xml = SafeXml.factory().createXMLStreamReader(in);
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("property")
                    && name.equals(xml.getAttributeValue(null, "name"))) {
                xml.nextTag();
                return Optional.of(ElementText.read(xml));
            }
        }
        return Optional.empty();
    }

    /** The part with one property. */
    public static String written(String name, String value) {
        return "<?xml version=\"1.0\" encoding=\"UTF-8\" standalone=\"yes\"?>\n"
                + "<Properties xmlns=\"http://schemas.openxmlformats.org/officeDocument/2006/custom-properties\""
                + " xmlns:vt=\"http://schemas.openxmlformats.org/officeDocument/2006/docPropsVTypes\">"
                + "<property fmtid=\"{D5CDD505-2E9C-101B-9397-08002B2CF9AE}\" pid=\"2\" name=\"" + name
                + "\"><vt:lpwstr>" + XmlContent.attribute(value) + "</vt:lpwstr></property></Properties>";
    }
}
