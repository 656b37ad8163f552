package org.swaplane.lane;

import java.time.Instant;

/**
 * What was released in one step.
 *
 * @param number counts the lane's releases from 1
 * @param place the zip or the folder, within the lane's folder {@code out}
 * @param sha256 of the zip; empty for a folder
 * @param reason why it went although conditions were not met; empty where all were
 * @param receipt name of the page that says all this, in the lane's folder {@code out}
 */
public record Release(
        int number,
        Instant at,
        String who,
        String place,
        String sha256,
        int files,
        int segments,
        int words,
        String reason,
        String receipt) {
    /** What a condition of a track was when it was released. */
    public record Condition(long track, String id, boolean met, String reason) {}

    /** A condition that a person does without, for one track and as long as nobody takes it back. */
    public record Waiver(long track, String condition, String reason, String who, Instant at) {}
}
