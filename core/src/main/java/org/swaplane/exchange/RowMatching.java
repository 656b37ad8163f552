package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.swaplane.document.Fingerprint;
import org.swaplane.exchange.StructureProblem.Kind;
import org.swaplane.reviewcopy.ReturnedRow;
import org.swaplane.reviewcopy.RowCode;

/** Finds for every row that came back the row that was sent: by its code, else by its source text. */
final class RowMatching {
    private final String trip;
    private final Map<Integer, SentRow> sent = new TreeMap<>();
    private final Map<Integer, ReturnedRow> matched = new TreeMap<>();
    private final List<StructureProblem> problems = new ArrayList<>();

    RowMatching(String trip, List<SentRow> rows) {
        this.trip = trip;
        rows.forEach(row -> sent.put(row.number(), row));
    }

    /** Returned rows by the number that they were sent with. */
    Map<Integer, ReturnedRow> match(List<ReturnedRow> returned) {
        List<ReturnedRow> nameless = new ArrayList<>();
        for (ReturnedRow row : returned) {
            Optional<RowCode> code = row.code().filter(each -> each.trip().equals(trip));
            SentRow original = code.map(each -> sent.get(each.number())).orElse(null);
            if (original == null
                    || !code.get().fits(Fingerprint.of(original.segment().source()))) {
                nameless.add(row);
            } else {
                put(original.number(), row);
            }
        }
        nameless.forEach(this::matchBySource);
        findMissing();
        findMoved();
        return matched;
    }

    List<StructureProblem> problems() {
        return problems;
    }

    private void put(int number, ReturnedRow row) {
        ReturnedRow before = matched.putIfAbsent(number, row);
        if (before != null && before.target().equals(row.target())) {
            problems.add(new StructureProblem(Kind.ROW_MOVED, 0, text("return.row-repeated", number)));
        } else if (before != null) {
            problems.add(new StructureProblem(Kind.ROW_DOUBLED, number, text("return.row-doubled", number)));
        }
    }

    private void matchBySource(ReturnedRow row) {
        String fingerprint = Fingerprint.ofWritten(row.source());
        List<SentRow> candidates = sent.values().stream()
                .filter(each -> !matched.containsKey(each.number()))
                .filter(each -> Fingerprint.of(each.segment().source()).equals(fingerprint))
                .toList();
        if (candidates.size() == 1) {
            int number = candidates.get(0).number();
            matched.put(number, row);
            problems.add(new StructureProblem(Kind.CODE_DAMAGED, number, text("return.code-damaged", number)));
        } else {
            problems.add(new StructureProblem(
                    Kind.ROW_UNKNOWN, 0, text("return.row-unknown", row.position(), row.source())));
        }
    }

    private void findMissing() {
        for (SentRow row : sent.values()) {
            if (!matched.containsKey(row.number())) {
                problems.add(
                        new StructureProblem(Kind.ROW_MISSING, row.number(), text("return.row-missing", row.number())));
            }
        }
    }

    /** Moved are the fewest rows that would have to go elsewhere to restore the order. */
    private void findMoved() {
        List<Integer> order = new ArrayList<>(matched.keySet());
        order.sort((a, b) ->
                Integer.compare(matched.get(a).position(), matched.get(b).position()));
        Set<Integer> inPlace = new HashSet<>(longestIncreasing(order));
        for (int number : matched.keySet()) {
            if (!inPlace.contains(number)) {
                int position = matched.get(number).position();
                problems.add(new StructureProblem(Kind.ROW_MOVED, number, text("return.row-moved", number, position)));
            }
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
