package org.swaplane.effort;

import java.time.Duration;
import java.time.Instant;

/**
 * One stay at a segment or in a view, so far. It never goes beyond midnight.
 *
 * @param number tells it from every other one of this program's run
 * @param ended when something was last done there
 * @param active the time between, without pauses that were longer than the lane's idle limit
 */
public record Visit(long number, Instant began, Instant ended, Duration active) {}
