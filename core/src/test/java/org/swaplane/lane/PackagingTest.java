package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.release.FileNaming;
import org.swaplane.release.Gate;
import org.swaplane.release.ReleaseForm;
import org.swaplane.release.ReleaseOptions;
import org.swaplane.task.CancelledException;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class PackagingTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:30:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    private Lane lane;
    private Track track;
    private OneRelease delivery;

    @BeforeEach
    void create() throws IOException {
        lane = DemoLane.create(folder, DAY);
        track = lane.tracks().get(0);
        delivery = new OneRelease(lane, CheckRun.ofAllChecks());
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private List<String> open() throws IOException {
        return delivery.gate(track).conditions().stream()
                .filter(condition -> !condition.holds())
                .map(Gate.Condition::id)
                .toList();
    }

    private void meetEverything() throws IOException {
        new Proving(lane).run(track, Progress.NONE);
        Map<Integer, Value> reviewed = new HashMap<>();
        for (int i = 0; i < track.now().size(); i++) {
            if (!track.now().segment(i).locked()) {
                Content target = track.now().target(i).isEmpty()
                        ? Content.of("Text")
                        : track.now().target(i);
                reviewed.put(i, new Value(target, State.REVIEWED));
            }
        }
        new Work(lane, track).edit(StepKind.STATE_SET, "Mara", "", reviewed);
        for (Finding finding : delivery.findings(track.now())) {
            LaneWriter.await(lane.findings().setAside(track, finding, SetAside.Scope.FINDING, "agreed", "Mara"));
        }
    }

    @Test
    void theGateIsOpenUntilItsConditionsAreMet() throws IOException {
        assertThat(open()).containsExactly("dry-run", "findings", "reviewed");

        meetEverything();

        assertThat(open()).isEmpty();
        new CopyExport(lane)
                .send(
                        List.of(track.now()),
                        SendRequest.of("Ines Falk", Purpose.REVIEW, SendRequest.Form.DOCX),
                        Progress.NONE)
                .get(0);
        assertThat(open()).containsExactly("away");
    }

    @Test
    void aLaneMayDoWithoutConditionsButNotWithoutReadingBack() throws IOException {
        LaneWriter.await(lane.settings().set(LaneDetail.RELEASE_CONDITIONS, "findings"));
        assertThat(open()).containsExactly("findings");

        LaneWriter.await(lane.settings().set(LaneDetail.RELEASE_CONDITIONS, ""));
        new Work(lane, track).type("Mara", 0, new Value(Content.of("a\u0002b"), State.TRANSLATED));
        assertThat(open()).containsExactly("write-back");
    }

    @Test
    void nothingIsReleasedWhileConditionsAreNotMetAndNobodySaysWhy() {
        assertThatThrownBy(() -> delivery.release(track, " "))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("3 release conditions are not met");
        assertThat(folder.resolve("out")).isEmptyDirectory();
        assertThat(lane.releases().all()).isEmpty();
    }

    @Test
    void aWaivedConditionKeepsNothingBackUntilItIsAskedForAgain() throws IOException {
        for (String condition : List.of("dry-run", "findings", "reviewed")) {
            LaneWriter.await(lane.releases().waive(List.of(track), condition, "agreed by mail", "Mara"));
        }

        delivery.release(track, "");

        Release release = lane.releases().last(track).orElseThrow();
        assertThat(lane.releases().conditions(release))
                .filteredOn(condition -> !condition.met())
                .hasSize(3)
                .allMatch(condition -> condition.reason().equals("agreed by mail"));
        LaneWriter.await(lane.releases().askAgain(List.of(track), "findings"));
        assertThatThrownBy(() -> delivery.release(track, "")).hasMessageContaining("findings are open");
    }

    @Test
    void theReleasedFileHoldsTheWorkAndTheReceiptItsSum() throws IOException {
        meetEverything();

        Path file = delivery.release(track, "");

        Release release = lane.releases().last(track).orElseThrow();
        String sum = Source.of(file).sha256();
        assertThat(folder.relativize(file)).isEqualTo(Path.of("out", "release-1", "passenger-info_de-DE.xlf"));
        assertThat(lane.releases().files(release).get(0).file().sha256()).isEqualTo(sum);
        assertThat(folder.resolve("out").resolve(release.receipt())).content().contains(sum, track.sha256());
        assertThat(lane.formats()
                        .open(Source.of(file), Progress.NONE)
                        .document()
                        .segments())
                .filteredOn(segment -> !segment.locked())
                .allMatch(segment -> segment.state() == State.REVIEWED);
        assertThat(Files.readString(file))
                .contains("h:screen=\"timetable-7\"", "<h:origin match=\"tm\" score=\"87\"/>");
    }

    @Test
    void aResultThatTheClientEditedIsKnownAgainAndComparedWithWhatWasDelivered() throws IOException {
        meetEverything();
        Path result = delivery.release(track, "");
        String target = track.now().target(2).plainText();
        Source back = Source.of(
                "from the client.xlf",
                Files.readString(result).replace(target, "Ganz anders").getBytes(StandardCharsets.UTF_8));

        ReturnImport.Recognised recognised = new ReturnImport(lane)
                .recognise(
                        back,
                        lane.formats()
                                .open(back, FileOptions.NONE, Progress.NONE)
                                .document(),
                        Progress.NONE)
                .orElseThrow();

        assertThat(recognised.trip().purpose()).isEqualTo(Purpose.DELIVERY);
        assertThat(recognised.trip().isAway()).isFalse();
        assertThat(recognised.reading().changes()).singleElement().satisfies(change -> assertThat(change.returned())
                .isEqualTo("Ganz anders"));
    }

    @Test
    void anEarlierReleaseStays() throws IOException {
        Path first = delivery.release(track, "for a first look");
        byte[] before = Files.readAllBytes(first);

        Path second = delivery.release(track, "again");

        assertThat(second).isNotEqualTo(first);
        assertThat(Files.readAllBytes(first)).isEqualTo(before);
        assertThat(lane.releases().all()).extracting(Release::reason).containsExactly("again", "for a first look");
    }

    @Test
    void whatCannotBeWrittenIsRefusedAndLeavesNoFile() throws IOException {
        new Work(lane, track).type("Mara", 0, new Value(Content.of("a\u0002b"), State.TRANSLATED));

        assertThat(open()).contains("write-back");
        assertThatThrownBy(() -> delivery.release(track, "in any case")).hasMessageContaining("U+0002");
        assertThat(folder.resolve("out")).isEmptyDirectory();
    }

    @Test
    void aPatternThatGivesNoNameIsRefusedAndTheOneBeforeStays() throws IOException {
        LaneWriter.await(lane.settings().setNaming(new FileNaming("{lane}-{name}.{target}.{ext}")));
        ReleaseOptions wrong = ReleaseOptions.DEFAULT.withOutputs(
                List.of(new ReleaseOptions.Output(ReleaseForm.FILE, "{colour}.xlf", "")));

        assertThatThrownBy(() -> lane.settings().setReleaseOptions(wrong)).isInstanceOf(CannotProceedException.class);

        assertThat(delivery.release(track, "a look")).hasFileName("Marram Sound Ferries-passenger-info.de-DE.xlf");
    }

    @Test
    void filesLeaveInSeveralFormsUnderTheClientsCodesInOneZip() throws IOException {
        Track document = lane.tracks().get(1);
        new Work(lane, document).type("Mara", 0, new Value(Content.of("Faltblatt"), State.TRANSLATED));
        ReleaseOptions options = ReleaseOptions.DEFAULT
                .withOutputs(List.of(
                        new ReleaseOptions.Output(ReleaseForm.FILE, "{name}.{ext}", "{target}/{path}"),
                        new ReleaseOptions.Output(ReleaseForm.XLIFF, "", "xliff"),
                        new ReleaseOptions.Output(ReleaseForm.TABLE, "", "../tables"),
                        new ReleaseOptions.Output(ReleaseForm.TEXT, "", "texts")))
                .withCodes("de-DE=ger, fr-FR=fre")
                .packed(ReleaseOptions.Packing.ZIP, "{lane} {release}", ReleaseOptions.Manifest.JSON);

        Release release = packaging().release(List.of(track, document), options, "a look", Progress.NONE);

        Path zip = folder.resolve("out").resolve("Marram Sound Ferries 1.zip");
        assertThat(release.sha256()).isEqualTo(Source.of(zip).sha256());
        Map<String, byte[]> entries = SafeZip.read(Source.of(zip), name -> true);
        assertThat(entries.keySet())
                .containsExactly(
                        "ger/passenger-info.xlf",
                        "xliff/passenger-info_ger.xlf",
                        "tables/passenger-info_ger.xlsx",
                        "texts/passenger-info_ger.txt",
                        "ger/leaflet.docx",
                        "xliff/leaflet_ger.xlf",
                        "tables/leaflet_ger.xlsx",
                        "texts/leaflet_ger.txt",
                        "manifest.json");
        assertThat(entries.get("xliff/passenger-info_ger.xlf")).isEqualTo(entries.get("ger/passenger-info.xlf"));
        assertThat(new String(entries.get("texts/leaflet_ger.txt"), StandardCharsets.UTF_8))
                .startsWith("Faltblatt\n");
        assertThat(new String(entries.get("manifest.json"), StandardCharsets.UTF_8))
                .contains(Fingerprint.sha256(entries.get("ger/leaflet.docx")));
        assertThat(folder.resolve("out")).isDirectoryNotContaining("glob:**.release-*");
    }

    @Test
    void twoFilesOfOneNameAreNamedBeforeAnythingIsWritten() {
        ReleaseOptions options =
                ReleaseOptions.DEFAULT.withOutputs(List.of(new ReleaseOptions.Output(ReleaseForm.FILE, "all.xlf", "")));

        assertThatThrownBy(() -> packaging().release(lane.tracks(), options, "a look", Progress.NONE))
                .hasMessageContaining("passenger-info.xlf (de-DE) and leaflet.docx (de-DE)");
        assertThat(folder.resolve("out")).isEmptyDirectory();
    }

    @Test
    void whatAKilledReleaseLeftIsGoneAndNotTakenForOne() throws IOException {
        Path left = Files.createDirectories(
                folder.resolve("out").resolve(".release-killed").resolve("de"));
        Files.writeString(left.resolve("half.xlf"), "<xliff");
        lane.close();

        lane = Lane.open(folder, FormatRegistry.ofInstalled(), DAY);

        assertThat(folder.resolve("out")).isEmptyDirectory();
        assertThat(lane.releases().all()).isEmpty();
    }

    @Test
    void aCancelledReleaseLeavesNothing() {
        Progress cancelled = new Progress() {
            @Override
            public void at(long done, long total) {}

            @Override
            public boolean cancelled() {
                return true;
            }
        };

        assertThatThrownBy(() -> packaging().release(lane.tracks(), ReleaseOptions.DEFAULT, "a look", cancelled))
                .isInstanceOf(CancelledException.class);

        assertThat(folder.resolve("out")).isEmptyDirectory();
    }

    @Test
    void aSecondPersonMustApprove() throws IOException {
        LaneWriter.await(lane.settings().set(LaneDetail.RELEASE_CONDITIONS, "second-person"));
        Value translated = new Value(Content.of("Fahrplan im Sommer"), State.TRANSLATED);
        new Work(lane, track).type("Mara", 0, translated);
        Value approved = new Value(translated.target(), State.REVIEWED);
        new Work(lane, track).edit(StepKind.STATE_SET, "Mara", "", Map.of(0, approved));
        assertThat(open()).containsExactly("second-person");

        new Work(lane, track)
                .edit(StepKind.STATE_SET, "Ines", "", Map.of(0, new Value(translated.target(), State.FINAL)));

        assertThat(open()).isEmpty();
    }

    @Test
    void twoReleasesCanBeCompared() throws IOException {
        Track other = lane.tracks().get(2);
        Release first = packaging().release(List.of(track, other), ReleaseOptions.DEFAULT, "one", Progress.NONE);
        lane.close();
        lane = Lane.open(folder, FormatRegistry.ofInstalled(), Clock.offset(DAY, Duration.ofHours(1)));
        track = lane.tracks().get(0);
        new Work(lane, track).type("Mara", 2, new Value(Content.of("Ganz neu"), State.TRANSLATED));
        Release second = packaging().release(lane.tracks().subList(0, 2), ReleaseOptions.DEFAULT, "two", Progress.NONE);

        List<ReleaseDifference> differences = ReleaseDifference.between(lane, first, second);

        assertThat(differences)
                .extracting(ReleaseDifference::path, ReleaseDifference::outcome)
                .containsExactlyInAnyOrder(
                        tuple("passenger-info_de-DE.xlf", ReleaseDifference.Outcome.CHANGED),
                        tuple("leaflet_de-DE.docx", ReleaseDifference.Outcome.ADDED),
                        tuple("timetable_de-DE.html", ReleaseDifference.Outcome.LEFT_OUT));
        assertThat(differences.get(0).segments())
                .containsExactly(track.now().segment(2).key());
    }

    private Packaging packaging() {
        return new Packaging(lane, new ReleaseConditions(lane, CheckRun::ofAllChecks));
    }
}
