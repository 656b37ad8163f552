package org.swaplane.review;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.lane.EditRequest;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;
import org.swaplane.task.Progress;

/** A lane with one file to work through, for tests. */
final class ReviewLane implements AutoCloseable {
    final Lane lane;
    final Track track;

    /** @param units lines of trans-units */
    ReviewLane(Path folder, String units) throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Spring", FormatRegistry.ofInstalled(), Clock.systemUTC());
        String xliff = "<xliff version=\"1.2\"><file original=\"a\" source-language=\"en-GB\" target-language=\"de-DE\""
                + " datatype=\"plaintext\"><body>" + units + "</body></file></xliff>";
        track = lane.trackStore()
                .takeIn(Source.of("a.xlf", xliff.getBytes(StandardCharsets.UTF_8)), FileOptions.NONE, Progress.NONE);
    }

    static String unit(String id, String source, String target) {
        return "<trans-unit id=\"" + id + "\"><source>" + source + "</source>"
                + (target.isEmpty() ? "" : "<target>" + target + "</target>") + "</trans-unit>";
    }

    TrackSnapshot now() {
        return track.now();
    }

    void edit(StepKind kind, String who, int index, Value value) {
        LaneWriter.await(lane.writer().edit(EditRequest.of(now(), kind, who, Map.of(index, value))));
    }

    void type(String who, int index, String target) {
        edit(StepKind.TYPED, who, index, Value.written(Content.of(target)));
    }

    void review(int index) {
        edit(StepKind.STATE_SET, "Mara", index, new Value(now().target(index), State.REVIEWED));
    }

    @Override
    public void close() {
        lane.close();
    }
}
