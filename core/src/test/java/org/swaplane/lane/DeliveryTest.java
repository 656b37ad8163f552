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
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.release.FileNaming;
import org.swaplane.release.Gate;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class DeliveryTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:30:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    private Lane lane;
    private Track track;
    private Delivery delivery;

    @BeforeEach
    void create() throws IOException {
        lane = DemoLane.create(folder, DAY);
        track = lane.tracks().get(0);
        delivery = new Delivery(lane, CheckRun.ofAllChecks());
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private List<String> open() throws IOException {
        return delivery.gate(track.now(), Progress.NONE).conditions().stream()
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
        for (Finding finding : delivery.findings(track.now(), Progress.NONE)) {
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
    void nothingIsReleasedThroughAnOpenGateWithoutAReason() throws IOException {
        Gate gate = delivery.gate(track.now(), Progress.NONE);

        assertThatThrownBy(() -> delivery.release(track.now(), gate, " ", Progress.NONE))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("release conditions are not met");
        assertThat(folder.resolve("out")).isEmptyDirectory();
    }

    @Test
    void theReleasedFileHoldsTheWorkAndTheReceiptItsSum() throws IOException {
        meetEverything();

        ProofStore.Receipt receipt =
                delivery.release(track.now(), delivery.gate(track.now(), Progress.NONE), "", Progress.NONE);

        Path file = folder.resolve("out").resolve("passenger-info_de-DE.xlf");
        assertThat(receipt.sha256()).isEqualTo(Source.of(file).sha256());
        assertThat(folder.resolve("out").resolve(receipt.receipt()))
                .content()
                .contains(receipt.sha256(), track.sha256());
        assertThat(FormatRegistry.ofInstalled()
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
        delivery.release(track.now(), delivery.gate(track.now(), Progress.NONE), "", Progress.NONE);
        Path result;
        try (var files = Files.list(lane.folder().resolve("out"))) {
            result = files.filter(file -> file.toString().endsWith(".xlf"))
                    .findFirst()
                    .orElseThrow();
        }
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
    void anEarlierResultIsNeverOverwritten() throws IOException {
        Gate gate = delivery.gate(track.now(), Progress.NONE);
        delivery.release(track.now(), gate, "for a first look", Progress.NONE);

        ProofStore.Receipt second = delivery.release(track.now(), gate, "again", Progress.NONE);

        assertThat(second.file()).isEqualTo("passenger-info_de-DE-2.xlf");
        assertThat(lane.proofs().receipts(track))
                .extracting(ProofStore.Receipt::overrideReason)
                .containsExactly("again", "for a first look");
    }

    @Test
    void whatCannotBeWrittenIsRefusedAndLeavesNoFile() throws IOException {
        new Work(lane, track).type("Mara", 0, new Value(Content.of("a\u0002b"), State.TRANSLATED));
        Gate held = new Gate(List.of());

        assertThat(open()).contains("write-back");
        assertThatThrownBy(() -> delivery.release(track.now(), held, "", Progress.NONE))
                .hasMessageContaining("U+0002");
        assertThat(folder.resolve("out")).isEmptyDirectory();
    }

    @Test
    void aPatternThatGivesNoNameIsRefusedAndTheOneBeforeStays() {
        Delivery delivery = new Delivery(lane, CheckRun.ofAllChecks());
        delivery.setNaming(track, new FileNaming("{lane}-{name}.{target}.{ext}"));

        assertThatThrownBy(() -> delivery.setNaming(track, new FileNaming("{colour}.xlf")))
                .isInstanceOf(CannotProceedException.class);

        assertThat(delivery.target(track)).hasFileName("Marram Sound Ferries-passenger-info.de-DE.xlf");
    }

    @Test
    void whatIsTypedWhileItIsReleasedDoesNotConcernTheRelease() throws IOException {
        meetEverything();
        TrackSnapshot released = track.now();
        Gate gate = delivery.gate(released, Progress.NONE);
        new Work(lane, track).type("Mara", 0, new Value(Content.of("Later"), State.TRANSLATED));

        ProofStore.Receipt receipt = delivery.release(released, gate, "", Progress.NONE);

        assertThat(FormatRegistry.ofInstalled()
                        .open(Source.of(folder.resolve("out").resolve(receipt.file())), Progress.NONE)
                        .document()
                        .segments()
                        .get(0)
                        .target())
                .isEqualTo(released.target(0));
    }
}
