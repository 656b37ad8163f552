package org.swaplane.effort;

/** What somebody works at. */
public enum Activity {
    /** At segments that had no target when the work began. */
    TRANSLATION,
    /** At segments that had one. */
    REVIEW,
    /** In the lane's other views: taking in, sending, proving, packing. */
    FILE_WORK
}
