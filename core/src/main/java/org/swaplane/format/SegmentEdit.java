package org.swaplane.format;

import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.document.Proposal;
import org.swaplane.document.State;

/**
 * What a segment shall hold when the file is written; a writer touches only what differs from the file.
 *
 * @param lock true to lock it, false to unlock it, empty to leave that as it is
 * @param proposal a translation to be put beside the target; left out by formats that have no place for one
 */
public record SegmentEdit(
        int segment, Content target, State state, Optional<Boolean> lock, Optional<Proposal> proposal) {
    public SegmentEdit(int segment, Content target, State state) {
        this(segment, target, state, Optional.empty());
    }

    public SegmentEdit(int segment, Content target, State state, Optional<Boolean> lock) {
        this(segment, target, state, lock, Optional.empty());
    }
}
