package org.swaplane.lane;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.effort.Visit;

/** What people do with a track, for tests: each call is done when it returns. */
public final class Work {
    private final Lane lane;
    private final Track track;
    private long visits;

    public Work(Lane lane, Track track) {
        this.lane = lane;
        this.track = track;
    }

    public Optional<Step> edit(StepKind kind, String who, String trip, Map<Integer, Value> edits) {
        EditRequest request = EditRequest.of(track.now(), kind, who, edits).ofTrip(trip);
        EditOutcome outcome = LaneWriter.await(lane.writer().edit(request));
        if (!outcome.conflicts().isEmpty()) {
            throw new AssertionError("not expected: " + outcome.conflicts());
        }
        return outcome.step();
    }

    /** Goes on with the visit to a segment. */
    public Optional<Step> type(String who, int index, Value after) {
        Visit visit = new Visit(1_000 * visits + index, Instant.EPOCH, Instant.EPOCH, Duration.ZERO);
        EditRequest request = EditRequest.of(track.now(), StepKind.TYPED, who, Map.of(index, after));
        return LaneWriter.await(lane.writer().edit(request.during(visit))).step();
    }

    /** The next typing is another visit. */
    public void endTyping() {
        visits++;
    }

    public Optional<Step> lock(String who, List<Integer> segments, boolean locked) {
        return edit(
                locked ? StepKind.LOCKED : StepKind.UNLOCKED,
                who,
                "",
                track.now().locks(segments, locked));
    }

    public Optional<Step> undo() {
        return LaneWriter.await(lane.writer().undo(track));
    }

    public Optional<Step> redo() {
        return LaneWriter.await(lane.writer().redo(track));
    }
}
