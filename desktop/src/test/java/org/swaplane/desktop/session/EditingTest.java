package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.FormatRegistry;
import org.swaplane.lane.EditRequest;
import org.swaplane.lane.HistoryEntry;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;

/** What is done in the window shows at once, is written in its order, and is never lost. */
class EditingTest {
    private static final int AFTERNOON = 4;

    @TempDir
    private Path folder;

    private SessionBench bench;
    private LaneSession session;

    @BeforeEach
    void open() {
        bench = SessionBench.ofDemo(folder.resolve("lane"));
        session = bench.session;
    }

    @AfterEach
    void close() {
        bench.close();
    }

    private String shown(int index) {
        return bench.on(() -> session.snapshot().target(index).plainText());
    }

    private String written(int index) {
        return session.track().now().target(index).plainText();
    }

    private void type(int index, String text) {
        bench.run(() -> session.editing().type(index, Content.of(text)));
    }

    @Test
    void whatIsTypedShowsAtOnceAndIsOneStepForAVisit() {
        bench.run(() -> {
            for (String text : List.of("N", "Ne", "Neu", "Neu um 14:05")) {
                session.editing().type(AFTERNOON, Content.of(text));
                assertThat(session.snapshot().target(AFTERNOON)).isEqualTo(Content.of(text));
            }
        });
        bench.settle();

        assertThat(written(AFTERNOON)).isEqualTo("Neu um 14:05");
        assertThat(session.track()
                        .history(session.track().now().segment(AFTERNOON).key()))
                .extracting(HistoryEntry::kind)
                .containsExactly(StepKind.TYPED);
    }

    @Test
    void goingAwayAndBackEndsAStep() {
        type(AFTERNOON, "one");
        bench.run(() -> session.currentProperty().set(AFTERNOON + 1));
        bench.run(() -> session.currentProperty().set(AFTERNOON));
        type(AFTERNOON, "two");
        bench.settle();

        bench.run(session.editing()::undo);
        bench.settle();

        assertThat(shown(AFTERNOON)).isEqualTo("one");
    }

    @Test
    void whileTheLaneCannotBeWrittenTheTextStaysAndIsWrittenLaterInItsOrder() throws IOException {
        Path away = folder.resolve("away");
        Files.move(folder.resolve("lane"), away);
        type(AFTERNOON, "typed ");
        bench.until(() -> session.editing().isFailing());
        assertThat(bench.message()).startsWith("Not saved").contains("folder is gone");

        type(AFTERNOON, "typed without a disk");
        bench.run(() -> session.editing().setState(AFTERNOON, State.REVIEWED));
        assertThat(shown(AFTERNOON)).isEqualTo("typed without a disk");
        Files.move(away, folder.resolve("lane"));
        bench.until(() -> session.editing().isSaved());

        assertThat(written(AFTERNOON)).isEqualTo("typed without a disk");
        assertThat(session.track().now().state(AFTERNOON)).isEqualTo(State.REVIEWED);
        assertThat(bench.message()).isEqualTo("Everything is saved again.");
    }

    @Test
    void aTextThatWouldOverwriteSomebodyElsesIsShownAndCanBePutBack() {
        TrackSnapshot before = session.track().now();
        bench.run(() -> {
            // Written by another part of the program between two keys.
            EditRequest other = EditRequest.of(
                    before, StepKind.TAKEN, "Ines", Map.of(AFTERNOON, new Value(Content.of("theirs"), State.REVIEWED)));
            LaneWriter.await(session.lane().writer().edit(other));
            session.editing().type(AFTERNOON, Content.of("mine"));
        });
        bench.settle();

        assertThat(written(AFTERNOON)).isEqualTo("theirs");
        assertThat(shown(AFTERNOON)).isEqualTo("theirs");
        assertThat(bench.on(() -> session.editing().conflict(AFTERNOON))).isPresent();

        bench.run(() -> session.editing().putBack(AFTERNOON));
        bench.settle();
        assertThat(written(AFTERNOON)).isEqualTo("mine");
        assertThat(bench.on(() -> session.editing().conflict(AFTERNOON))).isEmpty();
    }

    @Test
    void everyEditIsCheckedAlsoWhileEverythingIsChecked() {
        bench.run(() -> session.checking().check());
        type(AFTERNOON, "Die Nachmittagsüberfahrt startet um 11:11 Uhr an Pier 3.");
        bench.settle();

        assertThat(bench.on(() -> session.checking().open(AFTERNOON)))
                .anyMatch(finding -> finding.message().contains("11:11"));

        type(AFTERNOON, "Die Nachmittagsüberfahrt startet um 14:05 Uhr an Pier 3.");
        bench.settle();
        assertThat(bench.on(() -> session.checking().open(AFTERNOON))).isEmpty();
        assertThat(bench.on(() -> session.checking().count()))
                .isEqualTo(bench.on(() -> session.checking().open().size()));
    }

    @Test
    void afterACutTheSameSegmentIsCurrentAndFindingsBelongToTheirSegments() {
        int page = 2;
        bench.run(() -> session.choose(session.lane().tracks().get(page)));
        bench.until(() -> session.checking().isMade());
        bench.settle();
        int last = session.snapshot().size() - 1;
        String key = session.snapshot().segment(last).key();
        int cut = bench.on(() -> {
            session.currentProperty().set(last);
            for (int i = 0; i < last; i++) {
                if (session.snapshot().segment(i).source().plainText().contains(". ")
                        || session.snapshot().segment(i).source().plainText().contains(" ")) {
                    String text = session.snapshot().segment(i).source().plainText();
                    session.editing().split(i, text.indexOf(' ') + 1);
                    return i;
                }
            }
            throw new AssertionError("nothing to cut");
        });
        bench.settle();
        bench.until(() -> session.checking().isMade());

        assertThat(cut).isLessThan(last);
        assertThat(session.snapshot().size()).isEqualTo(last + 2);
        assertThat(session.snapshot().segment(session.currentProperty().get()).key())
                .isEqualTo(key);
        assertThat(bench.on(() -> session.checking().open()))
                .allMatch(finding ->
                        session.snapshot().segment(finding.segment()).key().equals(finding.key()));
    }

    @Test
    void whatIsRefusedIsNotSaidToBeDone() throws IOException {
        bench.close();
        try (Lane held = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            bench = new SessionBench(
                    Lane.openForReading(held.folder(), FormatRegistry.ofInstalled(), Clock.systemUTC()));
            session = bench.session;
            bench.until(session::hasSegments);

            assertThat(bench.on(() -> session.editing().clearPrefilled(true))).isEmpty();
            assertThat(bench.message()).contains("only be looked at");
            bench.run(() -> session.editing().propagate(AFTERNOON, false, count -> {
                throw new AssertionError("it was refused");
            }));
            bench.settle();
            bench.close();
        }
        bench = SessionBench.ofDemo(folder.resolve("another"));
        session = bench.session;
    }

    @Test
    void whatCouldNotBeTakenOffTheBoardIsNotSaidToBe() throws IOException {
        Path away = folder.resolve("away");
        Files.move(folder.resolve("lane"), away);
        bench.run(() -> session.removal().remove(List.of(session.track())));
        bench.until(() -> session.messageProperty().get() != null);

        assertThat(bench.message()).contains("gone");
        assertThat(bench.on(() -> session.removal().isPossible())).isFalse();
        Files.move(away, folder.resolve("lane"));
        bench.run(() -> session.removal().remove(List.of(session.track())));
        bench.until(() -> session.removal().isPossible());
        assertThat(bench.message()).contains("board");
    }
}
