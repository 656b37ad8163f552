package org.swaplane.reviewcopy.opendocument;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Map;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.format.ElementText;
import org.swaplane.format.SafeXml;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.CopyIdentity;
import org.swaplane.reviewcopy.PackageKind;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedFormat;
import org.swaplane.reviewcopy.ReturnedTable;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/** Copies that a person's program saved as OpenDocument text or spreadsheet (ISO/IEC 26300). */
public final class OpenDocumentFormat implements ReturnedFormat {
    private static final String CONTENT = "content.xml";
    private static final String META = "meta.xml";
    private static final String STYLES = "styles.xml";

    @Override
    public boolean recognises(Source source) throws IOException {
        return PackageKind.mayBe(source, "opendocument");
    }

    @Override
    public ReturnedCopy read(Source source) throws IOException {
        Map<String, byte[]> parts = SafeZip.read(source, Set.of(CONTENT, META, STYLES));
        if (!parts.containsKey(CONTENT)) {
            throw new CannotProceedException(source.name(), "problem.no-odt");
        }
        try {
            ReturnedTable table = new ReturnedTable();
            if (parts.containsKey(META)) {
                readMeta(parts.get(META), table);
            }
            new OpenDocumentReader(table).read(parts.get(STYLES), parts.get(CONTENT));
            return table.copyOf(source.name());
        } catch (XMLStreamException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(source.name(), 0, 0),
                    Phrase.of("problem.document-broken", Reason.of(e)),
                    e);
        }
    }

    private static void readMeta(byte[] part, ReturnedTable table) throws XMLStreamException {
        XMLStreamReader xml = SafeXml.factory().createXMLStreamReader(new ByteArrayInputStream(part));
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("user-defined")
                    && OpenDocumentReader.attribute(xml, "name").equals(CopyIdentity.PROPERTY)) {
                table.identity(ElementText.read(xml));
            }
        }
    }
}
