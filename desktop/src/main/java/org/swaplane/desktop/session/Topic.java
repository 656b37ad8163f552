package org.swaplane.desktop.session;

/** What can have changed for a view. */
public enum Topic {
    /** Another track is shown, or its file has been read or cut in another way. */
    TRACK,
    SEGMENTS,
    /** Notes and bookmarks of people here. */
    NOTES,
    FINDINGS,
    /** The list of the lane's tracks, and how far each is. */
    TRACKS,
    TRIPS,
    PROOFS,
    RELEASES,
    SETTINGS
}
