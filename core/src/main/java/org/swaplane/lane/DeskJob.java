package org.swaplane.lane;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.desk.DeskReceipt;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DeskVerdict;
import org.swaplane.desk.DownloadOptions;

/**
 * A task of a client's desk that this lane works at.
 *
 * @param desk the address
 * @param form of its files; empty as long as they were not fetched
 * @param tracks by the path that each is returned as
 * @param accepted SHA-256 of the last package that the desk accepted; empty for none
 * @param problems what the desk found in the last package
 */
public record DeskJob(
        String desk,
        DeskTask task,
        Optional<DownloadOptions.Form> form,
        Map<String, Track> tracks,
        String accepted,
        Optional<DeskReceipt> receipt,
        List<Problem> problems) {
    /**
     * A problem, and the segment that it leads to.
     *
     * @param track empty where it is about no file of the lane
     * @param key of the segment; empty for the whole file
     */
    public record Problem(DeskVerdict.Kind kind, String file, Optional<Track> track, String key, String message) {}

    /** What happened to it. */
    public record Event(Instant at, String who, Kind kind, String detail) {}

    /** What can happen to it; stored by name. */
    public enum Kind {
        ACCEPTED,
        FETCHED,
        RETURNED,
        REFUSED,
        HANDED_OVER,
        GIVEN_BACK,
        CHANGED
    }

    public DeskJob {
        tracks = Map.copyOf(tracks);
        problems = List.copyOf(problems);
    }

    public boolean isClosed() {
        return receipt.isPresent();
    }

    /** Whether its files are in the lane. */
    public boolean isHere() {
        return !tracks.isEmpty();
    }
}
