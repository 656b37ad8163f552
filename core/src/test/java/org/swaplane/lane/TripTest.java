package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.demo.DemoReviewer;
import org.swaplane.document.State;
import org.swaplane.exchange.RowChange;
import org.swaplane.exchange.StructureProblem;
import org.swaplane.exchange.StructureProblem.Kind;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** A real copy out and back, as the demo's reviewer answers it. */
class TripTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:30:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    @TempDir
    private Path elsewhere;

    private Lane lane;
    private Track track;
    private Path sent;
    private Path answered;

    @BeforeEach
    void sendOut() throws IOException {
        lane = DemoLane.create(folder, DAY);
        track = lane.tracks().get(0);
        sent = new CopyExport(lane)
                .send(
                        List.of(track.now()),
                        SendRequest.of(DemoReviewer.NAME, Purpose.REVIEW, SendRequest.Form.DOCX),
                        Progress.NONE)
                .get(0)
                .file();
        answered = elsewhere.resolve("whatever.bin");
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private ReturnImport.Recognised answer(DemoReviewer.Session session) throws IOException {
        DemoReviewer.edit(sent, answered, DAY.instant(), session);
        return new ReturnImport(lane).read(Source.of(answered));
    }

    private static Set<Integer> sound(ReturnImport.Recognised back) {
        return back.reading().safe().stream().map(RowChange::number).collect(Collectors.toSet());
    }

    private static List<Kind> problems(ReturnImport.Recognised back) {
        return back.reading().problems().stream().map(StructureProblem::kind).toList();
    }

    @Test
    void aChangeThatBringsAnErrorIsNotSafe() throws IOException {
        ReturnImport.Recognised back = answer(reviewer -> {
            reviewer.retype(45, "Sammelstation", "Sammelstelle");
            reviewer.retype(21, "15 %", "12 %");
        });

        RowChange wrong = back.reading().changes().stream()
                .filter(change -> back.newFindings().containsKey(change.number()))
                .findFirst()
                .orElseThrow();
        assertThat(back.newFindings().get(wrong.number()))
                .extracting(finding -> finding.check())
                .containsExactly("numbers");
        assertThat(wrong.safe()).isTrue();
        assertThat(back.isSafe(wrong)).isFalse();
        assertThat(back.reading().changes()).filteredOn(back::isSafe).hasSize(1);
    }

    @Test
    void theCopyIsRememberedWithWhoHasIt() {
        Trip trip = lane.trips().all().get(0);

        assertThat(trip.person()).isEqualTo("Ines Falk");
        assertThat(trip.back()).isEmpty();
        assertThat(sent.getFileName()).hasToString("passenger-info_review.docx");
    }

    @Test
    void theDemoReviewersAnswerIsReadWhole() throws IOException {
        DemoReviewer.answer(sent, answered, DAY.instant());

        ReturnImport.Recognised back = new ReturnImport(lane).read(Source.of(answered));

        assertThat(problems(back)).containsExactly(Kind.ROW_MISSING, Kind.TAGS_DAMAGED, Kind.SOURCE_CHANGED);
        assertThat(back.reading().changes()).hasSize(8);
        assertThat(sound(back)).containsExactlyInAnyOrder(2, 5, 13, 21, 31, 39, 45);
        assertThat(back.reading().remarks()).hasSize(1);
        assertThat(back.reading().changes().get(1).revision().orElseThrow().author())
                .isEqualTo("Ines Falk");
    }

    @Test
    void whatIsTakenIsReviewedAndOneStep() throws IOException {
        ReturnImport.Recognised back = answer(reviewer -> {
            reviewer.retype(5, "15:04", "14:05");
            reviewer.overwrite(13, "Winterfahrplan");
        });

        Step step = new ReturnImport(lane).take(back, sound(back)).step().orElseThrow();

        assertThat(step.who()).isEqualTo("Ines Falk");
        assertThat(track.now().target(4).plainText()).contains("14:05");
        assertThat(track.now().state(12)).isEqualTo(State.REVIEWED);
        new Work(lane, track).undo();
        assertThat(track.now().edits()).allMatch(edit -> edit.target()
                .equals(track.now().segment(edit.segment()).target()));
    }

    @Test
    void theReportSaysWhatBecameOfEachChange() throws IOException {
        ReturnImport.Recognised back = answer(reviewer -> {
            reviewer.retype(5, "15:04", "14:05");
            reviewer.overwrite(13, "<b>Winter</b>");
            reviewer.comment(7, "Both days included?");
        });

        Path report = new ReturnImport(lane).take(back, Set.of(5)).report();

        assertThat(report)
                .content()
                .contains("<mark>", "1 of 2", "accepted", "not accepted", "Both days included? (Ines Falk)");
        assertThat(report).content().doesNotContain("<b>Winter");
    }

    @Test
    void anEmptyAnswerIsAReturnToo() throws IOException {
        ReturnImport.Recognised back = answer(reviewer -> {});

        new ReturnImport(lane).take(back, Set.of());

        assertThat(lane.trips().all().get(0).back()).isPresent();
        assertThat(track.now().edits()).isEmpty();
    }

    @Test
    void whatWasEditedMeanwhileIsAConflict() throws IOException {
        new Work(lane, track).type("Mara", 12, new Value(Content.of("Fahrplan im Winter"), State.TRANSLATED));

        ReturnImport.Recognised back = answer(reviewer -> reviewer.overwrite(13, "Winterfahrplan"));

        assertThat(back.reading().changes()).extracting(RowChange::what).containsExactly(RowChange.Case.CONFLICT);
        assertThat(back.reading().changes().get(0).nowWritten()).isEqualTo("Fahrplan im Winter");
        assertThat(sound(back)).isEmpty();
    }

    @Test
    void lostDoubledAndMovedRowsAreSaid() throws IOException {
        ReturnImport.Recognised back = answer(reviewer -> {
            reviewer.delete(3);
            reviewer.duplicate(10);
            reviewer.moveToEnd(20);
        });

        assertThat(problems(back)).containsExactlyInAnyOrder(Kind.ROW_MISSING, Kind.ROW_MOVED, Kind.ROW_MOVED);
    }

    @Test
    void aMendedTagCanBeTaken() throws IOException {
        ReturnImport.Recognised back =
                answer(reviewer -> reviewer.overwrite(12, "Zeiten mit [1] sind gezeitenabhängig."));

        new ReturnImport(lane).take(back, Set.of(12));

        assertThat(track.now().target(11).tags())
                .isEqualTo(track.now().segment(11).source().tags());
    }

    @Test
    void aCopyOfAnotherLaneIsNotTaken(@TempDir Path other) throws IOException {
        try (Lane stranger = DemoLane.create(other, DAY)) {
            assertThatThrownBy(() -> new ReturnImport(stranger).read(Source.of(sent)))
                    .isInstanceOf(CannotProceedException.class)
                    .hasMessageContaining("which this lane did not send");
        }
    }

    @Test
    void remarksAreNotDoubledWhenACopyComesTwice() throws IOException {
        ReturnImport.Recognised back = answer(reviewer -> reviewer.comment(7, "Both days included?"));

        new ReturnImport(lane).take(back, Set.of());
        new ReturnImport(lane).take(new ReturnImport(lane).read(Source.of(answered)), Set.of());

        assertThat(lane.trips().remarks(track.id())).hasSize(1);
    }

    @Test
    void theSentCopyIsKeptEvenWhenItsFileIsLost() throws IOException {
        ReturnImport.Recognised before = answer(reviewer -> reviewer.overwrite(13, "Winterfahrplan"));
        Files.delete(sent);

        assertThat(new ReturnImport(lane).read(Source.of(answered)).reading().changes())
                .hasSameSizeAs(before.reading().changes());
    }

    @Test
    void rowsThatCannotBeTakenAreRefused() throws IOException {
        ReturnImport.Recognised back = answer(reviewer -> reviewer.overwrite(28, "EUR"));

        assertThat(problems(back)).containsExactly(Kind.LOCKED_CHANGED);
        assertThatThrownBy(() -> new ReturnImport(lane).take(back, Set.of(28)))
                .hasMessageContaining("row 28 cannot be accepted");
        assertThat(track.now().edits()).isEmpty();
    }

    @Test
    void theFileItselfGoesToAnotherToolAndIsRecognisedWhenItComesBack() throws IOException {
        Path file = new CopyExport(lane)
                .send(
                        List.of(track.now()),
                        SendRequest.of("Harbour tool", Purpose.TRANSLATION, SendRequest.Form.FILE),
                        Progress.NONE)
                .get(0)
                .file();
        Path answer = Files.writeString(
                folder.resolve("whatever.xlf"), Files.readString(file).replace(">Fahrplan<", ">Der Fahrplan<"));
        Source copy = Source.of(answer);

        ReturnImport.Recognised back = new ReturnImport(lane)
                .recognise(copy, lane.formats().open(copy, Progress.NONE).document(), Progress.NONE)
                .orElseThrow();
        new ReturnImport(lane).take(back, Set.of(1));

        assertThat(back.trip().person()).isEqualTo("Harbour tool");
        assertThat(back.reading().problems()).isEmpty();
        assertThat(back.reading().changes()).extracting(RowChange::number).containsExactly(1);
        assertThat(track.now().target(0).plainText()).isEqualTo("Der Fahrplan");
        assertThat(track.now().state(0)).isEqualTo(State.TRANSLATED);
    }

    @Test
    void aFileThatNeverWentOutIsNoReturn() throws IOException {
        Source client = lane.trackStore().original(track);

        assertThat(new ReturnImport(lane)
                        .recognise(
                                client,
                                lane.formats().open(client, Progress.NONE).document(),
                                Progress.NONE))
                .isEmpty();
    }
}
