package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.Track;
import org.swaplane.release.Gate;
import org.swaplane.release.ReleaseForm;
import org.swaplane.release.ReleaseOptions;

class ReleasingTest {
    @TempDir
    private Path folder;

    private SessionBench bench;
    private Releasing releasing;

    @BeforeEach
    void open() {
        bench = SessionBench.ofDemo(folder);
        releasing = bench.session.releasing();
        look();
    }

    @AfterEach
    void close() {
        bench.close();
    }

    private void look() {
        bench.run(releasing::refresh);
        bench.until(() -> !releasing.rows().isEmpty()
                && releasing.rows().stream().allMatch(row -> row.gate().isPresent())
                && !bench.session.background().busyProperty().get());
    }

    private Track track(int index) {
        return bench.on(() -> releasing.rows().get(index).track());
    }

    private void settle() {
        bench.until(() -> !bench.session.background().busyProperty().get());
    }

    @Test
    void aRowIsReadyWhenWhatIsOpenIsWaived() {
        Releasing.Row first = bench.on(() -> releasing.rows().get(0));
        assertThat(first.isReady()).isFalse();

        for (Gate.Condition each : first.open()) {
            bench.run(() -> releasing.waive(List.of(first.track()), each.id(), "agreed"));
        }
        settle();
        bench.until(() -> releasing.rows().get(0).isReady());

        bench.run(() -> releasing.waive(List.of(first.track()), "reviewed", ""));
        bench.until(() -> releasing.rows().get(0).open().size() == 1);
    }

    @Test
    void whatIsNotReadyIsHeldBackAndNamed() {
        Track ready = track(1);
        bench.run(() -> List.of("dry-run", "findings", "reviewed")
                .forEach(each -> releasing.waive(List.of(ready), each, "agreed")));
        settle();

        bench.run(() -> releasing.releaseReady(List.of(track0(), ready)));
        bench.until(() -> bench.session.messageProperty().get() != null);
        settle();

        assertThat(bench.session.messageProperty().get().tone()).isEqualTo(Notification.Tone.FAILED);
        assertThat(bench.session.messageProperty().get().text()).contains("passenger-info.xlf");
        assertThat(folder.resolve("out").resolve("release-1")).isDirectoryContaining("glob:**leaflet_de-DE.docx");
    }

    private Track track0() {
        return releasing.rows().get(0).track();
    }

    @Test
    void whatIsLeftOutIsNotReleasedAndAReasonWaivesTheRest() {
        bench.run(() -> releasing.choose(List.of(track0()), false));
        settle();
        List<Track> chosen = bench.on(
                () -> releasing.chosen().stream().map(Releasing.Row::track).toList());
        assertThat(chosen).hasSize(4);

        bench.run(() -> releasing.release(chosen, "for a first look"));
        bench.until(() -> !releasing.releases().isEmpty());

        assertThat(releasing.releases().get(0).files()).isEqualTo(4);
        assertThat(Files.exists(folder.resolve("out")
                        .resolve(releasing.releases().get(0).receipt())))
                .isTrue();
    }

    @Test
    void twoFilesOfOneNameAreSaidBeforeAnythingIsReleased() {
        bench.run(() -> releasing.setOptions(ReleaseOptions.DEFAULT.withOutputs(
                List.of(new ReleaseOptions.Output(ReleaseForm.TEXT, "all.txt", "")))));
        bench.until(() -> !releasing.planProblem().isEmpty());

        assertThat(releasing.planProblem()).contains("passenger-info.xlf", "leaflet.docx");
        assertThat(releasing.planned(track(0))).isEmpty();
    }

    @Test
    void aProfileBringsConditionsAndOptionsToAnotherLane() {
        bench.run(() -> {
            bench.session.set(LaneDetail.RELEASE_CONDITIONS, "final");
            releasing.setOptions(ReleaseOptions.DEFAULT.withCodes("de-DE=ger"));
        });
        settle();
        String profile = bench.on(releasing::profile);
        bench.run(() -> {
            bench.session.set(LaneDetail.RELEASE_CONDITIONS, "");
            releasing.setOptions(ReleaseOptions.DEFAULT);
        });
        settle();

        bench.run(() -> releasing.applyProfile(profile));
        settle();

        assertThat(bench.on(() -> releasing.options().code("de-DE"))).isEqualTo("ger");
        assertThat(bench.session.lane().settings().releaseConditions()).containsExactly("final");
    }
}
