package org.swaplane.lane;

import java.time.Instant;

/** A finding that a person accepted, with a reason; it holds as long as both texts stay the same. */
public record SetAside(
        String identity, int segment, String check, String message, String reason, String who, Instant at) {}
