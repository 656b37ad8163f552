package org.swaplane.lane;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.swaplane.document.State;

/**
 * Segments and words of a track by state; locked ones, which are nobody's work, stand apart. Words are those of the sources.
 *
 * @param segments by the order of {@link State}, and last the locked ones
 * @param words likewise
 */
public record TrackCounts(List<Integer> segments, List<Integer> words) {
    private static final int LOCKED = State.values().length;
    public static final TrackCounts NONE = new TrackCounts(zeros(), zeros());

    public TrackCounts {
        segments = List.copyOf(segments);
        words = List.copyOf(words);
    }

    private static List<Integer> zeros() {
        return java.util.Collections.nCopies(LOCKED + 1, 0);
    }

    /** Counts one segment after the other. */
    static final class Builder {
        private final Integer[] segments = zeros().toArray(new Integer[0]);
        private final Integer[] words = zeros().toArray(new Integer[0]);

        Builder(TrackCounts begin) {
            begin.segments().toArray(segments);
            begin.words().toArray(words);
        }

        /** Adds a segment with so many words, or takes it away where {@code by} is -1. */
        void count(Value value, int ofSource, int by) {
            int at = value.locked() ? LOCKED : value.state().ordinal();
            segments[at] += by;
            words[at] += by * ofSource;
        }

        TrackCounts build() {
            return new TrackCounts(Arrays.asList(segments), Arrays.asList(words));
        }
    }

    public int segments(State state) {
        return segments.get(state.ordinal());
    }

    public int lockedSegments() {
        return segments.get(LOCKED);
    }

    /** Segments that are neither locked nor reviewed. */
    public int unreviewed() {
        return segments(State.INITIAL) + segments(State.TRANSLATED);
    }

    /** Words of all segments that are not locked. */
    public int openableWords() {
        return words.subList(0, LOCKED).stream().mapToInt(Integer::intValue).sum();
    }

    /** Words of segments that are reviewed or final. */
    public int reviewedWords() {
        return words.get(State.REVIEWED.ordinal()) + words.get(State.FINAL.ordinal());
    }

    /** All segments, locked ones too. */
    public int all() {
        return segments.stream().mapToInt(Integer::intValue).sum();
    }

    /** For the database. */
    String written() {
        return segments.stream().map(String::valueOf).collect(Collectors.joining(" ")) + ";"
                + words.stream().map(String::valueOf).collect(Collectors.joining(" "));
    }

    /** What {@link #written} wrote; none where a track was never read. */
    static TrackCounts of(String written) {
        if (written.isEmpty()) {
            return NONE;
        }
        String[] halves = written.split(";");
        return new TrackCounts(numbers(halves[0]), numbers(halves[1]));
    }

    private static List<Integer> numbers(String written) {
        List<Integer> numbers = new ArrayList<>();
        for (String number : written.split(" ")) {
            numbers.add(Integer.parseInt(number));
        }
        return numbers;
    }
}
