package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.Extra;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;
import org.swaplane.version.CarryOver;
import org.swaplane.version.Outcome;
import org.swaplane.version.VersionComparison;

class VersionUpdateTest {
    private static final String FIRST =
            page("Timetable", "The ferry leaves at 9:00.", "Dogs travel free.", "Tickets are sold on board.");
    private static final String SECOND = page(
            "Timetable", "New in May.", "The ferry leaves at 9:15.", "Tickets are sold on board.", "Dogs travel free.");

    @TempDir
    Path folder;

    private Lane lane;
    private Track track;

    private static String page(String... paragraphs) {
        return "<html lang=\"en\"><body>"
                + String.join(
                        "",
                        List.of(paragraphs).stream()
                                .map(each -> "<p>" + each + "</p>")
                                .toList())
                + "</body></html>";
    }

    private static Source source(String name, String text) {
        return Source.of(name, text.getBytes(StandardCharsets.UTF_8));
    }

    @BeforeEach
    void takeIn() throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Spring", FormatRegistry.ofInstalled(), Clock.systemUTC());
        track = lane.trackStore().takeIn(source("a.html", FIRST), FileOptions.ofLanguages("en", "de"), Progress.NONE);
        Work work = new Work(lane, track);
        List<String> targets =
                List.of("Fahrplan", "Die Fähre fährt um 9:00 ab.", "Hunde reisen frei.", "Fahrkarten gibt es an Bord.");
        for (int i = 0; i < targets.size(); i++) {
            work.type("Mara", i, new Value(Content.of(targets.get(i)), State.REVIEWED));
            work.endTyping();
        }
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private VersionUpdate.Preview second() throws IOException {
        return new VersionUpdate(lane).of(track, source("a2.html", SECOND), Progress.NONE);
    }

    private List<String> rows() {
        TrackSnapshot now = track.now();
        return IntStream.range(0, now.size())
                .mapToObj(i -> now.target(i).plainText() + " " + now.state(i))
                .toList();
    }

    @Test
    void whatDidNotChangeIsCarriedOverAndWhatDidIsProposed() throws IOException {
        List<String> before = rows();
        VersionUpdate.Preview preview = second();
        assertThat(preview.alignment().counts())
                .containsEntry(Outcome.UNCHANGED, 2)
                .containsEntry(Outcome.MOVED, 1)
                .containsEntry(Outcome.CHANGED, 1)
                .containsEntry(Outcome.NEW, 1);
        assertThat(rows()).isEqualTo(before);

        new VersionUpdate(lane).take(preview, VersionUpdate.Choices.DEFAULT);

        assertThat(rows().get(0)).isEqualTo("Fahrplan REVIEWED");
        assertThat(rows().subList(1, 3)).containsExactly(" INITIAL", " INITIAL");
        // One of the two that changed places is in its place and the other one moved.
        assertThat(rows().subList(3, 5))
                .allMatch(row -> row.matches("(Fahrkarten gibt es an Bord|Hunde reisen frei)\\. (REVIEWED|TRANSLATED)"))
                .anyMatch(row -> row.endsWith("REVIEWED"))
                .anyMatch(row -> row.endsWith("TRANSLATED"));
        assertThat(track.now().segment(2).proposals()).hasSize(1);
        assertThat(track.now().segment(2).proposals().get(0).target())
                .isEqualTo(Content.of("Die Fähre fährt um 9:00 ab."));
        assertThat(lane.trackStore().versions().of(track))
                .extracting(SourceVersion::name)
                .containsExactly("a.html", "a2.html");
    }

    @Test
    void itIsOneStepThatUndoTakesBackAlsoAfterARestart() throws IOException {
        List<String> before = rows();
        new VersionUpdate(lane).take(second(), VersionUpdate.Choices.DEFAULT);
        List<String> after = rows();
        new Work(lane, track).type("Mara", 1, new Value(Content.of("Neu im Mai."), State.TRANSLATED));
        reopen();

        assertThat(rows()).contains("Neu im Mai. TRANSLATED");
        new Work(lane, track).undo();
        assertThat(rows()).isEqualTo(after);
        new Work(lane, track).undo();
        assertThat(rows()).isEqualTo(before);
        reopen();
        assertThat(rows()).isEqualTo(before);
        new Work(lane, track).redo();
        assertThat(rows()).isEqualTo(after);
        new Work(lane, track).undo();
        new Work(lane, track).undo();
        assertThat(rows()).contains(" INITIAL");
    }

    @Test
    void theHistoryOfASegmentIsOneStoryOverItsVersions() throws IOException {
        new VersionUpdate(lane).take(second(), VersionUpdate.Choices.DEFAULT);

        assertThat(track.history(track.now().segment(4).key()))
                .extracting(HistoryEntry::kind)
                .containsExactly(StepKind.NEW_VERSION, StepKind.TYPED);
        assertThat(track.history(track.now().segment(1).key())).isEmpty();
    }

    @Test
    void anEarlierVersionComesBackWithEverything() throws IOException {
        List<String> before = rows();
        new VersionUpdate(lane).take(second(), VersionUpdate.Choices.DEFAULT);
        SourceVersion first = lane.trackStore().versions().of(track).get(0);
        VersionUpdate.Preview back = new VersionUpdate(lane).of(track, first, Progress.NONE);
        new VersionUpdate(lane).take(back, VersionUpdate.Choices.DEFAULT);

        assertThat(track.version().number()).isEqualTo(3);
        assertThat(rows().get(1)).isEqualTo(before.get(1));
    }

    @Test
    void theSameFileChangesNothing() throws IOException {
        List<String> before = rows();
        VersionUpdate.Preview same = new VersionUpdate(lane).of(track, source("a.html", FIRST), Progress.NONE);
        assertThat(same.alignment().isSame()).isTrue();
        assertThat(same.lost()).isEmpty();

        new VersionUpdate(lane).take(same, new VersionUpdate.Choices(true, CarryOver.Wins.OURS));
        assertThat(rows()).isEqualTo(before);
    }

    @Test
    void choicesOfADocumentCanBeChangedLaterAndWhatWouldBeLostIsSaid() throws IOException {
        VersionUpdate update = new VersionUpdate(lane);
        var choices = update.options(track).with(EnumSet.noneOf(Extra.class));
        VersionUpdate.Preview preview = update.of(track, choices, Progress.NONE);

        assertThat(preview.lost()).isEmpty();
        update.take(preview, VersionUpdate.Choices.DEFAULT);
        assertThat(rows()).contains("Hunde reisen frei. REVIEWED");
    }

    private void reopen() throws IOException {
        lane.close();
        lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
        track = lane.tracks().get(0);
    }

    @Test
    void whatATrackHeldAtTwoMomentsIsCompared() throws Exception {
        VersionUpdate.Moment begin = new VersionUpdate.Moment("begin", Instant.EPOCH);
        VersionUpdate.Moment typed = now("typed");
        Thread.sleep(2);
        new Work(lane, track).type("Jonas", 0, new Value(Content.of("Fahrpläne"), State.TRANSLATED));
        VersionUpdate.Moment edited = now("edited");
        Thread.sleep(2);
        new VersionUpdate(lane).take(second(), VersionUpdate.Choices.DEFAULT);

        VersionComparison first = new VersionUpdate(lane).compare(track, begin, typed, Progress.NONE);
        VersionComparison second = new VersionUpdate(lane).compare(track, typed, edited, Progress.NONE);
        VersionComparison third = new VersionUpdate(lane).compare(track, edited, now("now"), Progress.NONE);

        assertThat(first.alignment().matches()).hasSize(4).allMatch(first::isOtherTranslation);
        assertThat(second.alignment().matches())
                .filteredOn(second::isOtherTranslation)
                .singleElement()
                .satisfies(match -> assertThat(second.old()
                                .segments()
                                .get(match.old().get(0))
                                .target()
                                .plainText())
                        .isEqualTo("Fahrplan"));
        assertThat(third.alignment().counts()).containsEntry(Outcome.CHANGED, 1).containsEntry(Outcome.NEW, 1);
    }

    private static VersionUpdate.Moment now(String name) {
        return new VersionUpdate.Moment(name, Instant.now());
    }
}
