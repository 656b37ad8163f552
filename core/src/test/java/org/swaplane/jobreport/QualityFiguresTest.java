package org.swaplane.jobreport;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.CheckRun;
import org.swaplane.demo.DemoLane;
import org.swaplane.effort.Period;
import org.swaplane.lane.Evaluation;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.Packaging;
import org.swaplane.lane.QualityError;
import org.swaplane.lane.QualityStore;
import org.swaplane.lane.ReleaseConditions;
import org.swaplane.lane.Track;
import org.swaplane.quality.Judgement;
import org.swaplane.report.Cell;
import org.swaplane.task.Progress;
import org.swaplane.wording.Wording;

/** What the report tells of evaluations, of those of other lanes, and of what was delivered. */
class QualityFiguresTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:00:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    private Lane lane;
    private Track track;

    @BeforeEach
    void create() throws IOException {
        lane = DemoLane.create(folder.resolve("lane"), DAY);
        track = lane.tracks().get(0);
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private static void mark(Lane in, Track at, String who, int segment, String category, String severity) {
        LaneWriter.await(in.settings().set(LaneDetail.PERSON, who));
        LaneWriter.await(in.quality()
                .mark(
                        new QualityStore.Place(at, at.now().segment(segment).key(), false, 0, 1, "D"),
                        new Judgement(category, severity),
                        "",
                        "",
                        in.tracks()));
    }

    private List<Figures> figures(ReportProfile profile, ReportPart part, List<QualityHistory.Job> history) {
        return new JobReport(
                        JobFacts.read(lane, lane.tracks(), Period.all(ZoneOffset.UTC), Progress.NONE),
                        profile,
                        CheckRun.ofAllChecks(),
                        history)
                .figures(Set.of(part), Progress.NONE);
    }

    private static List<List<String>> rows(List<Figures> all, String heading) {
        return all.stream()
                .filter(each -> each.section().heading().equals(heading))
                .flatMap(each -> each.section().rows().stream())
                .map(row -> row.stream().map(Cell::text).toList())
                .toList();
    }

    @Test
    void anEvaluationThatGoesOnHasAScoreAndNoResult() {
        mark(lane, track, "Mara Lind", 1, "style", "minor");

        List<Figures> open = figures(ReportProfile.INTERNAL, ReportPart.QUALITY, List.of());
        assertThat(rows(open, "Score").get(0)).last().isEqualTo("Not closed yet");

        Evaluation evaluation = lane.quality().open().orElseThrow();
        LaneWriter.await(lane.quality().close(evaluation, lane.tracks()));
        assertThat(rows(figures(ReportProfile.INTERNAL, ReportPart.QUALITY, List.of()), "Score")
                        .get(0))
                .last()
                .isEqualTo("Passed");
    }

    @Test
    void twoReviewersOfASampleAreToldApartAndComparedAndAnswersAreShown() {
        LaneWriter.await(lane.quality().begin("November", List.of(track), 100, 7, false));
        Evaluation evaluation = lane.quality().open().orElseThrow();
        List<String> drawn = lane.quality().drawn(evaluation).stream()
                .map(QualityStore.Drawn::key)
                .toList();
        int first = track.now().index(drawn.get(0)).orElseThrow();
        int second = track.now().index(drawn.get(1)).orElseThrow();
        mark(lane, track, "Mara Lind", first, "accuracy/omission", "critical");
        mark(lane, track, "Ines Falk", first, "accuracy/omission", "critical");
        mark(lane, track, "Ines Falk", second, "style", "minor");
        QualityError error = lane.quality().errors(evaluation).get(0);
        LaneWriter.await(
                lane.quality().answer(error, QualityError.Answer.REJECTED, "as in the term list", "Tom Brandt", track));
        LaneWriter.await(lane.quality().decide(error, QualityError.Decision.DISMISSED, track));

        List<Figures> all = figures(ReportProfile.INTERNAL, ReportPart.QUALITY, List.of());

        assertThat(rows(all, "Score")).hasSize(2);
        assertThat(rows(all, Wording.text("report.quality.by-reviewer")))
                .extracting(row -> row.get(0))
                .containsExactly("Ines Falk", "Mara Lind");
        assertThat(rows(all, Wording.text("report.quality.agreement"))).isNotEmpty();
        assertThat(all.toString()).contains("as in the term list");
        assertThat(figures(ReportProfile.CLIENT, ReportPart.QUALITY, List.of()).stream()
                        .flatMap(each -> each.section().rows().stream())
                        .flatMap(row -> row.stream().map(Cell::text)))
                .noneMatch(text -> text.contains("Mara") || text.contains("Ines"));
    }

    @Test
    void evaluationsOfOtherLanesOfTheClientAreTheHistoryAndOneThatCannotBeOpenedIsPassedOver() throws IOException {
        LaneWriter.await(lane.settings().set(LaneDetail.CLIENT, "Marram Sound Ferries"));
        Path otherFolder = folder.resolve("other");
        try (Lane other = DemoLane.create(otherFolder, DAY)) {
            LaneWriter.await(other.settings().set(LaneDetail.CLIENT, "Marram Sound Ferries"));
            mark(other, other.tracks().get(0), "Mara Lind", 1, "accuracy", "critical");
            LaneWriter.await(other.quality().close(other.quality().open().orElseThrow(), other.tracks()));
        }
        Path another = folder.resolve("another client");
        try (Lane other = DemoLane.create(another, DAY)) {
            mark(other, other.tracks().get(0), "Mara Lind", 1, "style", "minor");
            LaneWriter.await(other.quality().close(other.quality().open().orElseThrow(), other.tracks()));
            LaneWriter.await(other.settings().set(LaneDetail.CLIENT, "Gullwick Harbour"));
        }
        Path broken = Files.createDirectories(folder.resolve("broken"));
        Files.writeString(broken.resolve("lane.db"), "no database at all, and longer than a head of one ".repeat(30));

        List<QualityHistory.Job> history = QualityHistory.read(
                lane,
                List.of(otherFolder, another, broken, folder.resolve("none"), lane.folder()),
                "Marram Sound Ferries",
                lane.formats(),
                DAY,
                Progress.NONE);

        assertThat(history).hasSize(1);
        assertThat(rows(
                                figures(ReportProfile.INTERNAL, ReportPart.QUALITY, history),
                                Wording.text("report.quality.history"))
                        .get(0))
                .last()
                .isEqualTo("Not passed");
        assertThat(QualityHistory.read(lane, List.of(otherFolder, another), "", lane.formats(), DAY, Progress.NONE))
                .hasSize(2);
    }

    @Test
    void deliveriesChecksAndTripsAreToldAlsoOfAFileThatCannotBeRead() throws IOException {
        try (ReleaseConditions conditions = new ReleaseConditions(lane, CheckRun::ofAllChecks)) {
            new Packaging(lane, conditions)
                    .release(List.of(track), lane.settings().releaseOptions(), "by phone", Progress.NONE);
        }
        Track other = lane.tracks().get(1);
        Files.writeString(lane.folder().resolve("files").resolve(other.sha256()), "");
        other.unload();

        List<Figures> delivery = figures(ReportProfile.INTERNAL, ReportPart.DELIVERY, List.of());
        List<Figures> checks = figures(ReportProfile.INTERNAL, ReportPart.CHECKS, List.of());

        assertThat(delivery.toString()).contains("by phone");
        assertThat(checks.get(0).section().toString()).contains(other.name());
        assertThat(figures(ReportProfile.INTERNAL, ReportPart.TRIPS, List.of())).isNotEmpty();
    }
}
