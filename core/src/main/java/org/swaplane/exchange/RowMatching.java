package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.swaplane.content.Blanks;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Fingerprint;
import org.swaplane.exchange.StructureProblem.Kind;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedRow;
import org.swaplane.reviewcopy.Revision;
import org.swaplane.reviewcopy.RowCode;

/** Finds for every row that came back the row that was sent: by its code, else by its number and source, else by its source alone. */
final class RowMatching {
    /** Problems of one kind that are said one by one; more are said at once. */
    private static final int MOST_SAID = 5;

    private final String trip;
    private final Map<Integer, SentRow> sent = new TreeMap<>();
    private final Map<Integer, String> prints = new HashMap<>();
    private final Map<Integer, ReturnedRow> matched = new TreeMap<>();
    private final List<Integer> withoutCode = new ArrayList<>();
    private final List<StructureProblem> problems = new ArrayList<>();
    private final List<RowRemark> remarks = new ArrayList<>();
    /** Fingerprints of sources with the targets that they were sent with; found out for the first row that is unknown. */
    private final Set<String> wasSent = new HashSet<>();

    RowMatching(String trip, List<SentRow> rows) {
        this.trip = trip;
        for (SentRow row : rows) {
            sent.put(row.number(), row);
        }
    }

    /** Returned rows by the number that they were sent with. */
    Map<Integer, ReturnedRow> match(List<ReturnedRow> returned) {
        List<ReturnedRow> nameless = new ArrayList<>();
        for (ReturnedRow row : returned) {
            if (row.code().filter(each -> !each.trip().equals(trip)).isPresent()) {
                unknown(row, "return.row-of-other");
                continue;
            }
            Optional<RowCode> code = row.code();
            SentRow original = code.map(each -> sent.get(each.number())).orElse(null);
            if (original == null || !isSource(row, original) && !code.get().fits(print(original.number()))) {
                nameless.add(row);
            } else {
                put(original.number(), row);
            }
        }
        matchBySource(matchByNumber(nameless));
        sayEach(Kind.CODE_DAMAGED, withoutCode, "return.code-damaged", "return.codes-damaged");
        findMissing();
        findMoved();
        return matched;
    }

    List<StructureProblem> problems() {
        return problems;
    }

    /** What stands in rows that are not read further. */
    List<RowRemark> remarks() {
        return remarks;
    }

    /** A row that was not sent: what it says is kept, and belongs to no segment. */
    private void unknown(ReturnedRow row, String key) {
        problems.add(new StructureProblem(Kind.ROW_UNKNOWN, 0, text(key, row.position(), row.source())));
        if (wasSent.isEmpty()) {
            sent.values().forEach(each -> wasSent.add(print(each.number()) + each.sent()));
        }
        remark(RowRemark.NO_SEGMENT, row, !wasSent.contains(Fingerprint.ofWritten(row.source()) + row.target()));
    }

    private void remark(int index, ReturnedRow row, boolean isTargetNew) {
        if (isTargetNew && !Blanks.isAllOf(row.target())) {
            Revision by = row.revision().orElse(new Revision("", ""));
            String said = text("return.target-of-line", row.position(), row.target());
            remarks.add(new RowRemark(index, new Remark(by.author(), by.date(), said)));
        }
        row.remarks().forEach(remark -> remarks.add(new RowRemark(index, remark)));
    }

    /** Whether a row that came back has the very source of one that was sent; most have, and need no fingerprint. */
    static boolean isSource(ReturnedRow row, SentRow original) {
        Content source = original.segment().source();
        return row.source().equals(TagNotation.write(source, source));
    }

    /** The fingerprint of the source of a row that was sent. */
    String print(int number) {
        return prints.computeIfAbsent(
                number, none -> Fingerprint.of(sent.get(number).segment().source()));
    }

    private void put(int number, ReturnedRow row) {
        ReturnedRow before = matched.putIfAbsent(number, row);
        if (before != null) {
            boolean isSame = before.target().equals(row.target());
            int index = sent.get(number).index();
            if (!isSame) {
                remark(index, row, true);
            } else {
                row.remarks().stream()
                        .filter(remark -> !before.remarks().contains(remark))
                        .forEach(remark -> remarks.add(new RowRemark(index, remark)));
            }
        }
        if (before != null && before.target().equals(row.target())) {
            problems.add(new StructureProblem(Kind.ROW_MOVED, 0, text("return.row-repeated", number)));
        } else if (before != null) {
            problems.add(new StructureProblem(Kind.ROW_DOUBLED, number, text("return.row-doubled", number)));
        }
    }

    /** The rows that have no number of a row with their source. */
    private List<ReturnedRow> matchByNumber(List<ReturnedRow> nameless) {
        List<ReturnedRow> left = new ArrayList<>();
        for (ReturnedRow row : nameless) {
            if (sent.containsKey(row.number())
                    && !matched.containsKey(row.number())
                    && print(row.number()).equals(Fingerprint.ofWritten(row.source()))) {
                matched.put(row.number(), row);
                withoutCode.add(row.number());
            } else {
                left.add(row);
            }
        }
        return left;
    }

    /** Of rows with the same source, none is guessed. */
    private void matchBySource(List<ReturnedRow> nameless) {
        if (nameless.isEmpty()) {
            return;
        }
        Map<String, Deque<Integer>> candidates = new HashMap<>();
        sent.keySet().stream().filter(number -> !matched.containsKey(number)).forEach(number -> candidates
                .computeIfAbsent(print(number), none -> new ArrayDeque<>())
                .add(number));
        Map<String, Integer> returned = new HashMap<>();
        nameless.forEach(row -> returned.merge(Fingerprint.ofWritten(row.source()), 1, Integer::sum));
        for (ReturnedRow row : nameless) {
            String print = Fingerprint.ofWritten(row.source());
            Deque<Integer> own = candidates.getOrDefault(print, new ArrayDeque<>());
            if (own.size() == 1 && returned.get(print) == 1) {
                matched.put(own.peek(), row);
                withoutCode.add(own.peek());
            } else {
                unknown(row, "return.row-unknown");
            }
        }
    }

    private void findMissing() {
        List<Integer> missing = sent.keySet().stream()
                .filter(number -> !matched.containsKey(number))
                .toList();
        sayEach(Kind.ROW_MISSING, missing, "return.row-missing", "return.rows-missing");
    }

    /** One by one, or where they are many, all at once. */
    private void sayEach(Kind kind, List<Integer> numbers, String one, String many) {
        if (numbers.size() > MOST_SAID) {
            problems.add(new StructureProblem(kind, 0, text(many, numbers.size(), ranges(numbers))));
        } else {
            numbers.forEach(number -> problems.add(new StructureProblem(kind, number, text(one, number))));
        }
    }

    /** Rising numbers as people write them: {@code 3, 5–9}; the first of them where there are many. */
    private static String ranges(List<Integer> numbers) {
        StringBuilder ranges = new StringBuilder();
        int at = 0;
        int said = 0;
        List<Integer> sorted = numbers.stream().sorted().toList();
        while (at < sorted.size() && said++ < MOST_SAID * 2) {
            int end = at;
            while (end + 1 < sorted.size() && sorted.get(end + 1) == sorted.get(end) + 1) {
                end++;
            }
            ranges.append(ranges.isEmpty() ? "" : ", ").append(sorted.get(at));
            ranges.append(end > at ? "–" + sorted.get(end) : "");
            at = end + 1;
        }
        return ranges + (at < sorted.size() ? " …" : "");
    }

    /** Moved are the fewest rows that would have to go elsewhere to restore the order; where that is many, the table was sorted. */
    private void findMoved() {
        List<Integer> order = new ArrayList<>(matched.keySet());
        order.sort((a, b) ->
                Integer.compare(matched.get(a).position(), matched.get(b).position()));
        Set<Integer> inPlace = new HashSet<>(longestIncreasing(order));
        List<Integer> moved = matched.keySet().stream()
                .filter(number -> !inPlace.contains(number))
                .toList();
        if (moved.size() > MOST_SAID) {
            problems.add(new StructureProblem(Kind.ROW_MOVED, 0, text("return.rows-sorted", moved.size())));
            return;
        }
        for (int number : moved) {
            int position = matched.get(number).position();
            problems.add(new StructureProblem(Kind.ROW_MOVED, number, text("return.row-moved", number, position)));
        }
    }

    private static List<Integer> longestIncreasing(List<Integer> numbers) {
        List<Integer> tails = new ArrayList<>();
        Map<Integer, Integer> before = new HashMap<>();
        for (int number : numbers) {
            int at = Collections.binarySearch(tails, number);
            int place = at < 0 ? -at - 1 : at;
            if (place > 0) {
                before.put(number, tails.get(place - 1));
            }
            if (place == tails.size()) {
                tails.add(number);
            } else {
                tails.set(place, number);
            }
        }
        List<Integer> result = new ArrayList<>();
        Integer number = tails.isEmpty() ? null : tails.get(tails.size() - 1);
        while (number != null) {
            result.add(number);
            number = before.get(number);
        }
        return result;
    }
}
