package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.CheckRun;
import org.swaplane.demo.DemoLane;
import org.swaplane.quality.Judgement;
import org.swaplane.quality.QualityScore;
import org.swaplane.release.Gate;
import org.swaplane.task.Progress;

class QualityStoreTest {
    @TempDir
    private Path folder;

    private Lane lane;
    private QualityStore store;
    private Track track;

    @BeforeEach
    void open() throws IOException {
        lane = DemoLane.create(folder, Clock.fixed(Instant.parse("2026-11-23T09:00:00Z"), ZoneOffset.UTC));
        store = lane.quality();
        track = lane.tracks().get(0);
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private void mark(String key, String category, String severity) {
        LaneWriter.await(store.mark(
                new QualityStore.Place(track, key, false, 0, 1, "D"),
                new Judgement(category, severity),
                "",
                "",
                lane.tracks()));
    }

    private void by(String person) {
        LaneWriter.await(lane.settings().set(LaneDetail.PERSON, person));
    }

    @Test
    void theFirstErrorBeginsAnEvaluationOfEverything() {
        mark(track.now().segment(3).key(), "accuracy", "major");

        Evaluation evaluation = store.open().orElseThrow();
        assertThat(evaluation.isSample()).isFalse();
        assertThat(store.words(evaluation, lane.tracks()))
                .isEqualTo(lane.tracks().stream()
                        .flatMap(each -> each.summary().counts().words().stream())
                        .mapToInt(Integer::intValue)
                        .sum());
        assertThat(store.errors(track)).hasSize(1);
    }

    @Test
    void aSampleIsDrawnOnceAndStaysWhatItIsAlsoWhenTheLaneIsOpenedAgain() throws IOException {
        Evaluation evaluation = LaneWriter.await(store.begin("November", List.of(track), 100, 7, true));
        List<QualityStore.Drawn> drawn = store.drawn(evaluation);

        assertThat(drawn.stream().mapToInt(QualityStore.Drawn::words).sum()).isBetween(100, 130);
        lane.close();
        lane = Lane.open(folder, lane.formats(), lane.clock());
        assertThat(lane.quality().drawn(lane.quality().open().orElseThrow())).isEqualTo(drawn);
        assertThat(lane.quality().open().orElseThrow().blind()).isTrue();
    }

    @Test
    void anErrorThatIsDismissedDoesNotCountAfterArbitration() {
        LaneWriter.await(store.begin("November", List.of(track), 100, 7, false));
        Evaluation evaluation = store.open().orElseThrow();
        mark(store.drawn(evaluation).get(0).key(), "accuracy/omission", "critical");
        mark(store.drawn(evaluation).get(1).key(), "style", "minor");
        QualityError critical = store.errors(evaluation).get(0);

        LaneWriter.await(
                store.answer(critical, QualityError.Answer.REJECTED, "as in the term list", "Tom Brandt", track));
        LaneWriter.await(store.decide(critical, QualityError.Decision.DISMISSED, track));

        List<QualityError> all = store.errors(evaluation);
        assertThat(all.get(0).answerReason()).isEqualTo("as in the term list");
        assertThat(store.score(evaluation, all, lane.tracks()).passed()).isFalse();
        QualityScore arbitrated = store.score(
                evaluation, all.stream().filter(QualityError::counts).toList(), lane.tracks());
        assertThat(arbitrated.passed()).isTrue();
        assertThat(arbitrated.penalty()).isEqualByComparingTo("1");

        LaneWriter.await(store.close(evaluation, lane.tracks()));
        assertThat(store.open()).isEmpty();
        assertThat(store.results()).singleElement().satisfies(result -> {
            assertThat(result.passed()).isTrue();
            assertThat(result.score()).isEqualTo(arbitrated.score());
        });
        assertThat(store.errors(track)).isEmpty();
    }

    @Test
    void aReleaseMayAskForAnEvaluationThatHasPassed() throws IOException {
        LaneWriter.await(lane.settings().set(LaneDetail.RELEASE_CONDITIONS, "quality"));
        try (ReleaseConditions conditions = new ReleaseConditions(lane, CheckRun::ofAllChecks)) {
            assertThat(isMet(conditions)).isFalse();
            LaneWriter.await(store.begin("", List.of(track), 0, 0, false));
            // Nobody has said yet that all of it was evaluated.
            assertThat(isMet(conditions)).isFalse();
            LaneWriter.await(store.close(store.open().orElseThrow(), lane.tracks()));
            assertThat(isMet(conditions)).isTrue();

            LaneWriter.await(store.begin("", List.of(track), 0, 0, false));
            mark(track.now().segment(0).key(), "accuracy", "critical");
            LaneWriter.await(store.close(store.open().orElseThrow(), lane.tracks()));
            assertThat(isMet(conditions)).isFalse();
        }
    }

    private boolean isMet(ReleaseConditions conditions) throws IOException {
        return conditions.of(track.now(), Progress.NONE).conditions().stream()
                .filter(each -> each.id().equals("quality"))
                .allMatch(Gate.Condition::holds);
    }

    @Test
    void twoWhoMarkTheSameSegmentsAlikeAgree() {
        LaneWriter.await(store.begin("", List.of(track), 60, 3, false));
        Evaluation evaluation = store.open().orElseThrow();
        List<QualityStore.Drawn> drawn = store.drawn(evaluation);
        for (String person : List.of("Mara Lind", "Ines Falk")) {
            by(person);
            mark(drawn.get(0).key(), "accuracy", "major");
            mark(drawn.get(1).key(), "style", "minor");
        }
        assertThat(store.agreement(evaluation, store.errors(evaluation), "Mara Lind", "Ines Falk")
                        .kappa())
                .contains(1.0);

        mark(drawn.get(2).key(), "style", "major");
        assertThat(store.agreement(evaluation, store.errors(evaluation), "Mara Lind", "Ines Falk")
                        .kappa()
                        .orElseThrow())
                .isBetween(0.3, 0.95);
    }
}
