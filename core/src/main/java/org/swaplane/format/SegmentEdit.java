package org.swaplane.format;

import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.document.State;

/**
 * What a segment shall hold when the file is written; a writer touches only what differs from the file.
 *
 * @param lock true to lock it, false to unlock it, empty to leave that as it is
 */
public record SegmentEdit(int segment, Content target, State state, Optional<Boolean> lock) {
    public SegmentEdit(int segment, Content target, State state) {
        this(segment, target, state, Optional.empty());
    }
}
