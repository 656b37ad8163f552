package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.release.Gate;
import org.swaplane.task.Progress;

/** Checks and releases one track at a time, for tests. */
final class OneRelease {
    private final Lane lane;
    private final ReleaseConditions conditions;

    OneRelease(Lane lane, CheckRun checks) {
        this.lane = lane;
        this.conditions = new ReleaseConditions(lane, () -> checks);
    }

    List<Finding> findings(TrackSnapshot track) {
        return conditions.findings(track, Progress.NONE);
    }

    Gate gate(Track track) throws IOException {
        return conditions.of(track, Progress.NONE);
    }

    /** The file that was written, in a folder of its own. */
    Path release(Track track, String reason) throws IOException {
        Release release = new Packaging(lane, conditions)
                .release(List.of(track), lane.settings().releaseOptions(), reason, Progress.NONE);
        return lane.folder()
                .resolve("out")
                .resolve(release.place())
                .resolve(lane.releases().files(release).get(0).file().path());
    }
}
