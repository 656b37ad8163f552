package org.swaplane.lane;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * One entry of the journal: what was done at once and is undone at once.
 *
 * @param trip code of the trip that it came from, empty otherwise
 */
public record Step(long id, StepKind kind, String who, Instant at, String trip, List<Change> changes) {
    public Step {
        changes = List.copyOf(changes);
    }

    /** Indexes of the segments that it changed. */
    public Set<Integer> segments() {
        return changes.stream().map(Change::segment).collect(Collectors.toSet());
    }
}
