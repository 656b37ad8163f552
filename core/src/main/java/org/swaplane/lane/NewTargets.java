package org.swaplane.lane;

import java.io.IOException;
import java.util.Locale;
import java.util.stream.Stream;
import org.swaplane.task.Progress;

/** What the empty targets of a file that comes into the lane begin with, as its settings say; one step that can be undone. */
public enum NewTargets {
    EMPTY,
    SOURCE,
    /** Exact matches and matches in context. */
    MEMORY;

    /** How the settings say it. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    static NewTargets of(String word) {
        return Stream.of(values())
                .filter(each -> each.word().equals(word))
                .findFirst()
                .orElse(EMPTY);
    }

    /** Gives the empty targets of a new track what the lane's settings say. */
    public static void fill(Lane lane, Track track, Progress progress) throws IOException {
        NewTargets choice = of(lane.settings().detail(LaneDetail.NEW_TARGETS));
        if (choice == MEMORY) {
            MemoryFill fill = new MemoryFill(lane);
            fill.take(
                    fill.plan(track.now(progress), MemoryFill.Choices.DEFAULT, progress),
                    lane.settings().person());
        } else if (choice == SOURCE) {
            TrackSnapshot now = track.now(progress);
            LaneWriter.await(lane.writer()
                    .edit(EditRequest.of(now, StepKind.COPIED, lane.settings().person(), SourceCopies.into(now))));
        }
    }
}
