package org.swaplane.document;

import java.util.List;
import org.swaplane.content.Content;

/**
 * One segment as its file holds it.
 *
 * @param key identity within the document: the file's own ids, made unique where the file repeats them
 * @param part index of the {@link Part} that it belongs to
 * @param unit the file's id of the unit
 * @param target empty when the file has none
 * @param nativeState the file's own word for the state, empty when there is none
 * @param locked the file says that it must not be changed
 * @param maxLength highest number of characters of the target, 0 when there is no limit
 */
public record Segment(
        String key,
        int part,
        String unit,
        Content source,
        Content target,
        State state,
        String nativeState,
        boolean locked,
        List<Note> notes,
        int maxLength) {
    public Segment {
        notes = List.copyOf(notes);
    }

    /** Whether the target is only a copy of the source and nobody has claimed it as a translation. */
    public boolean prefilled() {
        return !locked && state.compareTo(State.REVIEWED) < 0 && !target.isEmpty() && target.sameAs(source);
    }
}
