package org.swaplane.reviewcopy;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import org.swaplane.document.Fingerprint;

/**
 * Which columns of a table that came back hold what, found by heads, codes and texts rather than by place: columns may have been added,
 * taken away or moved.
 *
 * @param number of the row, or -1
 * @param comment or -1
 * @param code or -1
 * @param isCertain whether the target's column can be told for certain
 */
record CopyColumns(int number, int source, int target, int comment, int code, boolean isCertain) {
    static final int SENT = 5;

    /** Rows that are looked at; what they agree on holds for all. */
    private static final int MOST_ROWS = 300;

    private static final int NONE = -1;

    /** What the table holds: heads of its columns, empty where they are lost, and its rows as texts. */
    static CopyColumns of(List<String> heads, List<List<String>> rows, List<CopyIdentity> identities, SentTexts sent) {
        List<List<String>> some = rows.subList(0, Math.min(rows.size(), MOST_ROWS));
        int width =
                Math.max(heads.size(), some.stream().mapToInt(List::size).max().orElse(0));
        int code = best(width, some, (row, at) -> RowCode.read(row.get(at)).isPresent());
        int number = best(width, some, (row, at) -> isNumber(row, at));
        int source = best(width, some, (row, at) -> isSource(row, at));
        if (source == NONE) {
            source = headWith(
                            heads, identities.stream().map(CopyIdentity::source).toList())
                    .orElse(isAsSent(width, code) ? 1 : Math.min(1, width - 1));
        }
        List<String> targets = identities.stream().map(CopyIdentity::target).toList();
        Optional<Integer> byHead = exactHead(heads, targets).or(() -> exactHead(heads, languages(heads)));
        Optional<Integer> bySent = byTexts(width, some, sent, source);
        int place = source + 1;
        boolean inPlace = isAsSent(width, code) || code == source + SENT - 2 || width == SENT - 1 && code == NONE;
        int target = byHead.or(() -> bySent).orElse(place);
        boolean certain = byHead.isPresent() && (bySent.isEmpty() || bySent.equals(byHead) || inPlace)
                || byHead.isEmpty() && bySent.isPresent()
                || byHead.isEmpty() && bySent.isEmpty() && inPlace;
        // A column that was copied with its head leaves nobody sure in which of both the work was done.
        certain &= exactHeads(heads, targets).size() <= 1;
        int comment = heads.indexOf(text("copy.column.comment"));
        if (comment == NONE && target + 1 < width && target + 1 != code && (inPlace || code == target + 2)) {
            comment = target + 1;
        }
        return new CopyColumns(number, source, target, comment, code, certain && target != source);
    }

    private static boolean isAsSent(int width, int code) {
        return width >= SENT && code == SENT - 1;
    }

    /** The column for which most rows hold it; -1 where none has any. */
    private static int best(int width, List<List<String>> rows, BiPredicate<List<String>, Integer> holds) {
        int best = NONE;
        long most = 0;
        for (int at = 0; at < width; at++) {
            int column = at;
            long votes = rows.stream()
                    .filter(row -> column < row.size() && holds.test(row, column))
                    .count();
            if (votes > most) {
                most = votes;
                best = at;
            }
        }
        return best;
    }

    static Optional<RowCode> code(List<String> row) {
        return row.stream().flatMap(cell -> RowCode.read(cell).stream()).findFirst();
    }

    private static boolean isNumber(List<String> row, int at) {
        String text = row.get(at).strip();
        Optional<RowCode> code = code(row);
        return code.map(each -> text.equals(String.valueOf(each.number()))).orElse(at == 0 && text.matches("\\d{1,7}"));
    }

    private static boolean isSource(List<String> row, int at) {
        return code(row)
                .filter(each -> each.fits(Fingerprint.ofWritten(row.get(at))))
                .isPresent();
    }

    /** The column that most rows hold the target in that was sent, where that is another text than the source. */
    private static Optional<Integer> byTexts(int width, List<List<String>> rows, SentTexts sent, int source) {
        int found = best(
                width,
                rows,
                (row, at) -> at != source
                        && !row.get(at).isBlank()
                        && code(row)
                                .flatMap(code -> sent.target(code.trip(), code.number()))
                                .filter(text -> text.equals(row.get(at)))
                                .isPresent());
        return found == NONE ? Optional.empty() : Optional.of(found);
    }

    private static List<Integer> exactHeads(List<String> heads, List<String> languages) {
        List<Integer> found = new ArrayList<>();
        for (int i = 0; i < heads.size(); i++) {
            String head = heads.get(i).strip();
            if (languages.stream().anyMatch(language -> head.equals(text("copy.column.target", language)))) {
                found.add(i);
            }
        }
        return found;
    }

    /** The only column whose head is the one that was sent for one of these languages. */
    private static Optional<Integer> exactHead(List<String> heads, List<String> languages) {
        List<Integer> found = exactHeads(heads, languages);
        return found.size() == 1 ? Optional.of(found.get(0)) : headWith(heads, languages);
    }

    /** Languages in brackets in the heads, for a copy that lost what it says of itself: the second is the target's. */
    private static List<String> languages(List<String> heads) {
        List<String> found = heads.stream()
                .filter(head -> head.strip().endsWith(")") && head.contains("("))
                .map(head -> head.strip()
                        .substring(
                                head.strip().lastIndexOf('(') + 1, head.strip().length() - 1))
                .toList();
        return found.size() == 2 ? found.subList(1, 2) : List.of();
    }

    /** The only column whose head names one of these languages, whatever language the rest of it is in. */
    private static Optional<Integer> headWith(List<String> heads, List<String> languages) {
        List<Integer> found = new ArrayList<>();
        for (int i = 0; i < heads.size(); i++) {
            String head = heads.get(i).strip();
            if (languages.stream().anyMatch(language -> !language.isEmpty() && head.endsWith('(' + language + ')'))) {
                found.add(i);
            }
        }
        return found.size() == 1 ? Optional.of(found.get(0)) : Optional.empty();
    }
}
