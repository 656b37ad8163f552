package org.swaplane.lane;

/** What a person did in one step. */
public enum StepKind {
    TYPED,
    STATE_SET,
    TAKEN,
    FIXED,
    CLEARED,
    COPIED,
    PROPAGATED,
    PROPOSED,
    /** Before the work, from memories. */
    FILLED,
    /** Found and replaced. */
    REPLACED,
    /** By a draft service. */
    DRAFTED,
    LOCKED,
    UNLOCKED,
    /** Segments were joined or split. */
    RESEGMENTED,
    /** Another version of the source took the place of the one before. */
    NEW_VERSION
}
