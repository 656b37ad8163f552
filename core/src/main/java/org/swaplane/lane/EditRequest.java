package org.swaplane.lane;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.swaplane.content.Content;
import org.swaplane.effort.Visit;

/**
 * What somebody wants done to segments of a track, as one step; made against a snapshot, which may be an old one when its turn comes.
 *
 * @param trip code of the trip that it comes from, empty otherwise
 * @param visit during which it is typed; what is typed in one visit is one step
 */
public record EditRequest(
        Track track, StepKind kind, String who, String trip, Optional<Visit> visit, List<Wanted> wanted) {
    /**
     * One segment.
     *
     * @param source that it had
     * @param base what it held, which {@code after} shall take the place of
     */
    public record Wanted(String key, Content source, Value base, Value after) {}

    public EditRequest {
        wanted = List.copyOf(wanted);
    }

    /** These segments of a snapshot, by their positions; what would change nothing is left out. */
    public static EditRequest of(TrackSnapshot made, StepKind kind, String who, Map<Integer, Value> edits) {
        List<Wanted> wanted = new ArrayList<>();
        new TreeMap<>(edits).forEach((index, value) -> {
            Value after = value.after(made.value(index), kind);
            if (!after.equals(made.value(index))) {
                wanted.add(new Wanted(
                        made.segment(index).key(), made.segment(index).source(), made.value(index), after));
            }
        });
        return new EditRequest(made.track(), kind, who, "", Optional.empty(), wanted);
    }

    /** The same as what a trip brought. */
    public EditRequest ofTrip(String code) {
        return new EditRequest(track, kind, who, code, visit, wanted);
    }

    /** The same as typed during a visit. */
    public EditRequest during(Visit when) {
        return new EditRequest(track, kind, who, trip, Optional.of(when), wanted);
    }

    /** Whether it is allowed on a locked segment: only what locks and unlocks. */
    boolean concernsLocks() {
        return kind == StepKind.LOCKED || kind == StepKind.UNLOCKED;
    }
}
