package org.swaplane.format.office;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.format.SafeXml;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;

/** What the parts of a package are: by their names where those are the usual ones, else by what the package says of them. */
final class ContentTypes {
    private static final String PART = "[Content_Types].xml";

    private final Map<String, String> types = new HashMap<>();

    /** Reads what the package says; a package that says nothing of use has the usual names only. */
    static ContentTypes of(Source source) throws IOException {
        ContentTypes types = new ContentTypes();
        byte[] part = SafeZip.read(source, Set.of(PART)).get(PART);
        if (part != null) {
            try {
                types.read(SafeXml.factory().createXMLStreamReader(new ByteArrayInputStream(part)));
            } catch (XMLStreamException e) {
                types.types.clear();
            }
        }
        return types;
    }

    private void read(XMLStreamReader xml) throws XMLStreamException {
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("Override")) {
                String name = String.valueOf(xml.getAttributeValue(null, "PartName"));
                types.put(name.startsWith("/") ? name.substring(1) : name, xml.getAttributeValue(null, "ContentType"));
            }
        }
    }

    Optional<PartKind> kind(String entry) {
        return PartKind.of(entry).or(() -> Optional.ofNullable(types.get(entry)).flatMap(PartKind::ofType));
    }
}
