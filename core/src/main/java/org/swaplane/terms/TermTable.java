package org.swaplane.terms;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.swaplane.document.LanguageCode;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/**
 * Terms in rows. Where the first row names languages each such column holds the terms in one of them; else the first two columns are
 * source and target. A column can name forbidden targets, another one the status of a row, others define a term or say more of it. Several terms in a cell are parted by a bar, a
 * semicolon or a line break.
 */
final class TermTable {
    private static final Pattern PARTS = Pattern.compile("\\s*[|;\\n]\\s*");
    private static final Pattern FORBIDDEN =
            Pattern.compile("forbidden|avoid|do not use|not allowed|deprecated|prohibited");
    private static final Pattern OF_TERMS = Pattern.compile(
            "(?i)terms?|definition|part of speech|pos|term ?status|usage|synonyms?|domain|subject field");
    private static final Pattern EXPLANATION =
            Pattern.compile("definition|explanation|notes?|comments?|remarks?|description");
    private static final Pattern STATUS = Pattern.compile("status|use|usage");
    private static final Pattern NO =
            Pattern.compile("(?i)forbidden|avoid|deprecated|prohibited|no|not allowed|obsolete.*|superseded.*");

    /** What the columns of a table hold; the language of a column of terms, and otherwise an empty string. */
    private record Columns(
            List<String> languages, int forbidden, int status, List<Integer> explanations, int firstRow) {}

    private TermTable() {}

    /** The cells of delimited text. */
    static List<List<String>> rows(String name, String text) {
        char delimiter = delimiter(text);
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(delimiter)
                .setIgnoreEmptyLines(true)
                .get();
        List<List<String>> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            parser.forEach(each -> rows.add(each.toList()));
            return rows;
        } catch (IOException | UncheckedIOException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(name, rows.size() + 1, 0),
                    Phrase.of("problem.table-broken", Reason.of(e)),
                    e);
        }
    }

    /** The cells of the first line; none where it is broken. */
    static List<String> firstRow(String text) {
        try {
            List<List<String>> rows = rows("", text.lines().findFirst().orElse(""));
            return rows.isEmpty() ? List.of() : rows.get(0);
        } catch (CannotProceedException e) {
            return List.of();
        }
    }

    private static char delimiter(String text) {
        String first = text.lines().findFirst().orElse("");
        char best = ',';
        for (char each : new char[] {'\t', ';', ','}) {
            if (count(first, each) > count(first, best)) {
                best = each;
            }
        }
        return best;
    }

    private static long count(String text, char sought) {
        return text.chars().filter(c -> c == sought).count();
    }

    static List<TermList.Entry> entries(List<List<String>> rows) {
        if (rows.isEmpty()) {
            return List.of();
        }
        Columns columns = columns(rows.get(0));
        List<TermList.Entry> entries = new ArrayList<>();
        for (List<String> row : rows.subList(columns.firstRow(), rows.size())) {
            List<TermList.Wording> wordings = wordings(row, columns);
            if (wordings.size() > 1 || wordings.stream().anyMatch(TermList.Wording::forbidden)) {
                entries.add(new TermList.Entry(wordings, explanation(row, columns)));
            }
        }
        return entries;
    }

    private static List<TermList.Wording> wordings(List<String> row, Columns columns) {
        List<TermList.Wording> wordings = new ArrayList<>();
        boolean no = NO.matcher(cell(row, columns.status()).strip()).matches();
        for (int i = 0; i < columns.languages().size(); i++) {
            String language = columns.languages().get(i);
            boolean forbidden = no && !wordings.isEmpty();
            if (!language.isEmpty()) {
                parts(cell(row, i)).forEach(text -> wordings.add(new TermList.Wording(language, text, forbidden)));
            }
        }
        // Whatever the target is: it is for the reader of a table to know what is forbidden there.
        parts(cell(row, columns.forbidden()))
                .forEach(text -> wordings.add(new TermList.Wording(TermList.TARGET, text, true)));
        return wordings;
    }

    private static String explanation(List<String> row, Columns columns) {
        return columns.explanations().stream()
                .map(column -> cell(row, column).strip().replaceAll("\\s+", " "))
                .filter(text -> !text.isEmpty())
                .collect(Collectors.joining("\n"));
    }

    private static String cell(List<String> row, int column) {
        return column < 0 || column >= row.size() ? "" : row.get(column);
    }

    private static List<String> parts(String cell) {
        return PARTS.splitAsStream(cell.strip()).filter(each -> !each.isBlank()).toList();
    }

    /** Whether a first row names two languages and a column that only a list of terms has. */
    static boolean isNamedBy(List<String> first) {
        Columns columns = columns(first);
        boolean terms =
                first.stream().anyMatch(name -> OF_TERMS.matcher(name.strip()).matches());
        return columns.firstRow() == 1 && (columns.forbidden() >= 0 || terms);
    }

    private static Columns columns(List<String> first) {
        List<String> languages = new ArrayList<>();
        int forbidden = -1;
        int status = -1;
        List<Integer> explanations = new ArrayList<>();
        int named = 0;
        for (int i = 0; i < first.size(); i++) {
            String name = first.get(i).replace("\uFEFF", "").strip();
            String small = name.toLowerCase(Locale.ROOT);
            String language = "";
            if (FORBIDDEN.matcher(small).find()) {
                forbidden = i;
            } else if (STATUS.matcher(small).matches()) {
                status = i;
            } else if (EXPLANATION.matcher(small).matches()) {
                explanations.add(i);
            } else if (small.startsWith("source")) {
                language = TermList.SOURCE;
            } else if (small.startsWith("target")) {
                language = TermList.TARGET;
            } else if (small.matches("[a-z]{2,3}([-_][a-z0-9]+)*")
                    && !small.equals("id")
                    && LanguageCode.fault(name.replace('_', '-')).isEmpty()) {
                language = name.replace('_', '-');
            }
            named += language.isEmpty() ? 0 : 1;
            languages.add(language);
        }
        return named < 2
                ? new Columns(List.of(TermList.SOURCE, TermList.TARGET), -1, -1, List.of(), 0)
                : new Columns(languages, forbidden, status, explanations, 1);
    }
}
