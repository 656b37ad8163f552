package org.swaplane.format.table;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.Segment;
import org.swaplane.format.EncodedText;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/**
 * Source and target side by side in a text file, a row for each pair, in tag notation: comma, semicolon or tab between the columns,
 * RFC 4180 quoting. The first row may name the columns: {@code source} and {@code target} or their language codes, and {@code note}.
 */
public final class DelimitedText {
    private static final CSVFormat RFC_4180 = CSVFormat.RFC4180;

    private DelimitedText() {}

    /**
     * Reads the pairs; languages that are given win over those of the first row.
     *
     * @throws CannotProceedException when a row is broken or has no second column
     */
    public static BilingualDocument read(Source source, String sourceLanguage, String targetLanguage)
            throws IOException {
        EncodedText text = EncodedText.of(source);
        List<Segment> segments = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        PairColumns columns = null;
        try (Reader reader = new BufferedReader(text.open());
                CSVParser rows = CSVParser.parse(
                        reader, RFC_4180.builder().setDelimiter(delimiter(text)).get())) {
            for (CSVRecord row : rows) {
                if (columns == null) {
                    columns = PairColumns.of(row.toList());
                    if (columns.named()) {
                        continue;
                    }
                }
                add(row, columns, rows.getCurrentLineNumber(), segments, problems);
            }
        } catch (UncheckedIOException e) {
            throw new CannotProceedException(source.name(), "problem.table-broken", Reason.of(e.getCause()));
        }
        PairColumns known = columns == null ? PairColumns.UNNAMED : columns;
        if (segments.isEmpty()) {
            throw new CannotProceedException(source.name(), "problem.table-without-pairs");
        }
        String from = sourceLanguage.isEmpty() ? known.sourceLanguage() : sourceLanguage;
        String to = targetLanguage.isEmpty() ? known.targetLanguage() : targetLanguage;
        return new BilingualDocument(
                "delimited-text",
                text.encoding().label(),
                List.of(new Part(source.name(), from, to, List.of())),
                segments,
                problems,
                List.of());
    }

    /** Whether a file is called a table. */
    public static boolean isNamedSo(Source source) {
        String name = source.name().toLowerCase(Locale.ROOT);
        return name.endsWith(".csv") || name.endsWith(".tsv");
    }

    /** Whether the first row says that source and target stand side by side, or there is room for nothing else. */
    public static boolean hasPairs(Source source) throws IOException {
        EncodedText text = EncodedText.of(source);
        try (Reader reader = new BufferedReader(text.open());
                CSVParser rows = CSVParser.parse(
                        reader, RFC_4180.builder().setDelimiter(delimiter(text)).get())) {
            Iterator<CSVRecord> first = rows.iterator();
            if (!first.hasNext()) {
                return false;
            }
            CSVRecord row = first.next();
            return row.size() == 2 || PairColumns.of(row.toList()).named();
        } catch (UncheckedIOException e) {
            return true; // reading it whole says what is wrong
        }
    }

    private static void add(
            CSVRecord row, PairColumns columns, long line, List<Segment> segments, List<Problem> problems) {
        if (row.size() <= Math.max(columns.source(), columns.target())) {
            boolean blank = row.size() == 1 && row.get(0).isBlank();
            if (!blank) {
                problems.add(new Problem((int) line, 1, Phrase.of("file.no-target-column")));
            }
            return;
        }
        String note = columns.note() >= 0 && columns.note() < row.size() ? row.get(columns.note()) : "";
        String key = String.valueOf(row.getRecordNumber());
        segments.add(PairSegment.of(key, 0, row.get(columns.source()), row.get(columns.target()), note));
    }

    /** The one of tab, semicolon and comma that the first line has most of. */
    private static char delimiter(EncodedText text) throws IOException {
        try (BufferedReader reader = new BufferedReader(text.open())) {
            String line = reader.readLine();
            Map<Character, Long> counts = new HashMap<>();
            for (char candidate : new char[] {'\t', ';', ','}) {
                counts.put(
                        candidate,
                        line == null
                                ? 0
                                : line.chars().filter(c -> c == candidate).count());
            }
            return counts.get('\t') > 0 ? '\t' : counts.get(';') > counts.get(',') ? ';' : ',';
        }
    }

    /** Writes the pairs as UTF-8, with the languages in the first row. */
    public static void write(BilingualDocument document, char delimiter, OutputStream out) throws IOException {
        CSVFormat format = RFC_4180.builder().setDelimiter(delimiter).get();
        OutputStreamWriter writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        CSVPrinter printer = new CSVPrinter(writer, format);
        String source = document.sourceLanguage();
        String target = document.targetLanguage();
        boolean coded = !source.isEmpty() && !target.isEmpty();
        printer.printRecord(coded ? source : "source", coded ? target : "target", "note");
        for (Segment segment : document.segments()) {
            String note =
                    String.join("\n", segment.notes().stream().map(Note::text).toList());
            printer.printRecord(
                    TagNotation.write(segment.source(), segment.source()),
                    TagNotation.write(segment.target(), segment.source()),
                    note);
        }
        printer.flush();
    }
}
