package org.swaplane.reviewcopy.tsv;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.swaplane.format.EncodedText;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.ReturnedCell;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedTable;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewCopyFormat;
import org.swaplane.reviewcopy.ReviewRow;
import org.swaplane.reviewcopy.RowCode;
import org.swaplane.reviewcopy.SentTexts;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/** Review copies as tab-separated text in UTF-8; they are read again however a spreadsheet program separates the cells. */
public final class TsvFormat implements ReviewCopyFormat {
    private static final Set<String> EXTENSIONS = Set.of("tsv", "tab", "csv", "txt");
    private static final Pattern CODE =
            Pattern.compile("(?<![0-9A-Z])[0-9A-Z]{5}-\\d{1,7}-[0-9A-F]{6}-[0-9A-Z](?![0-9A-Z])");

    /** No program cuts a cell of this length. */
    private static final int CHUNK = 32_000;

    private static final String IDENTITY = "lane=";
    /** What the texts as sent begin with. */
    private static final Pattern PACKED = Pattern.compile("[0-9a-f]{64}:");

    private static final CSVFormat FORMAT = CSVFormat.Builder.create(CSVFormat.RFC4180)
            .setDelimiter('\t')
            .setRecordSeparator("\r\n")
            .get();

    @Override
    public String extension() {
        return "tsv";
    }

    @Override
    public int mostRows() {
        return 1_000_000;
    }

    @Override
    public boolean recognises(Source source) throws IOException {
        Head head = Head.of(source);
        return EXTENSIONS.contains(head.extension())
                && (hasCode(head.text()) || head.text().contains(IDENTITY));
    }

    private static boolean hasCode(String text) {
        Matcher found = CODE.matcher(text);
        while (found.find()) {
            if (RowCode.read(found.group()).isPresent()) {
                return true;
            }
        }
        return false;
    }

    @Override
    public void write(ReviewCopy copy, OutputStream out) throws IOException {
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        // Spreadsheet programs know by it that this is UTF-8.
        writer.write('\uFEFF');
        CSVPrinter printer = new CSVPrinter(writer, FORMAT);
        printer.printRecord(copy.identity());
        printer.printRecord(copy.title());
        for (String instruction : copy.instructions()) {
            printer.printRecord(instruction);
        }
        printer.printRecord(copy.heads());
        for (ReviewCopy.Part part : copy.parts()) {
            if (copy.parts().size() > 1) {
                printer.printRecord("", part.name(), "", "", ReturnedTable.NOT_READ);
            }
            for (ReviewRow row : part.rows()) {
                printer.printRecord(
                        row.code().map(code -> String.valueOf(code.number())).orElse(""),
                        row.source(),
                        row.target(),
                        ReviewCopy.comment(row),
                        row.code().map(RowCode::written).orElse(ReturnedTable.NOT_READ));
            }
        }
        List<String> last = new ArrayList<>();
        String packed = copy.packedTexts();
        for (int at = 0; at < packed.length(); at += CHUNK) {
            last.add(packed.substring(at, Math.min(packed.length(), at + CHUNK)));
        }
        printer.printRecord(last);
        printer.flush();
        writer.flush();
    }

    @Override
    public ReturnedCopy read(Source source) throws IOException {
        EncodedText text = EncodedText.of(source);
        char delimiter = delimiter(Head.of(source).text());
        ReturnedTable table = new ReturnedTable();
        CSVFormat format =
                CSVFormat.Builder.create(FORMAT).setDelimiter(delimiter).get();
        try (Reader in = new BufferedReader(text.open());
                CSVParser parser = CSVParser.parse(in, format)) {
            for (CSVRecord record : parser) {
                read(record.toList(), table);
            }
        } catch (UncheckedIOException | IllegalStateException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(source.name(), 0, 0), Phrase.of("problem.copy-table-broken"), e);
        }
        return table.copyOf(source.name());
    }

    private static void read(List<String> cells, ReturnedTable table) {
        String first = cells.get(0).replace("\uFEFF", "");
        if (first.startsWith(IDENTITY)) {
            table.visibleIdentity(first);
            cells.stream().skip(1).forEach(table::remark);
            return;
        }
        if (PACKED.matcher(first).lookingAt()) {
            readSent(cells, table);
            return;
        }
        table.row(Stream.concat(Stream.of(first), cells.stream().skip(1))
                .map(cell -> ReturnedCell.of(cell.replace("\r\n", "\n").replace('\r', '\n')))
                .toList());
    }

    /** Something may have been written behind the texts as sent; they are known by their hash. */
    private static void readSent(List<String> cells, ReturnedTable table) {
        List<String> pieces = cells.stream()
                .flatMap(cell -> Stream.of(cell.strip().split("\\s+")))
                .toList();
        int end = pieces.size();
        while (end > 0 && SentTexts.unpacked(String.join("", pieces.subList(0, end))) == SentTexts.NONE) {
            end--;
        }
        if (end > 0) {
            table.sent(String.join("", pieces.subList(0, end)));
        }
        // Where they cannot be read any more, all of them may have been written over.
        pieces.subList(Math.max(1, end), pieces.size()).forEach(table::remark);
    }

    /** What stands most often beside a code; without codes, what stands most often. */
    private static char delimiter(String head) {
        return Stream.of('\t', ';', ',')
                .max(Comparator.comparingLong((Character each) ->
                                count(each + "\"?" + CODE.pattern(), head) + count(CODE.pattern() + "\"?" + each, head))
                        .thenComparingLong(each -> count(String.valueOf(each), head)))
                .orElseThrow();
    }

    private static long count(String pattern, String text) {
        return Pattern.compile(pattern).matcher(text).results().count();
    }
}
