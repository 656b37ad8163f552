package org.swaplane.lane;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.swaplane.format.FormatRegistry;
import org.swaplane.task.CannotProceedException;

/** The other lanes of a person, among which the one that sent a copy is found. */
public record OtherLanes(List<Path> folders) {
    public static final OtherLanes NONE = new OtherLanes(List.of());

    /** Name of the lane that sent a trip; one that cannot be opened now is passed over. */
    public Optional<String> sender(String trip, FormatRegistry formats, Clock clock) {
        for (Path folder : folders) {
            if (Lane.isIn(folder)) {
                try (Lane lane = Lane.openForReading(folder, formats, clock)) {
                    if (lane.trips().find(trip).isPresent()) {
                        return Optional.of(lane.name());
                    }
                } catch (CannotProceedException e) {
                    // It is said when somebody opens it.
                    continue;
                }
            }
        }
        return Optional.empty();
    }
}
