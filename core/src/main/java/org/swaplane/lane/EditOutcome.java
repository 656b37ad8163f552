package org.swaplane.lane;

import java.util.List;
import java.util.Optional;

/**
 * What became of an {@link EditRequest}.
 *
 * @param step empty when nothing changed
 * @param conflicts what was not changed; the rest was
 */
public record EditOutcome(Optional<Step> step, TrackSnapshot now, List<Conflict> conflicts) {
    public EditOutcome {
        conflicts = List.copyOf(conflicts);
    }
}
