package org.swaplane.version;

import java.util.List;

/**
 * Segments of the old version and what they are in the new one, by index; a segment stands in one match.
 *
 * @param old ascending; empty for a new one
 * @param now ascending; empty for one that is gone
 * @param similarity of the sources in percent, rounded down; 0 where there is nothing on one side
 */
public record SegmentMatch(Outcome outcome, List<Integer> old, List<Integer> now, int similarity) {
    public SegmentMatch {
        old = List.copyOf(old);
        now = List.copyOf(now);
    }
}
