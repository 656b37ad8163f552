package org.swaplane.format.table;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;

/**
 * Source and target side by side on the sheets of a workbook, in tag notation. The first row of a sheet names the columns as in
 * {@link DelimitedText}; other sheets are left out. Only read: a workbook that shall come back goes out as a review copy.
 */
public final class WorkbookPairs {
    private WorkbookPairs() {}

    /**
     * Reads the pairs of all sheets that have some.
     *
     * @throws CannotProceedException when the workbook is broken, or no sheet names a source and a target
     */
    public static BilingualDocument read(Source source) throws IOException {
        List<Part> parts = new ArrayList<>();
        List<Segment> segments = new ArrayList<>();
        for (WorkbookRows sheet : WorkbookRows.read(source)) {
            PairColumns columns = sheet.rows().isEmpty()
                    ? PairColumns.UNNAMED
                    : PairColumns.of(sheet.rows().get(0).cells());
            if (columns.named()) {
                parts.add(new Part(sheet.name(), columns.sourceLanguage(), columns.targetLanguage(), List.of()));
                add(sheet, columns, parts.size() - 1, segments);
            }
        }
        if (parts.isEmpty()) {
            throw new CannotProceedException(
                    source.name(),
                    "no sheet names a source and a target in its first row",
                    "write the codes of the two languages above their columns, such as en and de");
        }
        return new BilingualDocument("xlsx", "UTF-8", parts, segments, List.of(), List.of());
    }

    private static void add(WorkbookRows sheet, PairColumns columns, int part, List<Segment> segments) {
        for (WorkbookRows.Line row : sheet.rows().subList(1, sheet.rows().size())) {
            String source = row.cell(columns.source());
            if (!source.isBlank()) {
                String key = sheet.name() + '/' + row.number();
                segments.add(PairSegment.of(key, part, source, row.cell(columns.target()), row.cell(columns.note())));
            }
        }
    }
}
