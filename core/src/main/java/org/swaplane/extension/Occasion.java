package org.swaplane.extension;

import org.swaplane.document.State;

/** What happens to a segment, so that a foreign attribute is written: it gets a state, or is locked or unlocked. */
public enum Occasion {
    INITIAL,
    TRANSLATED,
    REVIEWED,
    FINAL,
    LOCKED,
    UNLOCKED;

    public static Occasion of(State state) {
        return valueOf(state.name());
    }

    public static Occasion ofLock(boolean locked) {
        return locked ? LOCKED : UNLOCKED;
    }
}
