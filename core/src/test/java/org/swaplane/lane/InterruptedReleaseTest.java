package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.check.CheckRun;
import org.swaplane.demo.DemoLane;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.release.ReleaseOptions;
import org.swaplane.task.Progress;

/** A release is recorded before it can be seen, wherever it is interrupted, and never there without being recorded. */
class InterruptedReleaseTest {
    @TempDir
    private Path folder;

    private Lane lane;

    @BeforeEach
    void create() throws IOException {
        lane = DemoLane.create(folder, Clock.systemUTC());
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private Release release(ReleaseOptions.Packing packing) throws IOException {
        ReleaseOptions options =
                ReleaseOptions.DEFAULT.packed(packing, "{lane}-{release}", ReleaseOptions.Manifest.CSV);
        try (ReleaseConditions conditions = new ReleaseConditions(lane, CheckRun::ofAllChecks)) {
            return new Packaging(lane, conditions)
                    .release(lane.tracks().subList(0, 1), options, "a test", Progress.NONE);
        }
    }

    private List<String> inOut() throws IOException {
        try (Stream<Path> files = Files.list(folder.resolve("out"))) {
            return files.map(each -> each.getFileName().toString()).sorted().toList();
        }
    }

    private void reopen() throws IOException {
        lane.close();
        lane = Lane.open(folder, FormatRegistry.ofInstalled(), Clock.systemUTC());
    }

    @ParameterizedTest
    @ValueSource(strings = {"nothing moved", "only the package moved"})
    void killedAfterItWasRecordedItIsFinishedWhenTheLaneIsOpened(String moved) throws IOException {
        Release release = release(ReleaseOptions.Packing.ZIP);
        Path out = folder.resolve("out");
        Path staging = Files.createDirectories(out.resolve(".release-1"));
        Files.move(out.resolve(release.receipt()), staging.resolve("receipt.html"));
        if (moved.equals("nothing moved")) {
            Files.move(out.resolve(release.place()), staging.resolve("package.zip"));
        }

        reopen();

        assertThat(inOut()).containsExactlyInAnyOrder(release.place(), release.receipt());
        assertThat(Source.of(out.resolve(release.place())).sha256()).isEqualTo(release.sha256());
    }

    @Test
    void killedBeforeItWasRecordedNothingOfItIsLeftAndItsNumberIsFree() throws IOException {
        Path staging = Files.createDirectories(folder.resolve("out/.release-1/files"));
        Files.writeString(staging.resolve("half.xlf"), "half");

        reopen();

        assertThat(inOut()).isEmpty();
        assertThat(release(ReleaseOptions.Packing.FOLDER).number()).isOne();
    }

    @ParameterizedTest
    @ValueSource(strings = {"package", "receipt"})
    void whereItCannotBeMovedToItsPlaceTheRecordIsTakenBack(String blocked) throws IOException {
        int trips = lane.trips().all().size();
        LaneListener inTheWay = new LaneListener() {
            @Override
            public void released(Track released) {
                if (lane.releases().all().isEmpty()) {
                    return;
                }
                Release recorded = lane.releases().all().get(0);
                try {
                    Files.writeString(
                            folder.resolve("out")
                                    .resolve(blocked.equals("package") ? recorded.place() : recorded.receipt()),
                            "somebody else's");
                } catch (IOException e) {
                    throw new AssertionError(e);
                }
            }
        };
        lane.writer().listen(inTheWay);

        assertThatThrownBy(() -> release(ReleaseOptions.Packing.ZIP)).isInstanceOf(FileAlreadyExistsException.class);

        lane.writer().forget(inTheWay);
        assertThat(lane.releases().all()).isEmpty();
        assertThat(lane.trips().all()).hasSize(trips);
        assertThat(inOut()).hasSize(1);
        assertThat(folder.resolve("out").resolve(inOut().get(0))).hasContent("somebody else's");
        assertThat(release(ReleaseOptions.Packing.ZIP).number()).isOne();
    }
}
