package org.swaplane.format;

import java.util.Optional;
import org.swaplane.document.Lock;
import org.swaplane.document.State;

/**
 * What the reading rules of the lane make of the foreign attributes and elements on and around a segment.
 *
 * @param score in percent, -1 without one
 */
public record Marks(boolean locked, Optional<State> state, int score) {
    static final Marks NONE = new Marks(false, Optional.empty(), -1);

    /** The lock of a segment that by itself has {@code own}. */
    public Lock lock(Lock own) {
        return own == Lock.NONE && locked ? Lock.RULE : own;
    }
}
