package org.swaplane.lane;

import java.time.Instant;

/**
 * What somebody here noted about a segment.
 *
 * @param id the same in all versions of the source that it was carried to
 * @param key of the segment
 * @param start of the part of the target that it is about, in UTF-16 units of its text; -1 for the whole segment, as {@code end}
 * @param settled whether it is done with; an answer is settled with what it answers
 * @param answers id of the note that it answers; empty for none
 */
public record OwnNote(
        String id,
        String key,
        int start,
        int end,
        String author,
        Instant at,
        String text,
        boolean settled,
        String answers) {
    /** Whether it is about a part of the target. */
    public boolean hasSpan() {
        return start >= 0;
    }

    public boolean isAnswer() {
        return !answers.isEmpty();
    }
}
