package org.swaplane.lane;

import java.time.Instant;

/** One change in the history of a segment, also one that was undone. */
public record HistoryEntry(
        StepKind kind, String who, Instant at, String trip, Value before, Value after, boolean undone) {}
