package org.swaplane.format;

import java.util.List;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.document.Note;
import org.swaplane.document.Proposal;
import org.swaplane.document.State;

/**
 * What a segment shall hold when the file is written; a writer touches only what differs from the file.
 *
 * @param lock true to lock it, false to unlock it, empty to leave that as it is
 * @param proposal a translation to be put beside the target; left out by formats that have no place for one
 * @param notes put beside those that the file has; left out by formats that have no place for them
 */
public record SegmentEdit(
        int segment,
        Content target,
        State state,
        Optional<Boolean> lock,
        Optional<Proposal> proposal,
        List<Note> notes) {
    public SegmentEdit {
        notes = List.copyOf(notes);
    }

    public SegmentEdit(int segment, Content target, State state) {
        this(segment, target, state, Optional.empty());
    }

    public SegmentEdit(int segment, Content target, State state, Optional<Boolean> lock) {
        this(segment, target, state, lock, Optional.empty());
    }

    public SegmentEdit(int segment, Content target, State state, Optional<Boolean> lock, Optional<Proposal> proposal) {
        this(segment, target, state, lock, proposal, List.of());
    }

    /** The same with notes. */
    public SegmentEdit with(List<Note> other) {
        return new SegmentEdit(segment, target, state, lock, proposal, other);
    }

    /** The same with another target and state. */
    public SegmentEdit with(Content otherTarget, State otherState) {
        return new SegmentEdit(segment, otherTarget, otherState, lock, proposal, notes);
    }
}
