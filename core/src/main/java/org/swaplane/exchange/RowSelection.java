package org.swaplane.exchange;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Counts;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.task.CannotProceedException;

/**
 * Which segments of a document go into a copy. Written as conditions that all must hold, joined by {@code +}: {@code rows:10-40},
 * {@code state:initial,translated}, {@code findings}, {@code changed}, {@code words:500}.
 *
 * @param rows numbers of segments from 1, inclusive
 * @param states one of these
 * @param findings only segments in which the checks find something
 * @param changed only segments for which the file holds a proposal made for another source: an earlier version of it, mostly
 * @param words so many of the source from the first open segment, to the end of a unit
 * @param beyond what only somebody at the window can choose
 */
public record RowSelection(
        List<Range> rows,
        Set<State> states,
        boolean findings,
        boolean changed,
        Optional<Integer> words,
        Beyond beyond) {
    public static final RowSelection ALL = new RowSelection(List.of(), Set.of(), false, false, Optional.empty());

    /**
     * Further conditions.
     *
     * @param locked whether locked segments go along
     * @param repeated whether every segment goes, and not only the first of those with the same source
     * @param keys only the segments with these keys
     */
    public record Beyond(boolean locked, boolean repeated, Optional<Set<String>> keys) {
        public static final Beyond NOTHING = new Beyond(true, true, Optional.empty());
    }

    /** From the first number to the last. */
    public record Range(int first, int last) {
        private boolean holds(int number) {
            return number >= first && number <= last;
        }
    }

    public RowSelection(
            List<Range> rows, Set<State> states, boolean findings, boolean changed, Optional<Integer> words) {
        this(rows, states, findings, changed, words, Beyond.NOTHING);
    }

    /** The same under further conditions. */
    public RowSelection with(Beyond further) {
        return new RowSelection(rows, states, findings, changed, words, further);
    }

    public RowSelection {
        rows = List.copyOf(rows);
        states = Set.copyOf(states);
    }

    /**
     * The selection that is written so.
     *
     * @throws CannotProceedException when it is none
     */
    public static RowSelection parse(String written) {
        List<Range> rows = new ArrayList<>();
        Set<State> states = new TreeSet<>();
        boolean findings = false;
        boolean changed = false;
        Optional<Integer> words = Optional.empty();
        for (String part : written.split("\\+", -1)) {
            String kind = part.contains(":") ? part.substring(0, part.indexOf(':')) : part;
            String value = part.substring(Math.min(part.length(), kind.length() + 1));
            switch (kind.strip()) {
                case "rows" -> Stream.of(value.split(",")).forEach(range -> rows.add(range(range.strip(), written)));
                case "state" -> Stream.of(value.split(",")).forEach(state -> states.add(state(state.strip(), written)));
                case "findings" -> findings = isAlone(value, written);
                case "changed" -> changed = isAlone(value, written);
                case "words" -> words = Optional.of(number(value.strip(), written));
                default -> throw unreadable(written);
            }
        }
        return new RowSelection(rows, states, findings, changed, words);
    }

    private static boolean isAlone(String value, String written) {
        if (!value.isEmpty()) {
            throw unreadable(written);
        }
        return true;
    }

    private static Range range(String written, String all) {
        int dash = written.indexOf('-');
        int first = number(dash < 0 ? written : written.substring(0, dash), all);
        int last = dash < 0 ? first : number(written.substring(dash + 1), all);
        if (last < first) {
            throw unreadable(all);
        }
        return new Range(first, last);
    }

    private static int number(String written, String all) {
        if (!written.matches("[1-9]\\d{0,8}")) {
            throw unreadable(all);
        }
        return Integer.parseInt(written);
    }

    private static State state(String written, String all) {
        return Stream.of(State.values())
                .filter(state -> state.name().toLowerCase(Locale.ROOT).equals(written))
                .findFirst()
                .orElseThrow(() -> unreadable(all));
    }

    private static CannotProceedException unreadable(String written) {
        String states = Stream.of(State.values())
                .map(state -> state.name().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(","));
        return new CannotProceedException("", "problem.selection-unreadable", written, states);
    }

    /**
     * The indexes of the segments, rising.
     *
     * @param withFindings indexes of segments in which the checks find something; asked only where they matter
     */
    public List<Integer> of(BilingualDocument document, Supplier<Set<Integer>> withFindings) {
        Set<Integer> found = findings ? withFindings.get() : Set.of();
        Set<String> seen = new HashSet<>();
        List<Integer> chosen = IntStream.range(0, document.segments().size())
                .filter(index -> rows.isEmpty() || rows.stream().anyMatch(range -> range.holds(index + 1)))
                .filter(index -> states.isEmpty()
                        || states.contains(document.segments().get(index).state()))
                .filter(index -> !findings || found.contains(index))
                .filter(index -> !changed || isChanged(document.segments().get(index)))
                .filter(index -> isWanted(document.segments().get(index), seen))
                .boxed()
                .toList();
        return words.map(most -> ofWords(document, chosen, most)).orElse(chosen);
    }

    private boolean isWanted(Segment segment, Set<String> seen) {
        return (beyond.locked() || !segment.locked())
                && beyond.keys().map(keys -> keys.contains(segment.key())).orElse(true)
                && (beyond.repeated() || seen.add(Fingerprint.of(segment.source())));
    }

    private static boolean isChanged(Segment segment) {
        return segment.proposals().stream()
                .anyMatch(proposal ->
                        !proposal.source().isEmpty() && !proposal.source().sameAs(segment.source()));
    }

    /** No unit is cut apart. */
    private static List<Integer> ofWords(BilingualDocument document, List<Integer> from, int most) {
        List<Integer> chosen = new ArrayList<>();
        int words = 0;
        for (int index : from) {
            Segment segment = document.segments().get(index);
            if (chosen.isEmpty() && !isOpen(segment)) {
                continue;
            }
            boolean goesOn = !chosen.isEmpty()
                    && segment.isOfSameUnit(document.segments().get(chosen.get(chosen.size() - 1)));
            if (words >= most && !goesOn) {
                break;
            }
            chosen.add(index);
            words += Counts.words(segment.source().plainText());
        }
        return chosen;
    }

    private static boolean isOpen(Segment segment) {
        return !segment.locked() && segment.countedState().ordinal() < State.REVIEWED.ordinal();
    }
}
