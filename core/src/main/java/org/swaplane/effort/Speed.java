package org.swaplane.effort;

import java.util.Arrays;
import java.util.Collection;
import java.util.OptionalDouble;
import java.util.OptionalLong;

/**
 * How fast segments were worked at, of those that somebody was at for a time.
 *
 * @param wordsPerHour empty where there is no time
 * @param medianMillis and others of the time per segment, by the nearest rank; empty where there is none
 * @param outlierMillis what took longer is out of the ordinary: three times the distance of the quartiles above the upper one
 */
public record Speed(
        int segments,
        long words,
        long millis,
        OptionalDouble wordsPerHour,
        OptionalDouble meanMillis,
        OptionalLong medianMillis,
        OptionalLong ninetiethMillis,
        OptionalLong ninetyFifthMillis,
        OptionalLong outlierMillis) {
    private static final double HOUR = 3_600_000;
    private static final int FENCE = 3;

    public static Speed of(Collection<SegmentWork> work) {
        long[] times = work.stream()
                .mapToLong(SegmentWork::activeMillis)
                .filter(millis -> millis > 0)
                .toArray();
        Arrays.parallelSort(times);
        if (times.length == 0) {
            return new Speed(
                    0,
                    0,
                    0,
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    OptionalLong.empty(),
                    OptionalLong.empty(),
                    OptionalLong.empty(),
                    OptionalLong.empty());
        }
        long words = work.stream()
                .filter(each -> each.activeMillis() > 0)
                .mapToLong(SegmentWork::words)
                .sum();
        long all = Arrays.stream(times).sum();
        long upper = rank(times, 75);
        return new Speed(
                times.length,
                words,
                all,
                OptionalDouble.of(words * HOUR / all),
                OptionalDouble.of((double) all / times.length),
                OptionalLong.of(rank(times, 50)),
                OptionalLong.of(rank(times, 90)),
                OptionalLong.of(rank(times, 95)),
                OptionalLong.of(upper + FENCE * (upper - rank(times, 25))));
    }

    /** Whether a segment took out of the ordinary long. */
    public boolean isOutlier(SegmentWork work) {
        return outlierMillis.isPresent() && work.activeMillis() > outlierMillis.getAsLong();
    }

    /** The smallest value that so many percent of all are not above. */
    private static long rank(long[] sorted, int percent) {
        return sorted[(int) Math.max(0, ((long) sorted.length * percent + 99) / 100 - 1)];
    }
}
