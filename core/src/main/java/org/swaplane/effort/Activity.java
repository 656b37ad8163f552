package org.swaplane.effort;

/** What somebody works at. */
public enum Activity {
    /** At segments that had no target when the work began, or one that a memory or a service had filled in. */
    TRANSLATION,
    /** At segments that came with a translation. */
    REVIEW,
    /** In the lane's other views: taking in, sending, proving, packing. */
    FILE_WORK
}
