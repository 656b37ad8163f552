package org.swaplane.lane;

import org.swaplane.content.Content;
import org.swaplane.document.State;

/** What a segment holds at one time: its target, its state, and whether it is locked. */
public record Value(Content target, State state, boolean locked) {
    /** Of a segment that is not locked, as all are that can be worked at. */
    public Value(Content target, State state) {
        this(target, state, false);
    }
}
