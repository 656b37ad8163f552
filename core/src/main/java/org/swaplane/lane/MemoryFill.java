package org.swaplane.lane;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import org.swaplane.document.BilingualDocument;
import org.swaplane.format.SegmentEdit;
import org.swaplane.memory.Filling;
import org.swaplane.memory.MemoryMatch;
import org.swaplane.task.Progress;

/** Fills a track from the lane's memories before the work: looked at first, then one step that undo takes back. */
public final class MemoryFill {
    private final Lane lane;

    public MemoryFill(Lane lane) {
        this.lane = lane;
    }

    /**
     * How it is filled.
     *
     * @param lockInContext whether segments that are filled from their very context are locked
     */
    public record Choices(int least, Filling.Over over, boolean lockInContext) {
        public static final Choices DEFAULT = new Choices(100, Filling.Over.EMPTY, false);
    }

    /**
     * What would be filled.
     *
     * @param made what the track held when it was looked at
     * @param words of the sources that would be filled
     */
    public record Plan(
            TrackSnapshot made,
            Map<Integer, Value> values,
            Map<MemoryMatch.Kind, Integer> filled,
            Map<Filling.Skipped, Integer> skipped,
            int words) {}

    public Plan plan(TrackSnapshot track, Choices choices, Progress progress) throws IOException {
        BilingualDocument current = track.current();
        Filling.Outcome outcome =
                new Filling(lane.memories().uses(), choices.least(), choices.over()).of(current, progress);
        Map<Integer, Value> values = new LinkedHashMap<>();
        int words = 0;
        for (SegmentEdit edit : outcome.edits()) {
            // Fuzzy matches are offered while the segment is worked at, and change nothing.
            if (edit.proposal().isEmpty()) {
                MemoryMatch match = outcome.matches().get(edit.segment());
                boolean lock = choices.lockInContext() && track.canLock() && match.kind() == MemoryMatch.Kind.CONTEXT;
                values.put(
                        edit.segment(),
                        new Value(
                                edit.target(),
                                edit.state(),
                                lock,
                                Origin.memory(match.score(), match.unit().origin())));
                words += track.words(edit.segment());
            }
        }
        return new Plan(track, values, outcome.filled(), outcome.skipped(), words);
    }

    /** Fills as planned; a segment that was changed meanwhile is left as it is. */
    public EditOutcome take(Plan plan, String who) {
        return LaneWriter.await(lane.writer().edit(EditRequest.of(plan.made(), StepKind.FILLED, who, plan.values())));
    }
}
