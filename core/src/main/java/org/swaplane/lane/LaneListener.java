package org.swaplane.lane;

/**
 * Hears what happened in a lane, once it is on disk, in its order. Called from the lane's writing thread: what takes long goes
 * elsewhere.
 */
public interface LaneListener {
    /** Segments of a track changed. What goes on being typed is the same step again. */
    default void stepped(TrackSnapshot now, Step step) {}

    /** A track was read in another way or cut otherwise: positions of before hold no more. */
    default void reread(TrackSnapshot now) {}

    /** A track came to the lane. */
    default void added(Track track) {}

    /** A track got another due date, or was removed or brought back. */
    default void planned(Track track) {}

    /** A copy went out or came back. */
    default void tripChanged(Trip trip) {}

    /** Somebody noted something at a segment of a track, or set a bookmark. */
    default void noted(Track track) {}

    /** Findings were set aside or reopened. */
    default void decided() {}

    /** A dry run was made, or what it found was looked at. */
    default void proven(Track track) {}

    default void released(Track track) {}

    default void settingChanged(String key) {}
}
