package org.swaplane.reviewcopy.xlsx;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Map;
import javax.xml.stream.XMLStreamException;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.CopyIdentity;
import org.swaplane.reviewcopy.CustomProperties;
import org.swaplane.reviewcopy.PackageKind;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedTable;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewCopyFormat;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/** Review copies as spreadsheets (ECMA-376, SpreadsheetML). */
public final class XlsxFormat implements ReviewCopyFormat {
    private static final String WORKBOOK = "xl/workbook.xml";
    private static final String PROPERTIES = "docProps/custom.xml";

    @Override
    public String extension() {
        return "xlsx";
    }

    @Override
    public int mostRows() {
        return 200_000;
    }

    @Override
    public boolean recognises(Source source) throws IOException {
        return PackageKind.mayBe(source, "spreadsheetml");
    }

    @Override
    public void write(ReviewCopy copy, OutputStream out) throws IOException {
        try {
            new XlsxWriter(copy).write(out);
        } catch (XMLStreamException e) {
            throw new IOException(e);
        }
    }

    @Override
    public ReturnedCopy read(Source source) throws IOException {
        Map<String, byte[]> parts = SafeZip.read(
                source, name -> name.startsWith("xl/") && !name.startsWith("xl/media/") || name.equals(PROPERTIES));
        if (!parts.containsKey(WORKBOOK)) {
            throw new CannotProceedException(source.name(), "problem.no-xlsx");
        }
        try {
            ReturnedTable table = new ReturnedTable();
            if (parts.containsKey(PROPERTIES)) {
                CustomProperties.read(new ByteArrayInputStream(parts.get(PROPERTIES)), CopyIdentity.PROPERTY)
                        .ifPresent(table::identity);
            }
            new XlsxReader(parts, table).read();
            return table.copyOf(source.name());
        } catch (XMLStreamException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(source.name(), 0, 0),
                    Phrase.of("problem.document-broken", Reason.of(e)),
                    e);
        }
    }
}
