package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.document.State;
import org.swaplane.effort.Attention;
import org.swaplane.effort.Visit;
import org.swaplane.effort.VisitClock;
import org.swaplane.extension.ExtensionRules;
import org.swaplane.extension.Meaning;
import org.swaplane.extension.ReadingRule;
import org.swaplane.format.FormatRegistry;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Changes that meet: each is made on what it was meant for, or not at all. */
class LaneWriterTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:30:00Z"), ZoneOffset.UTC);

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

    private static Map<Integer, Value> text(int index, String text) {
        return Map.of(index, new Value(Content.of(text), State.TRANSLATED));
    }

    private EditOutcome edit(TrackSnapshot made, Map<Integer, Value> edits) {
        return LaneWriter.await(lane.writer().edit(EditRequest.of(made, StepKind.TYPED, "Mara", edits)));
    }

    @Test
    void anEditOfWhatHasChangedSinceComesBackAsAConflict() {
        TrackSnapshot before = track.now();
        edit(before, text(0, "first"));

        EditOutcome outcome = edit(before, text(0, "second"));

        assertThat(outcome.step()).isEmpty();
        assertThat(outcome.conflicts())
                .extracting(conflict -> conflict.now().orElseThrow().target().plainText())
                .containsExactly("first");
        assertThat(track.now().target(0)).isEqualTo(Content.of("first"));
    }

    @Test
    void whatIsTypedAtAnotherSegmentIsNeverPutIntoTheOneBefore() {
        VisitClock clock = new VisitClock(DAY, Duration.ofMinutes(1), new Attention());
        clock.enter();
        Visit visit = clock.current().orElseThrow();
        for (int index : List.of(0, 1)) {
            EditRequest request = EditRequest.of(track.now(), StepKind.TYPED, "Mara", text(index, "text " + index))
                    .during(visit);
            LaneWriter.await(lane.writer().edit(request));
        }

        assertThat(track.now().target(0)).isEqualTo(Content.of("text 0"));
        track.unload();
        assertThat(track.now().target(0)).isEqualTo(Content.of("text 0"));
        assertThat(track.now().target(1)).isEqualTo(Content.of("text 1"));
    }

    @Test
    void ofSeveralEditsThoseWithoutAConflictAreMade() {
        TrackSnapshot before = track.now();
        edit(before, text(0, "first"));
        Map<Integer, Value> both = Map.of(
                0, new Value(Content.of("x"), State.TRANSLATED), 1, new Value(Content.of("y"), State.TRANSLATED));

        EditOutcome outcome = edit(before, both);

        assertThat(outcome.conflicts()).hasSize(1);
        assertThat(track.now().target(1)).isEqualTo(Content.of("y"));
    }

    @Test
    void theSameChangeTwiceIsNoConflict() {
        TrackSnapshot before = track.now();
        edit(before, text(0, "same"));

        assertThat(edit(before, text(0, "same")).conflicts()).isEmpty();
    }

    @Test
    void aSnapshotStaysWhatItWas() {
        TrackSnapshot before = track.now();
        Content was = before.target(0);

        edit(before, text(0, "new"));

        assertThat(before.target(0)).isEqualTo(was);
        assertThat(track.now().counts().unreviewed()).isEqualTo(before.counts().unreviewed());
    }

    @Test
    void listenersHearOfStepsInTheirOrderWithWhatStandsThen() {
        List<String> heard = new ArrayList<>();
        lane.writer().listen(new LaneListener() {
            @Override
            public void stepped(TrackSnapshot now, Step step) {
                int position = step.positions(now).iterator().next();
                heard.add(step.kind() + " " + now.target(position).plainText());
            }
        });

        edit(track.now(), text(0, "one"));
        edit(track.now(), text(0, "two"));
        LaneWriter.await(lane.writer().undo(track));

        assertThat(heard).containsExactly("TYPED one", "TYPED two", "TYPED one");
    }

    @Test
    void aReadingRuleThatComesWhileSomebodyTypesLosesNothing() throws IOException {
        TrackSnapshot before = track.now();
        ReadingRule rule = new ReadingRule("urn:example", "trans-unit", "frozen", "yes", Meaning.LOCKED);
        lane.trackStore().setRules(ExtensionRules.NONE.with(rule), Progress.NONE);

        assertThat(edit(before, text(0, "typed before")).conflicts()).isEmpty();
        assertThat(track.now().target(0)).isEqualTo(Content.of("typed before"));
    }

    @Test
    void rulesThatWereCancelledChangeNothing() {
        Progress cancelled = new Progress() {
            @Override
            public void at(long done, long total) {}

            @Override
            public boolean cancelled() {
                return true;
            }
        };
        ReadingRule rule = new ReadingRule("urn:example", "trans-unit", "frozen", "yes", Meaning.LOCKED);

        assertThatThrownBy(() -> lane.trackStore().setRules(ExtensionRules.NONE.with(rule), cancelled))
                .isInstanceOf(org.swaplane.task.CancelledException.class);

        assertThat(lane.settings().rules()).isEqualTo(ExtensionRules.NONE);
    }

    @Test
    void aSettingThatIsResetWhileItIsStillBeingWrittenStaysReset() {
        for (int i = 0; i < 200; i++) {
            lane.settings().set(LaneDetail.IDLE_LIMIT_SECONDS, "90");
            LaneWriter.await(lane.settings().reset(LaneDetail.IDLE_LIMIT_SECONDS));
            assertThat(lane.settings().own(LaneDetail.IDLE_LIMIT_SECONDS)).isEmpty();
        }
    }

    @Test
    void whatCannotBeWrittenChangesNothingAndIsWrittenWhenItCan() throws IOException {
        Path away = folder.resolve("moved");
        TrackSnapshot before = track.now();
        Files.move(folder.resolve("lane"), away);

        assertThatThrownBy(() -> edit(before, text(0, "typed meanwhile")))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("folder is gone");
        assertThat(track.now().target(0)).isEqualTo(before.target(0));

        Files.move(away, folder.resolve("lane"));
        edit(before, text(0, "typed meanwhile"));
        assertThat(track.now().target(0)).isEqualTo(Content.of("typed meanwhile"));
    }

    @Test
    void anUnloadedTrackIsReadAgainWithEverything() {
        edit(track.now(), text(0, "kept"));
        TrackCounts counts = track.now().counts();

        track.unload();

        assertThat(track.summary().counts()).isEqualTo(counts);
        assertThat(track.now().target(0)).isEqualTo(Content.of("kept"));
    }

    @Test
    void twoProgramsCannotWorkInOneLaneButBothCanLook() throws IOException {
        assertThatThrownBy(() -> Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), DAY))
                .isInstanceOf(LaneInUseException.class)
                .hasMessageContaining("since 2026-11-23T09:30:00Z");
        edit(track.now(), text(0, "seen from there"));

        try (Lane other = Lane.openForReading(folder.resolve("lane"), FormatRegistry.ofInstalled(), DAY)) {
            Track there = other.tracks().get(0);
            assertThat(other.isReadOnly()).isTrue();
            assertThat(there.now().target(0)).isEqualTo(Content.of("seen from there"));
            assertThatThrownBy(() -> new Work(other, there).edit(StepKind.TYPED, "Ines", "", text(1, "no")))
                    .isInstanceOf(CannotProceedException.class)
                    .hasMessageContaining("for reading only");
        }
        lane.close();
        lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), DAY);
    }

    @Test
    void aFileThatCannotBeReadKeepsNeitherTheLaneNorTheOthersFromOpening() throws IOException {
        lane.close();
        Files.delete(folder.resolve("lane").resolve("files").resolve(track.sha256()));
        lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), DAY);
        Track broken = lane.tracks().get(0);

        assertThatThrownBy(broken::now).isInstanceOf(CannotProceedException.class);

        assertThat(broken.problem()).contains("passenger-info.xlf");
        assertThat(broken.summary().counts().all()).isEqualTo(59);
        assertThat(lane.tracks().get(1).now().size()).isPositive();
    }

    @Test
    void aVisitIsMeasuredWithoutItsPausesAndBelongsToWhatWasTyped() {
        MovedClock clock = new MovedClock();
        VisitClock visits = new VisitClock(clock, Duration.ofSeconds(60), new Attention());
        String key = track.now().segment(0).key();

        visits.enter();
        clock.pass(10);
        visits.alive();
        EditRequest typed = EditRequest.of(track.now(), StepKind.TYPED, "Mara", text(0, "ein"));
        LaneWriter.await(lane.writer().edit(typed.during(visits.current().orElseThrow())));
        clock.pass(300);
        visits.alive();
        clock.pass(5);
        LaneWriter.await(
                lane.writer().visited(track, key, "Mara", visits.leave().get(0)));

        assertThat(track.visits(key)).extracting(Visit::active).containsExactly(Duration.ofSeconds(15));
        assertThat(track.visits(key))
                .extracting(visit -> Duration.between(visit.began(), visit.ended()))
                .containsExactly(Duration.ofSeconds(315));
    }

    /** Goes on only when told to. */
    private static final class MovedClock extends Clock {
        private Instant now = Instant.parse("2026-11-23T09:30:00Z");

        private void pass(int seconds) {
            now = now.plusSeconds(seconds);
        }

        @Override
        public Instant instant() {
            return now;
        }

        @Override
        public java.time.ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(java.time.ZoneId zone) {
            return this;
        }
    }
}
