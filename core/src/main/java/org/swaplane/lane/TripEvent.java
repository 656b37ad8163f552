package org.swaplane.lane;

import java.time.Instant;

/**
 * Something that happened to a trip.
 *
 * @param who the recipient, or the person of the lane who did it
 * @param detail name of a file, or number of changes
 */
public record TripEvent(String trip, Instant at, String who, Kind kind, String detail) {
    /** What can happen, in the order in which it mostly does. */
    public enum Kind {
        SENT,
        REMINDED,
        /** A copy came back and was read; it may come back several times. */
        RETURNED,
        /** Some or all of what came back was accepted. */
        ACCEPTED,
        WITHDRAWN
    }
}
