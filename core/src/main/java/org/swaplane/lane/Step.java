package org.swaplane.lane;

import java.time.Instant;
import java.util.List;

/**
 * One entry of the journal: what was done at once and is undone at once.
 *
 * @param trip code of the trip that it came from, empty otherwise
 */
public record Step(long id, StepKind kind, String who, Instant at, String trip, List<Change> changes) {
    public Step {
        changes = List.copyOf(changes);
    }
}
