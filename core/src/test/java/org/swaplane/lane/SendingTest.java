package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.exchange.DueTime;
import org.swaplane.exchange.Rate;
import org.swaplane.exchange.RowSelection;
import org.swaplane.exchange.StructureProblem;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedRow;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Parts of tracks to several people, several tracks in one copy, and all of it back again. */
class SendingTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:30:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    private Lane lane;
    private Track pier;
    private Track deck;

    @BeforeEach
    void create() throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Marram Sound Ferries", FormatRegistry.ofInstalled(), DAY);
        pier = takeIn("pier.xlf", "Pier one is closed", "Pier two is open", "Pier one is closed", "Ask the crew");
        deck = takeIn("deck.xlf", "Deck", "Stairs");
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private Track takeIn(String name, String... sources) throws IOException {
        StringBuilder units = new StringBuilder();
        for (int i = 0; i < sources.length; i++) {
            units.append("<trans-unit id=\"u" + i + "\"><source>" + sources[i] + "</source><target>Ziel " + i
                    + "</target></trans-unit>");
        }
        String file = "<xliff version=\"1.2\" xmlns=\"urn:oasis:names:tc:xliff:document:1.2\"><file original=\"" + name
                + "\" source-language=\"en\" target-language=\"de\" datatype=\"plaintext\"><body>" + units
                + "</body></file></xliff>";
        return lane.trackStore()
                .takeIn(
                        Source.of(name, file.getBytes(StandardCharsets.UTF_8)),
                        FileOptions.ofLanguages("en", "de"),
                        Progress.NONE);
    }

    private List<CopyExport.Sent> send(List<String> people, RowSelection what, boolean together, String form)
            throws IOException {
        SendRequest request = new SendRequest(
                people,
                Purpose.REVIEW,
                new SendRequest.Form(form),
                what,
                DueTime.parse("2026-11-20 17:00"),
                Map.of("Ines Falk", Rate.parse("0,11 EUR/word").orElseThrow()),
                List.of("Use the short forms."),
                1,
                together);
        return new CopyExport(lane).send(List.of(pier.now(), deck.now()), request, Progress.NONE);
    }

    private ReturnedCopy read(CopyExport.Sent sent) throws IOException {
        return lane.copies().read(Source.of(sent.file()));
    }

    private static List<Integer> numbers(ReturnedCopy copy) {
        return copy.rows().stream()
                .map(row -> row.code().orElseThrow().number())
                .toList();
    }

    @Test
    void severalPeopleShareTheWordsAndRepetitionsGoToOneOfThem() throws IOException {
        List<CopyExport.Sent> sent = send(List.of("Ines Falk", "Bo Lind"), RowSelection.ALL, false, "xlsx");

        Map<String, List<Integer>> ofPier = sent.stream()
                .filter(each -> each.trip().track() == pier.id())
                .collect(Collectors.toMap(each -> each.trip().person(), each -> {
                    try {
                        return numbers(read(each));
                    } catch (IOException e) {
                        throw new AssertionError(e);
                    }
                }));
        assertThat(ofPier).containsEntry("Ines Falk", List.of(1, 2, 3)).containsEntry("Bo Lind", List.of(4));
        assertThat(sent.stream().mapToInt(each -> each.trip().words()).sum()).isEqualTo(17);
    }

    @Test
    void aPartIsSentWithWhatStandsAroundItAndOnlyItIsWaitedFor() throws IOException {
        RowSelection second = RowSelection.parse("rows:2");
        CopyExport.Sent sent = send(List.of("Ines Falk"), second, false, "docx").get(0);

        ReturnedCopy back = read(sent);
        ReturnImport.Recognised recognised = new ReturnImport(lane).read(Source.of(sent.file()));

        assertThat(numbers(back)).containsExactly(2);
        assertThat(recognised.reading().problems()).isEmpty();
        assertThat(recognised.reading().untouched()).isEqualTo(1);
    }

    @Test
    void severalTracksInOneCopyComeBackEachToItsOwn() throws IOException {
        List<CopyExport.Sent> sent = send(List.of("Ines Falk"), RowSelection.ALL, true, "tsv");
        assertThat(sent)
                .extracting(CopyExport.Sent::file)
                .containsOnly(sent.get(0).file());
        String text = Files.readString(sent.get(0).file()).replace("Ziel 1", "Neues Ziel");
        Source answer = Source.of("renamed.tsv", text.getBytes(StandardCharsets.UTF_8));

        List<ReturnImport.Recognised> all =
                new ReturnImport(lane).recognisedAll(answer, lane.copies().read(answer));
        for (ReturnImport.Recognised each : all) {
            new ReturnImport(lane).take(each, Set.of(2));
        }

        assertThat(all).extracting(each -> each.track().name()).containsExactlyInAnyOrder("pier.xlf", "deck.xlf");
        assertThat(pier.now().target(1)).isEqualTo(Content.of("Neues Ziel"));
        assertThat(deck.now().target(1)).isEqualTo(Content.of("Neues Ziel"));
        assertThat(pier.now().target(0)).isEqualTo(Content.of("Ziel 0"));
    }

    @Test
    void anEmptiedTargetIsNotAcceptedByDefaultAndIsInitialWhenItIs() throws IOException {
        CopyExport.Sent sent =
                send(List.of("Ines Falk"), RowSelection.ALL, false, "tsv").get(0);
        String text = Files.readString(sent.file()).replace("Ziel 3", "");
        ReturnImport.Recognised back =
                new ReturnImport(lane).read(Source.of("b.tsv", text.getBytes(StandardCharsets.UTF_8)));

        assertThat(back.reading().problems())
                .extracting(StructureProblem::kind)
                .containsExactly(StructureProblem.Kind.EMPTIED);
        assertThat(back.reading().safe()).isEmpty();

        new ReturnImport(lane).take(back, Set.of(4));
        assertThat(pier.now().state(3)).isEqualTo(State.INITIAL);
    }

    @Test
    void theHistoryOfATripSaysEverythingThatHappened() throws IOException {
        CopyExport.Sent sent =
                send(List.of("Ines Falk"), RowSelection.ALL, false, "tsv").get(0);
        assertThat(sent.trip().rate()).get().hasToString("0.11 EUR/word");
        LaneWriter.await(lane.trips().reminded(sent.trip()));
        ReturnImport.Recognised back = new ReturnImport(lane).read(Source.of(sent.file()));
        new ReturnImport(lane).take(back, Set.of());

        assertThat(sent.trip().isOverdue(LocalDateTime.parse("2026-11-20T17:00")))
                .isFalse();
        assertThat(sent.trip().isOverdue(LocalDateTime.parse("2026-11-20T17:01")))
                .isTrue();
        assertThat(lane.trips().events())
                .filteredOn(event -> event.trip().equals(sent.trip().code()))
                .extracting(TripEvent::kind)
                .containsExactly(
                        TripEvent.Kind.SENT, TripEvent.Kind.REMINDED, TripEvent.Kind.RETURNED, TripEvent.Kind.ACCEPTED);
        Path log = new TripLog(lane).write();
        assertThat(log).content().contains("Ines Falk", "overdue", "reminded");
        assertThat(log.resolveSibling("trips.xlsx")).exists();
    }

    @Test
    void aPackageHoldsTheCopyTheTermsThatOccurAndTheReferenceFiles() throws IOException {
        lane.references()
                .keepTermList(Source.of("terms.csv", "en,de\npier,Kai\nhull,Rumpf\n".getBytes(StandardCharsets.UTF_8)));
        lane.references().keep(Source.of("map.txt", "the quay".getBytes(StandardCharsets.UTF_8)));
        lane.references()
                .keep(Source.of(
                        "old.tmx",
                        "<tmx version=\"1.4\"><header srclang=\"en\"/><body/></tmx>".getBytes(StandardCharsets.UTF_8)));
        List<CopyExport.Sent> sent = send(List.of("Ines Falk"), RowSelection.ALL, true, "docx");
        SendRequest request = new SendRequest(
                List.of("Ines Falk"),
                Purpose.REVIEW,
                SendRequest.Form.DOCX,
                RowSelection.ALL,
                Optional.empty(),
                Map.of(),
                List.of("Use the short forms."),
                0,
                true);

        Source zip = Source.of(new CopyPackage(lane).write(sent, request, Progress.NONE));

        Map<String, byte[]> entries = SafeZip.read(zip, name -> true);
        assertThat(entries.keySet())
                .containsExactly(
                        sent.get(0).file().getFileName().toString(),
                        "instructions.txt",
                        "terms.csv",
                        "reference/map.txt");
        assertThat(new String(entries.get("terms.csv"), StandardCharsets.UTF_8))
                .contains("pier,Kai")
                .doesNotContain("hull");
    }

    @Test
    void openNotesGoAlongOnRequestAndAreNoRemarksWhenTheyComeBack() throws Exception {
        TrackSnapshot now = pier.now();
        LaneWriter.await(lane.notes().add(pier, now.segment(0).key(), -1, -1, "Which pier?", "Mara"));
        LaneWriter.await(lane.notes().add(pier, now.segment(1).key(), -1, -1, "Settled.", "Mara"));
        LaneWriter.await(lane.notes().settle(pier, lane.notes().of(pier).get(1), true));
        SendRequest without = SendRequest.of("Ines Falk", Purpose.REVIEW, new SendRequest.Form("tsv"));
        SendRequest with = without.withNotes();

        Path plain = new CopyExport(lane)
                .send(List.of(now), without, Progress.NONE)
                .get(0)
                .file();
        Path noted = new CopyExport(lane)
                .send(List.of(now), with, Progress.NONE)
                .get(0)
                .file();

        assertThat(plain).content().doesNotContain("Mara");
        assertThat(noted).content().contains("Mara: Which pier?").doesNotContain("Settled");
        Source back = Source.of(noted);
        assertThat(new ReturnImport(lane)
                        .recognisedAll(back, lane.copies().read(back))
                        .get(0)
                        .reading()
                        .remarks())
                .isEmpty();
    }

    @Test
    void nothingToSendIsSaid() {
        RowSelection finals = new RowSelection(List.of(), EnumSet.of(State.FINAL), false, false, Optional.empty());

        assertThatThrownBy(() -> send(List.of("Ines Falk"), finals, false, "docx"))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("no segment fits the selection");
    }

    @Test
    void aCopyOfAnotherLaneIsRefused() throws IOException {
        CopyExport.Sent sent =
                send(List.of("Ines Falk"), RowSelection.ALL, false, "docx").get(0);
        try (Lane other = Lane.create(folder.resolve("other"), "Other", FormatRegistry.ofInstalled(), DAY)) {
            assertThatThrownBy(() -> new ReturnImport(other).read(Source.of(sent.file())))
                    .isInstanceOf(CannotProceedException.class)
                    .hasMessageContaining(sent.trip().code());
        }
    }

    @Test
    void aLongTrackGoesInPiecesThatAllComeBack() throws IOException {
        String[] sources = new String[10_001];
        Arrays.setAll(sources, i -> "Row " + i);
        Track timetable = takeIn("timetable.xlf", sources);

        List<CopyExport.Sent> sent = new CopyExport(lane)
                .send(
                        List.of(timetable.now()),
                        SendRequest.of("Ines Falk", Purpose.REVIEW, new SendRequest.Form("html")),
                        Progress.NONE);

        assertThat(sent)
                .extracting(each -> each.file().getFileName().toString())
                .containsExactly("timetable_review_1of2.html", "timetable_review_2of2.html");
        for (CopyExport.Sent each : sent) {
            assertThat(new ReturnImport(lane)
                            .read(Source.of(each.file()))
                            .reading()
                            .problems())
                    .isEmpty();
        }
    }

    @Test
    void rowsSayTheirNumberInTheWholeFile() throws IOException {
        CopyExport.Sent sent = send(List.of("Ines Falk"), RowSelection.parse("rows:3-4"), false, "html")
                .get(0);

        assertThat(read(sent).rows()).extracting(ReturnedRow::number).containsExactly(3, 4);
    }
}
