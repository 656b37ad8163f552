package org.swaplane.lane;

import org.swaplane.content.Content;
import org.swaplane.document.State;

/** What a segment holds at one time: its target, its state, and whether it is locked. */
public record Value(Content target, State state, boolean locked) {
    /** Of a segment that is not locked, as all are that can be worked at. */
    public Value(Content target, State state) {
        this(target, state, false);
    }

    /** A target that somebody wrote: translated, unless nothing is left of it. */
    public static Value written(Content target) {
        return new Value(target, target.isEmpty() ? State.INITIAL : State.TRANSLATED);
    }
}
