package org.swaplane.format.delimited;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.State;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Splice;
import org.swaplane.format.SplicedCopy;
import org.swaplane.format.StatelessFile;
import org.swaplane.format.table.PairColumns;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/** A table of source and target side by side, in tag notation; only the cells of targets change. */
final class PairsFile implements StatelessFile {
    private final EncodedText text;
    private final char separator;
    private final BilingualDocument document;
    private final List<Cells.Cell> targets;

    private PairsFile(EncodedText text, char separator, BilingualDocument document, List<Cells.Cell> targets) {
        this.text = text;
        this.separator = separator;
        this.document = document;
        this.targets = List.copyOf(targets);
    }

    /** Reads the rows below the first one, which names the columns. */
    static PairsFile read(EncodedText text, Cells cells, char separator, PairColumns columns, FileOptions options) {
        List<Segment> segments = new ArrayList<>();
        List<Cells.Cell> targets = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        for (int row = 2; cells.hasRow(); row++) {
            List<Cells.Cell> cellsOfRow = cells.row();
            if (cellsOfRow.size() <= Math.max(columns.source(), columns.target())) {
                if (cellsOfRow.size() > 1 || !cellsOfRow.get(0).value().isBlank()) {
                    problems.add(new Problem(row, 1, Phrase.of("file.no-target-column")));
                }
                continue;
            }
            Cells.Cell target = cellsOfRow.get(columns.target());
            segments.add(segment(String.valueOf(row), cellsOfRow, columns));
            targets.add(target);
        }
        String source = options.sourceLanguage().isEmpty() ? columns.sourceLanguage() : options.sourceLanguage();
        String other = options.targetLanguage().isEmpty() ? columns.targetLanguage() : options.targetLanguage();
        Part part = new Part(text.source().name(), source, other, List.of());
        BilingualDocument document = new BilingualDocument(
                "delimited-text", text.encoding().label(), List.of(part), segments, problems, List.of());
        return new PairsFile(text, separator, document, targets);
    }

    private static Segment segment(String key, List<Cells.Cell> row, PairColumns columns) {
        Content source = TagNotation.readSource(row.get(columns.source()).value());
        Content target =
                TagNotation.read(row.get(columns.target()).value(), source).content();
        boolean noted = columns.note() >= 0
                && columns.note() < row.size()
                && !row.get(columns.note()).value().isBlank();
        List<Note> notes = noted ? List.of(new Note(row.get(columns.note()).value(), "")) : List.of();
        State state = target.isEmpty() ? State.INITIAL : State.TRANSLATED;
        return new Segment(key, 0, key, source, target, state, "", Lock.NONE, SegmentMetadata.ofNotes(notes));
    }

    @Override
    public BilingualDocument document() {
        return document;
    }

    @Override
    public void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException {
        List<Splice> splices = new ArrayList<>();
        for (SegmentEdit edit : edits) {
            Segment segment = document.segments().get(edit.segment());
            if (!edit.target().equals(segment.target())) {
                Cells.Cell cell = targets.get(edit.segment());
                String value = TagNotation.write(edit.target(), segment.source());
                String written = new CellSyntax(cell.quoted(), separator).written(Content.of(value));
                splices.add(new Splice(cell.start(), cell.end(), segment.key(), raw -> written));
            }
        }
        SplicedCopy.write(text, splices, CharacterEscapes.NONE, out, progress);
    }
}
