package org.swaplane.lane;

import java.time.LocalDate;
import java.util.Optional;

/**
 * What is known of a track besides its text.
 *
 * @param folder where the file lay in what the client sent, with {@code /} between the parts; empty at the top
 * @param due until when it is to be delivered
 * @param removed whether it was taken off the board; nothing of it is deleted
 */
public record TrackPlan(String folder, Optional<LocalDate> due, boolean removed) {
    static TrackPlan of(String folder, String due, String removedAt) {
        return new TrackPlan(
                folder, due.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(due)), !removedAt.isEmpty());
    }

    TrackPlan withDue(Optional<LocalDate> other) {
        return new TrackPlan(folder, other, removed);
    }

    TrackPlan withRemoved(boolean other) {
        return new TrackPlan(folder, due, other);
    }
}
