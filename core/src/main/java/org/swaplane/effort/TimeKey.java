package org.swaplane.effort;

import java.time.LocalDate;

/**
 * What time is added up by.
 *
 * @param track 0 for the lane as a whole
 * @param view where it was spent; empty at segments
 * @param trip whose return was looked at; empty for none
 * @param byHand whether it was entered and not measured
 */
public record TimeKey(
        long track, String who, LocalDate day, Activity activity, String view, String trip, boolean byHand) {}
