package org.swaplane.lane;

import java.util.List;
import org.swaplane.document.State;

/** What a copy goes out for. */
public enum Purpose {
    TRANSLATION(State.TRANSLATED, "copy.instructions.translation"),
    REVIEW(State.REVIEWED, "copy.instructions.review"),
    /** The client says yes or no. */
    APPROVAL(State.REVIEWED, "copy.instructions.approval"),
    /** Somebody is asked about the terms. */
    TERMINOLOGY(State.TRANSLATED, "copy.instructions.terminology"),
    /** The result went to the client; nobody waits for it, and if it comes back all the same, it is recognised. */
    DELIVERY(State.REVIEWED, "copy.instructions.review");

    /** What copies are sent for. */
    public static final List<Purpose> OF_COPIES = List.of(TRANSLATION, REVIEW, APPROVAL, TERMINOLOGY);

    private final State after;
    private final String instructions;

    Purpose(State after, String instructions) {
        this.after = after;
        this.instructions = instructions;
    }

    /** The state of a target that was taken from such a copy. */
    public State after() {
        return after;
    }

    /** Key of the sentence that tells the recipient what to do. */
    public String instructions() {
        return instructions;
    }
}
