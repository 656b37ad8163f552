package org.swaplane.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.swaplane.check.CheckRun;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.lane.CopyExport;
import org.swaplane.lane.EditRequest;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.Packaging;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.ReleaseConditions;
import org.swaplane.lane.SendRequest;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.Value;
import org.swaplane.release.ReleaseOptions;
import org.swaplane.task.Progress;

/** Some of everything that writes into a lane, for {@code scripts/power-cut}, which watches what is forced to the disk. */
public final class PowerCutWork {
    private PowerCutWork() {}

    public static void main(String[] arguments) throws IOException {
        try (Lane lane =
                Lane.create(Path.of(arguments[0]), "Power cut", FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            for (int i = 0; i < 6; i++) {
                String text = "pier" + i + "=Pier " + i + "\ndeck" + i + "=Deck " + i + "\n";
                Track track = lane.trackStore()
                        .takeIn(
                                Source.of("signs" + i + ".properties", text.getBytes(StandardCharsets.UTF_8)),
                                FileOptions.ofLanguages("en-GB", "de-DE"),
                                Progress.NONE);
                for (int segment = 0; segment < 2; segment++) {
                    EditRequest edit = EditRequest.of(
                            track.now(),
                            StepKind.TYPED,
                            "Mara",
                            Map.of(segment, new Value(Content.of("Schild " + i + segment), State.REVIEWED)));
                    LaneWriter.await(lane.writer().edit(edit));
                }
                new CopyExport(lane)
                        .send(
                                List.of(track.now()),
                                SendRequest.of("Ines", Purpose.REVIEW, SendRequest.Form.FILE),
                                Progress.NONE);
                lane.trips().withdraw(lane.trips().of(track).get(0)).join();
                try (ReleaseConditions conditions = new ReleaseConditions(lane, CheckRun::ofAllChecks)) {
                    ReleaseOptions.Packing packing =
                            i % 2 == 0 ? ReleaseOptions.Packing.ZIP : ReleaseOptions.Packing.FOLDER;
                    new Packaging(lane, conditions)
                            .release(
                                    List.of(track),
                                    ReleaseOptions.DEFAULT.packed(
                                            packing, "out-{release}", ReleaseOptions.Manifest.NONE),
                                    "a trial",
                                    Progress.NONE);
                }
                lane.settings().set("name", "Power cut " + i).join();
            }
        }
    }
}
