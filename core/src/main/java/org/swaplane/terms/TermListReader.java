package org.swaplane.terms;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import javax.xml.stream.XMLStreamException;
import org.swaplane.format.EncodedText;
import org.swaplane.format.Head;
import org.swaplane.format.SafeXml;
import org.swaplane.format.Source;
import org.swaplane.format.table.WorkbookRows;
import org.swaplane.task.CannotProceedException;

/** Reads term lists as they are: TBX, delimited text, and workbooks, told apart by content. */
public final class TermListReader {
    private TermListReader() {}

    /**
     * Reads a list.
     *
     * @throws CannotProceedException when it is none, or holds no term
     */
    public static TermList read(Source source) throws IOException {
        Head head = Head.of(source);
        TermList list;
        if (head.isZip()) {
            list = new TermList(
                    source.name(),
                    TermTable.entries(WorkbookRows.read(source).stream()
                            .limit(1)
                            .flatMap(sheet -> sheet.rows().stream())
                            .map(WorkbookRows.Line::cells)
                            .toList()));
        } else if (head.text().stripLeading().startsWith("<")) {
            try (InputStream in = source.open()) {
                list = new TermList(source.name(), Tbx.read(in));
            } catch (XMLStreamException e) {
                throw SafeXml.notWellFormed(source.name(), e);
            }
        } else {
            String text =
                    EncodedText.guessed(source, Charset.forName("windows-1252")).readAll();
            list = new TermList(source.name(), TermTable.entries(TermTable.rows(source.name(), text)));
        }
        if (list.entries().isEmpty()) {
            throw new CannotProceedException(
                    source.name(),
                    "there is no term in it",
                    "give a TBX file, or a table whose first row names its languages, such as en and de");
        }
        return list;
    }
}
