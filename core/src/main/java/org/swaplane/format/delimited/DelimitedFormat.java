package org.swaplane.format.delimited;

import java.io.IOException;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.swaplane.document.Note;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.Selection;
import org.swaplane.format.Source;
import org.swaplane.format.TextDocument;
import org.swaplane.format.table.PairColumns;
import org.swaplane.placeholder.PlaceholderTags;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/** A table in one language; the first row may name the columns. If it names a source and a target, the table is bilingual. */
public final class DelimitedFormat implements BilingualFormat {
    private static final Set<String> EXTENSIONS = Set.of("csv", "tsv");
    private static final int LONGEST_NAME = 40;

    @Override
    public String id() {
        return "delimited-text";
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(
                id(),
                FormatTraits.of(FormatTraits.Markup.TABLE)
                        .withoutEscapes()
                        .selectable()
                        .withPlaceholders());
    }

    @Override
    public boolean recognises(Head head) {
        return EXTENSIONS.contains(head.extension());
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        EncodedText text = EncodedText.guessed(source, options);
        TextDocument.Builder document = new TextDocument.Builder(text, options);
        String all = text.readAll();
        char separator = separator(all.lines().findFirst().orElse(""));
        Cells cells = new Cells(all, separator);
        Selection selection = options.document().selection();
        PlaceholderTags placeholders = options.placeholderTags();
        List<String> names = List.of();
        for (int row = 1; cells.hasRow(); row++) {
            progress.checkCancelled();
            List<Cells.Cell> cellsOfRow = cells.row();
            List<String> values = cellsOfRow.stream().map(Cells.Cell::value).toList();
            PairColumns pairs = row == 1 ? PairColumns.of(values) : PairColumns.UNNAMED;
            if (pairs.named()) {
                return PairsFile.read(text, cells, separator, pairs, options);
            }
            if (row == 1 && areNames(values)) {
                names = values;
                PairColumns.doubtful(values)
                        .ifPresent(column -> document.problem(1, 1, Phrase.of("format.pairs-unsure", column)));
            } else {
                addRow(document, row, cellsOfRow, names, selection, placeholders, separator);
            }
        }
        return document.build(id(), CharacterEscapes.NONE);
    }

    private static void addRow(
            TextDocument.Builder document,
            int row,
            List<Cells.Cell> cells,
            List<String> names,
            Selection selection,
            PlaceholderTags placeholders,
            char separator) {
        for (int i = 0; i < cells.size(); i++) {
            Cells.Cell cell = cells.get(i);
            String letter = letters(i);
            String name = i < names.size() ? names.get(i).strip() : letter;
            // A column is known by both, and a pattern for one of them must not take in all others by the other name.
            boolean named = selection.includes('/' + name + '/' + row);
            boolean lettered = selection.includes('/' + letter + '/' + row);
            boolean adds = selection.patterns().stream().anyMatch(each -> !each.startsWith("-"));
            if (adds ? named || lettered : named && lettered) {
                Note column = new Note(name, "", Note.Kind.CONTEXT, 0);
                document.add(
                        letter + row,
                        cell.start(),
                        cell.end(),
                        placeholders.tagged(cell.value()),
                        new CellSyntax(cell.quoted(), separator),
                        SegmentMetadata.ofNotes(List.of(column)));
            }
        }
    }

    /** The one of tab, semicolon and comma that the first line has most of. */
    private static char separator(String line) {
        char best = ',';
        for (char candidate : new char[] {'\t', ';'}) {
            if (count(line, candidate) > count(line, best)) {
                best = candidate;
            }
        }
        return best;
    }

    private static long count(String line, char sought) {
        return line.chars().filter(c -> c == sought).count();
    }

    /** Whether a first row names the columns: something short, with a letter, and different in each. */
    private static boolean areNames(List<String> values) {
        return values.size() > 1
                && new HashSet<>(values).size() == values.size()
                && values.stream()
                        .allMatch(each -> each.length() <= LONGEST_NAME
                                && each.codePoints().anyMatch(Character::isLetter)
                                && !each.strip().matches(".*[.!?。！？]"));
    }

    /** A to Z, AA and so on, as spreadsheets name columns. */
    private static String letters(int column) {
        String last = String.valueOf((char) ('A' + column % 26));
        return column < 26 ? last : letters(column / 26 - 1) + last;
    }
}
