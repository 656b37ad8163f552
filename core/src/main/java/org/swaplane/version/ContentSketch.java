package org.swaplane.version;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.swaplane.compare.Symbols;
import org.swaplane.document.Segment;

/**
 * A few numbers by which documents with much the same content are known without reading them: the smallest hashes of their sources (bottom-k
 * sketch). Of a short document it holds every source, so that the similarity is exact.
 */
public record ContentSketch(long[] smallest) {
    private static final int MOST = 96;
    private static final long PRIME = 0x9E3779B97F4A7C15L;

    public static final ContentSketch EMPTY = new ContentSketch(new long[0]);

    public static ContentSketch of(List<Segment> segments) {
        return new ContentSketch(segments.stream()
                .mapToLong(segment -> hash(Symbols.written(segment.source())))
                .distinct()
                .sorted()
                .limit(MOST)
                .toArray());
    }

    private static long hash(String text) {
        long hash = PRIME;
        for (int i = 0; i < text.length(); i++) {
            hash = (hash ^ text.charAt(i)) * PRIME;
            hash ^= hash >>> 29;
        }
        return hash;
    }

    /** As a lane keeps it. */
    public static ContentSketch ofWritten(String written) {
        return written.isEmpty()
                ? EMPTY
                : new ContentSketch(Arrays.stream(written.split(" "))
                        .mapToLong(each -> Long.parseLong(each, Character.MAX_RADIX))
                        .toArray());
    }

    public String written() {
        return LongStream.of(smallest)
                .mapToObj(each -> Long.toString(each, Character.MAX_RADIX))
                .collect(Collectors.joining(" "));
    }

    public boolean isEmpty() {
        return smallest.length == 0;
    }

    /** About how much of what is in one of them is in both, from 0 to 1. */
    public double similarity(ContentSketch other) {
        if (isEmpty() || other.isEmpty()) {
            return 0;
        }
        long[] all = LongStream.concat(LongStream.of(smallest), LongStream.of(other.smallest))
                .distinct()
                .sorted()
                .limit(MOST)
                .toArray();
        long both = LongStream.of(all)
                .filter(each ->
                        Arrays.binarySearch(smallest, each) >= 0 && Arrays.binarySearch(other.smallest, each) >= 0)
                .count();
        return (double) both / all.length;
    }
}
