package org.swaplane.lane;

import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import org.swaplane.quality.QualityScheme;

/**
 * One look at the quality of a lane.
 *
 * @param tracks ids of those that are evaluated
 * @param sampleWords how many words were to be drawn; 0 for everything
 * @param blind whether Review hides where texts come from
 * @param closedAt when its score was settled; empty while it goes on
 */
public record Evaluation(
        long id,
        String name,
        QualityScheme scheme,
        Set<Long> tracks,
        long sampleWords,
        long seed,
        boolean blind,
        String madeBy,
        Instant at,
        Optional<Instant> closedAt) {
    public boolean isSample() {
        return sampleWords > 0;
    }

    public boolean isOpen() {
        return closedAt.isEmpty();
    }
}
