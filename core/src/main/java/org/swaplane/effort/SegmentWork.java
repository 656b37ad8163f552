package org.swaplane.effort;

import java.util.List;
import org.swaplane.document.State;

/**
 * What was done at one segment within a period.
 *
 * @param version of the source that it belongs to
 * @param words of its source
 * @param distance between the text when the work began and the text now
 * @param similarity of both in percent
 * @param origin where the text came from that the work began with, as the journal names it
 * @param translator who sent that text back in a copy; empty where nobody did
 * @param people who changed the text or the state
 * @param versions texts that the segment had, the first one included
 * @param activeMillis how long somebody was there
 */
public record SegmentWork(
        long track,
        int version,
        String key,
        int words,
        Outcome outcome,
        int distance,
        int similarity,
        String origin,
        String translator,
        List<String> people,
        State stateBefore,
        State stateNow,
        int versions,
        long activeMillis) {
    /** What became of the text. */
    public enum Outcome {
        /** There was none. */
        ADDED,
        EDITED,
        /** It was taken away. */
        EMPTIED,
        UNTOUCHED
    }

    /** Whether it was translated or reviewed. */
    public Activity activity() {
        return outcome == Outcome.ADDED || outcome == Outcome.UNTOUCHED && stateBefore == State.INITIAL
                ? Activity.TRANSLATION
                : Activity.REVIEW;
    }

    public boolean isChanged() {
        return outcome != Outcome.UNTOUCHED;
    }
}
