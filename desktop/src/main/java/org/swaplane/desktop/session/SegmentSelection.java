package org.swaplane.desktop.session;

import java.util.Set;
import org.swaplane.lane.Track;

/**
 * Segments that a figure was counted from, to be looked at in Review.
 *
 * @param words what they have in common
 */
public record SegmentSelection(Track track, Set<String> keys, String words) {
    public SegmentSelection {
        keys = Set.copyOf(keys);
    }
}
