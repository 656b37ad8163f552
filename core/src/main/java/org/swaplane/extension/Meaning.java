package org.swaplane.extension;

import java.util.Optional;
import org.swaplane.document.State;

/** What a foreign attribute or element says about the segments that it stands on or around. */
public enum Meaning {
    LOCKED,
    INITIAL,
    TRANSLATED,
    REVIEWED,
    FINAL,
    /** Its value is how good the target is, in percent. */
    SCORE;

    /** The state that it means, where it means one. */
    public Optional<State> state() {
        return switch (this) {
            case LOCKED, SCORE -> Optional.empty();
            case INITIAL, TRANSLATED, REVIEWED, FINAL -> Optional.of(State.valueOf(name()));
        };
    }
}
