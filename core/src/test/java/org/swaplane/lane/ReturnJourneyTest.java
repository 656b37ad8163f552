package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.exchange.RowChange;
import org.swaplane.exchange.RowSelection;
import org.swaplane.exchange.StructureProblem;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Copies that come back late, twice, from several people, or to the wrong lane. */
class ReturnJourneyTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:30:00Z"), ZoneOffset.UTC);
    private static final List<String> SOURCES =
            List.of("Pier one is closed", "Dogs are welcome on deck", "Pier one is closed", "Ask the crew for help");

    @TempDir
    Path folder;

    private Lane lane;
    private Track track;

    @BeforeEach
    void create() throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Marram Sound Ferries", FormatRegistry.ofInstalled(), DAY);
        track = lane.trackStore().takeIn(file(SOURCES), FileOptions.ofLanguages("en", "de"), Progress.NONE);
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private static Source file(List<String> sources) {
        String units = IntStream.range(0, sources.size())
                .mapToObj(i -> "<trans-unit id=\"u" + i + "\"" + (i == 3 ? " translate=\"no\"" : "") + "><source>"
                        + sources.get(i) + "</source><target state=\"translated\">Ziel " + i + "</target></trans-unit>")
                .collect(Collectors.joining());
        String text = "<xliff version=\"1.2\" xmlns=\"urn:oasis:names:tc:xliff:document:1.2\"><file original=\"a\""
                + " source-language=\"en\" target-language=\"de\" datatype=\"plaintext\"><body>" + units
                + "</body></file></xliff>";
        return Source.of("pier.xlf", text.getBytes(StandardCharsets.UTF_8));
    }

    private CopyExport.Sent send(String person, String form, RowSelection what) throws IOException {
        SendRequest request = SendRequest.of(person, Purpose.REVIEW, new SendRequest.Form(form))
                .of(what);
        return new CopyExport(lane)
                .send(List.of(track.now()), request, Progress.NONE)
                .get(0);
    }

    /** The copy with some texts replaced, as it comes back. */
    private Source answered(CopyExport.Sent sent, String... replaced) throws IOException {
        String text = Files.readString(sent.file());
        for (int i = 0; i < replaced.length; i += 2) {
            assertThat(text).contains(replaced[i]);
            text = text.replace(replaced[i], replaced[i + 1]);
        }
        String name = sent.file().getFileName().toString();
        return Source.of("back of " + name, text.getBytes(StandardCharsets.UTF_8));
    }

    private static Set<Integer> rows(ReturnImport.Recognised recognised) {
        return recognised.reading().changes().stream().map(RowChange::number).collect(Collectors.toSet());
    }

    private List<String> targets() {
        return IntStream.range(0, track.now().size())
                .mapToObj(i -> track.now().target(i).plainText())
                .toList();
    }

    private void newVersion(String... sources) throws IOException {
        VersionUpdate update = new VersionUpdate(lane);
        update.take(update.of(track, file(List.of(sources)), Progress.NONE), VersionUpdate.Choices.DEFAULT);
    }

    @Test
    void aCopyOfTheOldVersionIsBroughtOverAndWhatNoLongerFitsIsNamed() throws IOException {
        CopyExport.Sent sent = send("Ines Falk", "tsv", RowSelection.ALL);
        newVersion("Welcome aboard", "Pier one is closed", "Cats are welcome on deck too", "Pier one is closed");

        ReturnImport.Recognised late = new ReturnImport(lane)
                .read(answered(sent, "Ziel 0", "Anleger eins ist zu", "Ziel 1", "Hunde willkommen"));

        assertThat(late.reading().changes()).hasSize(1);
        assertThat(late.reading().changes().get(0).segment().source()).isEqualTo(Content.of("Pier one is closed"));
        assertThat(late.reading().problems())
                .filteredOn(problem -> problem.kind() == StructureProblem.Kind.SOURCE_CHANGED)
                .singleElement()
                .satisfies(problem -> assertThat(problem.message()).contains("Dogs are welcome", "Hunde willkommen"));
        new ReturnImport(lane).take(late, rows(late));
        assertThat(targets()).contains("Anleger eins ist zu").doesNotContain("Hunde willkommen");
    }

    @Test
    void aFileOfTheOldVersionIsBroughtOverAsWell() throws IOException {
        CopyExport.Sent sent = send("Ines Falk", "file", RowSelection.ALL);
        newVersion("Welcome aboard", "Pier one is closed", "Cats are welcome on deck too", "Pier one is closed");
        Source back = answered(sent, "Ziel 0", "Anleger eins", "Ziel 2", "Anleger zwei");

        ReturnImport.Recognised late = new ReturnImport(lane)
                .recognise(
                        back,
                        lane.formats()
                                .open(back, FileOptions.NONE, Progress.NONE)
                                .document(),
                        Progress.NONE)
                .orElseThrow();
        assertThat(late.reading().changes()).hasSize(2);
        new ReturnImport(lane)
                .take(
                        late,
                        late.reading().safe().stream().map(RowChange::number).collect(Collectors.toSet()));

        // What is locked in the new version is not taken.
        assertThat(targets()).contains("Anleger eins").doesNotContain("Anleger zwei");
    }

    @Test
    void whatWasLeftIsAcceptedLaterInOtherWords() throws IOException {
        CopyExport.Sent sent = send("Ines Falk", "tsv", RowSelection.ALL);
        ReturnImport imports = new ReturnImport(lane);
        ReturnImport.Recognised first = imports.read(answered(sent, "Ziel 0", "Eins", "Ziel 1", "Zwei"));
        imports.take(first, Set.of(1));
        assertThat(targets()).startsWith("Eins", "Ziel 1");

        Trip trip = lane.trips().all().get(0);
        ReturnImport.Recognised again = imports.again(trip, Progress.NONE);
        imports.take(again, Set.of(2), Map.of(2, Content.of("Zwei, aber besser")));

        assertThat(targets()).startsWith("Eins", "Zwei, aber besser");
        assertThat(track.now().state(1)).isEqualTo(State.REVIEWED);
    }

    @Test
    void whatOthersAnsweredStandsBesideIt() throws IOException {
        CopyExport.Sent toInes = send("Ines Falk", "tsv", RowSelection.ALL);
        CopyExport.Sent toBo = send("Bo Lind", "tsv", RowSelection.ALL);
        ReturnImport imports = new ReturnImport(lane);
        imports.take(imports.read(answered(toInes, "Ziel 0", "Eins von Ines", "Ziel 1", "Zwei")), Set.of());

        ReturnImport.Recognised bo = imports.read(answered(toBo, "Ziel 0", "Eins von Bo"));

        assertThat(imports.others(bo, Progress.NONE))
                .isEqualTo(Map.of(0, List.of(new ReturnImport.OtherAnswer("Ines Falk", "Eins von Ines"))));
    }

    @Test
    void theAnswerHoldsOursWhereTheirsWasNotAccepted() throws IOException {
        CopyExport.Sent sent = send("Ines Falk", "file", RowSelection.ALL);
        Source back =
                answered(sent, "Ziel 0", "Eins", "Ziel 1", "Zwei", "datatype=\"plaintext\"", "datatype=\"x-theirs\"");
        ReturnImport imports = new ReturnImport(lane);
        ReturnImport.Recognised recognised = imports.recognise(
                        back,
                        lane.formats()
                                .open(back, FileOptions.NONE, Progress.NONE)
                                .document(),
                        Progress.NONE)
                .orElseThrow();
        imports.take(recognised, Set.of(1));

        String answer = Files.readString(imports.answer(recognised, Progress.NONE));

        assertThat(answer).contains("x-theirs", ">Eins<", ">Ziel 1<").doesNotContain(">Zwei<");
    }

    @Test
    void lockedSegmentsAndRepetitionsCanStayAtHome() throws IOException {
        RowSelection few = RowSelection.ALL.with(new RowSelection.Beyond(false, false, Optional.empty()));
        RowSelection some = RowSelection.ALL.with(new RowSelection.Beyond(
                true, true, Optional.of(Set.of(track.now().segment(1).key()))));

        assertThat(numbers(send("Ines Falk", "tsv", few))).containsExactly(1, 2);
        assertThat(numbers(send("Ines Falk", "tsv", some))).containsExactly(2);
        new Work(lane, track).type("Mara", 2, new Value(Content.of("neu"), State.TRANSLATED));
        assertThat(track.changedSince(Instant.EPOCH))
                .containsExactly(track.now().segment(2).key());
    }

    private List<Integer> numbers(CopyExport.Sent sent) throws IOException {
        return lane.copies().read(Source.of(sent.file())).rows().stream()
                .map(row -> row.code().orElseThrow().number())
                .toList();
    }

    @Test
    void aCopyOfAnotherLaneIsRefusedWithItsName() throws IOException {
        CopyExport.Sent sent = send("Ines Falk", "tsv", RowSelection.ALL);
        try (Lane other = Lane.create(folder.resolve("other"), "Winter", FormatRegistry.ofInstalled(), DAY)) {
            ReturnImport imports =
                    new ReturnImport(other, new OtherLanes(List.of(folder.resolve("none"), lane.folder())));

            assertThatThrownBy(() -> imports.read(Source.of(sent.file())))
                    .isInstanceOf(CannotProceedException.class)
                    .hasMessageContaining("belongs to the lane \"Marram Sound Ferries\"");
        }
    }
}
