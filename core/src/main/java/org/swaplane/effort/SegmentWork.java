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
 * @param beginning what was there when the work began
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
        Beginning beginning,
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

    /** What was there when the work began. */
    public enum Beginning {
        EMPTY,
        /** A match of a memory, or a draft of a service, that nobody had confirmed. */
        FILLED,
        /** A translation that somebody made. */
        TRANSLATED
    }

    /**
     * Whether it was translated or reviewed, words and time alike: a translation is what begins with nothing, or with what a memory or a
     * service offered; everything else is a review.
     */
    public Activity activity() {
        return beginning == Beginning.TRANSLATED ? Activity.REVIEW : Activity.TRANSLATION;
    }

    public boolean isChanged() {
        return outcome != Outcome.UNTOUCHED;
    }
}
