package org.swaplane.effort;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * What a lane took within a period: what was done at each segment that somebody was at, and the time.
 *
 * @param tracks all segments and words of each track, whether somebody was there or not
 * @param segments those that somebody changed or visited
 * @param times milliseconds
 */
public record Effort(Map<Long, Size> tracks, List<SegmentWork> segments, Map<TimeKey, Long> times) {
    /** How large a track is. */
    public record Size(int segments, int words) {}

    public Effort {
        segments = List.copyOf(segments);
        times = Map.copyOf(times);
    }

    public long millis() {
        return millis(time -> true);
    }

    public long millis(Predicate<TimeKey> which) {
        return times.entrySet().stream()
                .filter(each -> which.test(each.getKey()))
                .mapToLong(Map.Entry::getValue)
                .sum();
    }

    /** Milliseconds by anything that can be said of them. */
    public <T> Map<T, Long> millisBy(Function<TimeKey, T> group) {
        return times.entrySet().stream()
                .collect(Collectors.groupingBy(
                        each -> group.apply(each.getKey()), Collectors.summingLong(Map.Entry::getValue)));
    }
}
