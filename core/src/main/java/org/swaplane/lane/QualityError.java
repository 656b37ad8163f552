package org.swaplane.lane;

import java.time.Instant;
import org.swaplane.quality.Judgement;

/**
 * An error that somebody marked.
 *
 * @param start of the span in the text without tags; the end is after its last character
 * @param marked the text of the span at the time
 * @param correction what should stand there; may be empty
 * @param answer of the translator
 * @param decision of the arbitration
 */
public record QualityError(
        long id,
        long evaluation,
        long track,
        int version,
        String key,
        boolean inSource,
        int start,
        int end,
        String marked,
        Judgement judgement,
        String comment,
        String correction,
        String who,
        Instant at,
        Answer answer,
        String answerReason,
        String answeredBy,
        Decision decision) {
    /** What the translator says. */
    public enum Answer {
        NONE,
        ACCEPTED,
        REJECTED
    }

    /** What becomes of a rejected error. */
    public enum Decision {
        NONE,
        UPHELD,
        DISMISSED
    }

    /** Whether it counts after arbitration. */
    public boolean counts() {
        return decision != Decision.DISMISSED;
    }
}
