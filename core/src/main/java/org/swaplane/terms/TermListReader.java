package org.swaplane.terms;

import java.io.IOException;
import java.io.InputStream;
import java.util.Set;
import java.util.regex.Pattern;
import javax.xml.stream.XMLStreamException;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Head;
import org.swaplane.format.SafeXml;
import org.swaplane.format.Source;
import org.swaplane.format.table.WorkbookRows;
import org.swaplane.task.CannotProceedException;

/** Reads term lists as they are: TBX, delimited text, and workbooks, told apart by content. */
public final class TermListReader {
    /** The root of both dialects (ISO 30042). */
    private static final Pattern TBX = Pattern.compile("^[^<]*(?:<[?!][^>]*>[^<]*)*<(?:martif|tbx)[\\s/>]");

    private TermListReader() {}

    /** Whether a file says itself that it is a list of terms: it is TBX, or the first row of a table has columns that only such a list has. */
    public static boolean recognises(Source source) throws IOException {
        Head head = Head.of(source);
        if (head.isZip()) {
            return head.extension().equals("xlsx") && isNamed(source);
        }
        if (TBX.matcher(head.text()).find()) {
            return true;
        }
        return Set.of("csv", "tsv").contains(head.extension()) && TermTable.isNamedBy(TermTable.firstRow(head.text()));
    }

    private static boolean isNamed(Source workbook) throws IOException {
        try {
            return WorkbookRows.firstRows(workbook).stream().limit(1).anyMatch(TermTable::isNamedBy);
        } catch (CannotProceedException e) {
            return false; // whoever reads it for another purpose says what is broken
        }
    }

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
            String text = EncodedText.guessed(source, FileOptions.NONE).readAll();
            list = new TermList(source.name(), TermTable.entries(TermTable.rows(source.name(), text)));
        }
        if (list.entries().isEmpty()) {
            throw new CannotProceedException(source.name(), "problem.no-terms");
        }
        return list;
    }
}
