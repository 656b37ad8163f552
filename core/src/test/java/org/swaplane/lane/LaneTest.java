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
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.document.State;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.terms.TermListReader;

class LaneTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:30:00Z"), ZoneOffset.UTC);
    private static final int AFTERNOON = 4;
    private static final int CURRENCY = 27;

    @TempDir
    private Path folder;

    private Lane lane;
    private Track track;
    private Work work;

    @BeforeEach
    void create() throws IOException {
        lane = DemoLane.create(folder, DAY);
        track = lane.tracks().get(0);
        work = new Work(lane, track);
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private void reopen() throws IOException {
        lane.close();
        lane = Lane.open(folder, FormatRegistry.ofInstalled(), DAY);
        track = lane.tracks().get(0);
        work = new Work(lane, track);
    }

    private static Value translated(String text) {
        return new Value(Content.of(text), State.TRANSLATED);
    }

    private void type(String text) {
        work.type("Mara", AFTERNOON, translated(text));
    }

    @Test
    void theClientsBytesAreKeptByTheirHash() throws IOException {
        Path kept = folder.resolve("files").resolve(track.sha256());

        assertThat(kept).hasBinaryContent(DemoLane.file());
    }

    @Test
    void editsAreThereAfterARestart() throws IOException {
        type("Neu um 14:05 Uhr");
        work.edit(
                StepKind.STATE_SET, "Mara", "", Map.of(0, new Value(track.now().target(0), State.REVIEWED)));

        reopen();

        assertThat(track.now().target(AFTERNOON)).isEqualTo(Content.of("Neu um 14:05 Uhr"));
        assertThat(track.now().state(0)).isEqualTo(State.REVIEWED);
    }

    @Test
    void tagsSurviveTheJournal() throws IOException {
        Content withTags = track.now().segment(1).source();
        work.edit(StepKind.COPIED, "Mara", "", Map.of(1, new Value(withTags, State.TRANSLATED)));

        reopen();

        assertThat(track.now().target(1)).isEqualTo(withTags);
    }

    @Test
    void undoAndRedoWorkAfterARestartToo() throws IOException {
        Content before = track.now().target(AFTERNOON);
        type("eins");
        work.endTyping();
        type("zwei");
        reopen();

        work.undo();
        assertThat(track.now().target(AFTERNOON)).isEqualTo(Content.of("eins"));
        reopen();
        work.undo();
        assertThat(track.now().target(AFTERNOON)).isEqualTo(before);
        work.redo();
        work.redo();
        assertThat(track.now().target(AFTERNOON)).isEqualTo(Content.of("zwei"));
        assertThat(work.redo()).isEmpty();
    }

    @Test
    void whatIsTypedInOneVisitIsOneStep() {
        Content before = track.now().target(AFTERNOON);
        type("N");
        type("Ne");
        type("Neu");

        assertThat(track.history(track.now().segment(AFTERNOON).key())).hasSize(1);
        work.undo();
        assertThat(track.now().target(AFTERNOON)).isEqualTo(before);
    }

    @Test
    void aNewEditAfterUndoEndsRedo() {
        type("eins");
        work.undo();
        type("zwei");

        assertThat(work.redo()).isEmpty();
        assertThat(track.history(track.now().segment(AFTERNOON).key()))
                .extracting(HistoryEntry::undone)
                .containsExactly(false, true);
    }

    @Test
    void lockedSegmentsCannotBeChanged() {
        assertThatThrownBy(() ->
                        work.edit(StepKind.TYPED, "Mara", "", Map.of(CURRENCY, translated("EUR"), 0, translated("x"))))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("fa.currency is locked");
        assertThat(track.now().edits()).isEmpty();
    }

    @Test
    void anEditThatChangesNothingIsNoStep() {
        assertThat(work.edit(StepKind.TYPED, "Mara", "", Map.of(0, track.now().value(0))))
                .isEmpty();
        assertThat(work.undo()).isEmpty();
    }

    @Test
    void theSameFileTwiceIsRefused() {
        assertThatThrownBy(() -> lane.trackStore().takeIn(Source.of("copy.xlf", DemoLane.file()), Progress.NONE))
                .hasMessageContaining("already in the lane");
    }

    @Test
    void aFileThatCannotBeReadLeavesTheLaneAsItWas() throws IOException {
        var tracks = lane.tracks();
        byte[] broken = "<xliff version='1.2'><file><body><trans".getBytes(StandardCharsets.UTF_8);
        long before = Files.list(folder.resolve("files")).count();

        assertThatThrownBy(() -> lane.trackStore().takeIn(Source.of("bad.xlf", broken), Progress.NONE))
                .isInstanceOf(CannotProceedException.class);

        assertThat(lane.tracks()).isEqualTo(tracks);
        assertThat(Files.list(folder.resolve("files")).count()).isEqualTo(before);
        reopen();
        assertThat(lane.tracks()).hasSameSizeAs(tracks);
    }

    @Test
    void aFindingSetAsideStaysSoUntilItsTextChanges() throws IOException {
        OneRelease delivery = new OneRelease(lane, CheckRun.ofAllChecks());
        Finding finding = delivery.findings(track.now()).get(0);
        int open = delivery.findings(track.now()).size();

        LaneWriter.await(
                lane.findings().setAside(track, finding, SetAside.Scope.FINDING, "agreed with the client", "Mara"));
        reopen();
        delivery = new OneRelease(lane, CheckRun.ofAllChecks());

        assertThat(lane.findings().of(track).open(delivery.findings(track.now())))
                .hasSize(open - 1);
        work.type("Mara", finding.segment(), translated("ganz anders um 13:00 Uhr"));
        assertThat(lane.findings().of(track).open(delivery.findings(track.now())))
                .anyMatch(each -> each.segment() == finding.segment());
    }

    @Test
    void aDecisionHoldsForItsScopeAndCanBeTakenBack() throws IOException {
        List<Finding> findings = new OneRelease(lane, CheckRun.ofAllChecks()).findings(track.now());
        Finding same = findings.stream()
                .filter(each -> each.check().equals("same-as-source"))
                .findFirst()
                .orElseThrow();
        long ofKind = findings.stream()
                .filter(each -> each.check().equals(same.check()))
                .count();

        LaneWriter.await(lane.findings().setAside(track, same, SetAside.Scope.KIND, "names", "Mara"));
        assertThat(lane.findings().of(track).open(findings)).hasSize((int) (findings.size() - ofKind));
        LaneWriter.await(lane.findings()
                .revoke(track, lane.findings().of(track).all().get(0).identity()));
        assertThat(lane.findings().of(track).open(findings)).isEqualTo(findings);

        LaneWriter.await(lane.findings().setAside(track, same, SetAside.Scope.TEXTS, "a name", "Mara"));
        assertThat(findings)
                .filteredOn(each -> lane.findings().of(track).of(each).isPresent())
                .containsExactly(same);
    }

    @Test
    void aTermListOfTheLaneIsCheckedByAndReportedOn() throws IOException {
        byte[] terms = "en,de\nferry,Schiff\n".getBytes(StandardCharsets.UTF_8);
        lane.references().keepTermList(Source.of("terms.csv", terms));
        reopen();
        CheckRun checks = lane.references().checks();
        List<Finding> found = new OneRelease(lane, checks).findings(track.now());
        LaneWriter.await(lane.findings().setAside(track, found.get(0), SetAside.Scope.FINDING, "agreed", "Mara"));
        Path html = folder.resolve("checks.html");
        Path book = folder.resolve("checks.xlsx");

        new CheckReports(lane, checks).write(lane.tracks(), html, false, Progress.NONE);
        new CheckReports(lane, checks).write(lane.tracks(), book, false, Progress.NONE);

        assertThat(lane.settings().profile().terms()).containsExactly("reference/terms.csv");
        assertThat(found).extracting(Finding::check).contains("term");
        assertThat(html).content().contains("agreed (Mara)").contains("Terms").contains("<mark>");
        assertThat(TermListReader.read(Source.of(book)).entries()).hasSizeBetween(1, found.size());
    }

    @Test
    void thereIsNoLaneInAFolderWithoutOne(@TempDir Path empty) {
        assertThatThrownBy(() -> Lane.open(empty, FormatRegistry.ofInstalled(), DAY))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("there is no lane in this folder");
        assertThatThrownBy(() -> Lane.create(folder, "again", FormatRegistry.ofInstalled(), DAY))
                .hasMessageContaining("there is a lane already");
    }
}
