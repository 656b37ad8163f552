package org.swaplane.lane;

import org.swaplane.content.Content;
import org.swaplane.document.State;

/** What a segment holds at one time: its target, its state, whether it is locked, and where the target comes from. */
public record Value(Content target, State state, boolean locked, Origin origin) {
    /** Of a target whose origin is told by the step that writes it. */
    public Value(Content target, State state, boolean locked) {
        this(target, state, locked, Origin.RECEIVED);
    }

    /** Of a segment that is not locked, as all are that can be worked at. */
    public Value(Content target, State state) {
        this(target, state, false);
    }

    /** A target that somebody wrote: translated, unless nothing is left of it. */
    public static Value written(Content target) {
        return new Value(target, target.isEmpty() ? State.INITIAL : State.TRANSLATED);
    }

    /** The same from elsewhere. */
    public Value from(Origin other) {
        return new Value(target, state, locked, other);
    }

    public Value withLock(boolean other) {
        return new Value(target, state, other, origin);
    }

    /** Whether it is as a draft service left it: nobody has edited or reviewed it. */
    public boolean isDraft() {
        return origin.kind() == Origin.Kind.DRAFT && state.compareTo(State.REVIEWED) < 0;
    }

    /** The same as a step puts it in the place of another: a target that stays keeps its origin. */
    Value after(Value before, StepKind step) {
        if (target.equals(before.target())) {
            return from(before.origin());
        }
        return origin.equals(Origin.RECEIVED) ? from(Origin.of(step)) : this;
    }
}
