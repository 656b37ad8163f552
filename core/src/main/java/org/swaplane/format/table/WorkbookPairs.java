package org.swaplane.format.table;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.PackageCopy;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.format.StatelessFile;
import org.swaplane.task.Progress;

/**
 * Source and target side by side on the sheets of a workbook, in tag notation. The first row of a sheet names the columns as in
 * {@link DelimitedText}; other sheets are left out. Only the cells of targets change.
 */
public final class WorkbookPairs implements StatelessFile {
    private final Source source;
    private final BilingualDocument document;
    private final List<Cell> targets;

    /** Where the target of a segment stands; {@code row} counts from 1, {@code column} from 0. */
    private record Cell(String part, int row, int column) {}

    private WorkbookPairs(Source source, BilingualDocument document, List<Cell> targets) {
        this.source = source;
        this.document = document;
        this.targets = List.copyOf(targets);
    }

    /**
     * Reads the pairs of all sheets that have some; empty where no sheet names a source and a target.
     *
     * @throws org.swaplane.task.CannotProceedException when the workbook is broken
     */
    public static Optional<WorkbookPairs> read(Source source, FileOptions options) throws IOException {
        List<Part> parts = new ArrayList<>();
        List<Segment> segments = new ArrayList<>();
        List<Cell> targets = new ArrayList<>();
        for (WorkbookRows sheet :
                WorkbookRows.read(source, first -> columns(first).named())) {
            PairColumns columns = sheet.rows().isEmpty()
                    ? PairColumns.UNNAMED
                    : columns(sheet.rows().get(0));
            if (!columns.named()) {
                continue;
            }
            parts.add(new Part(
                    sheet.name(),
                    options.sourceLanguage().isEmpty() ? columns.sourceLanguage() : options.sourceLanguage(),
                    options.targetLanguage().isEmpty() ? columns.targetLanguage() : options.targetLanguage(),
                    List.of()));
            for (WorkbookRows.Line row : sheet.rows().subList(1, sheet.rows().size())) {
                String text = row.cell(columns.source());
                if (!text.isBlank()) {
                    Segment segment = PairSegment.of(
                            sheet.name() + '/' + row.number(),
                            parts.size() - 1,
                            text,
                            row.cell(columns.target()),
                            row.cell(columns.note()));
                    // A formula makes its text itself, so nobody can put another in its place.
                    segments.add(row.formulas().contains(columns.target()) ? segment.with(Lock.STRUCTURE) : segment);
                    targets.add(new Cell(sheet.part(), row.number(), columns.target()));
                }
            }
        }
        BilingualDocument document = new BilingualDocument("xlsx", "UTF-8", parts, segments, List.of(), List.of());
        return parts.isEmpty() ? Optional.empty() : Optional.of(new WorkbookPairs(source, document, targets));
    }

    private static PairColumns columns(WorkbookRows.Line first) {
        return PairColumns.of(first.cells());
    }

    @Override
    public BilingualDocument document() {
        return document;
    }

    @Override
    public void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException {
        Map<String, SheetCells> sheets = new HashMap<>();
        for (SegmentEdit edit : edits) {
            Segment segment = document.segments().get(edit.segment());
            if (!edit.target().equals(segment.target())) {
                Cell cell = targets.get(edit.segment());
                sheets.computeIfAbsent(cell.part(), none -> new SheetCells())
                        .set(cell.row(), cell.column(), TagNotation.write(edit.target(), segment.source()));
            }
        }
        try (InputStream original = source.open()) {
            if (sheets.isEmpty()) {
                original.transferTo(out);
                return;
            }
            PackageCopy.write(
                    original.readAllBytes(),
                    (zip, entry) -> {
                        SheetCells cells = sheets.get(entry.getName());
                        if (cells == null) {
                            return Optional.empty();
                        }
                        byte[] bytes = zip.getInputStream(entry).readAllBytes();
                        return Optional.of(
                                cells.written(EncodedText.of(Source.of(source.name() + '!' + entry.getName(), bytes))));
                    },
                    out,
                    progress);
        }
    }
}
