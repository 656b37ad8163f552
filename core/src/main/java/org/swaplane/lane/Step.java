package org.swaplane.lane;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * One entry of the journal: what was done at once and is undone at once.
 *
 * @param trip code of the trip that it came from, empty otherwise
 */
public record Step(long id, StepKind kind, String who, Instant at, String trip, List<Change> changes) {
    public Step {
        changes = List.copyOf(changes);
    }

    /** Where the segments that it changed stand in a snapshot; those that are not in it are left out. */
    public Set<Integer> positions(TrackSnapshot snapshot) {
        Set<Integer> positions = new TreeSet<>();
        changes.forEach(change -> snapshot.index(change.key()).ifPresent(positions::add));
        return positions;
    }
}
