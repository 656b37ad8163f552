package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.IntStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.Finding;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.FormatRegistry;
import org.swaplane.task.CannotProceedException;

/** Lanes that earlier versions wrote open with everything in them. */
class EarlierLaneTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-28T09:30:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    @BeforeEach
    void aLaneOfVersion01() throws IOException {
        try (InputStream in = EarlierLaneTest.class.getResourceAsStream("/lane/lane-of-version-0.1.zip");
                ZipInputStream zip = new ZipInputStream(in)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                Path path = folder.resolve(entry.getName());
                if (entry.isDirectory()) {
                    Files.createDirectories(path);
                } else {
                    Files.createDirectories(path.getParent());
                    Files.write(path, zip.readAllBytes());
                }
            }
        }
    }

    private Lane open() {
        try {
            return Lane.open(folder, FormatRegistry.ofInstalled(), DAY);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void execute(String... statements) throws SQLException {
        try (Connection database = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("lane.db"));
                Statement statement = database.createStatement()) {
            for (String sql : statements) {
                statement.execute(sql);
            }
        }
    }

    @Test
    void itsEditsLocksAndUndoneStepsAreThere() {
        try (Lane lane = open()) {
            TrackSnapshot now = lane.tracks().get(0).now();

            assertThat(now.target(2)).isEqualTo(Content.of("Neu um 14:05 Uhr"));
            assertThat(now.state(0)).isEqualTo(State.REVIEWED);
            assertThat(now.segment(6).locked()).isTrue();
            assertThat(now.target(3).plainText()).startsWith("Die letzte Fähre");
            assertThat(now.counts().segments(State.REVIEWED)).isEqualTo(8);
            assertThat(now.track().history(now.segment(2).key()))
                    .extracting(HistoryEntry::kind)
                    .containsExactly(StepKind.TYPED);
        }
    }

    @Test
    void itIsLookedAtWithoutBeingChanged() throws IOException {
        byte[] before = Files.readAllBytes(folder.resolve("lane.db"));

        LaneOverview overview = LaneOverview.read(folder, FormatRegistry.ofInstalled(), DAY);
        try (Lane lane = Lane.openForReading(folder, FormatRegistry.ofInstalled(), DAY)) {
            assertThat(lane.tracks().get(0).now().target(2)).isEqualTo(Content.of("Neu um 14:05 Uhr"));
        }

        assertThat(overview.files()).isPositive();
        assertThat(Files.readAllBytes(folder.resolve("lane.db"))).isEqualTo(before);
    }

    @Test
    void segmentsThatWereJoinedStayJoined() {
        try (Lane lane = open()) {
            TrackSnapshot now = lane.tracks().get(1).now();

            assertThat(IntStream.range(0, now.size())
                            .mapToObj(i -> now.segment(i).source().plainText() + " = "
                                    + now.target(i).plainText())
                            .toList())
                    .containsExactly("The ferry leaves. At once. = t0 t1", "Now. = Jetzt.", "Stay here = t3");
            assertThat(new Work(lane, now.track()).undo()).isPresent();
            assertThat(now.track().now().target(1)).isEqualTo(Content.of("t2"));
        }
    }

    @Test
    void decisionsAboutFindingsHoldByWhatWasFound() throws IOException {
        try (Lane lane = open()) {
            TrackSnapshot now = lane.tracks().get(0).now();
            List<Finding> findings = new OneRelease(lane, lane.references().checks()).findings(now);
            Decisions decisions = lane.findings().of(now.track());

            assertThat(findings)
                    .filteredOn(each -> decisions.of(each).isPresent())
                    .extracting(each ->
                            each.check() + ": " + decisions.of(each).get().reason())
                    .contains("numbers: agreed with the client", "same-as-source: a name")
                    .contains("numbers: numbers are checked by hand");
            assertThat(decisions.all())
                    .filteredOn(each -> each.scope() != SetAside.Scope.KIND)
                    .allMatch(each -> !each.phrase().key().isEmpty());
        }
    }

    @Test
    void tripsRemarksProofsAndReceiptsAreThere() {
        try (Lane lane = open()) {
            TrackSnapshot now = lane.tracks().get(0).now();

            assertThat(lane.trips().of(now.track())).hasSize(2);
            assertThat(lane.trips().remarks(now.track().id())).hasSize(1).allMatch(remark -> now.index(remark.key())
                    .isPresent());
            assertThat(lane.proofs().lastDryRun(now.track())).isPresent();
            assertThat(new Proving(lane).isCurrent(now.track())).isTrue();
            Release release = lane.releases().last(now.track()).orElseThrow();
            assertThat(release.reason()).isEqualTo("agreed by telephone");
            assertThat(lane.releases().files(release)).hasSize(1);
        }
    }

    @Test
    void theFirstVersionHadFewerColumns() throws SQLException {
        execute(
                "alter table change drop column locked_before",
                "alter table change drop column locked_after",
                "alter table track drop column target_language",
                "alter table track drop column segmentation",
                "update set_aside set identity = substr(identity, 9, 16) where identity like 'segment:%'");

        try (Lane lane = open()) {
            assertThat(lane.tracks().get(0).now().target(2)).isEqualTo(Content.of("Neu um 14:05 Uhr"));
            assertThat(lane.tracks().get(0).now().segment(6).locked()).isFalse();
        }
    }

    @Test
    void openedOnceItIsALaneOfToday() {
        open().close();
        try (Lane lane = open()) {
            lane.tracks().forEach(Track::now);
        }
        try (Lane lane = open()) {
            assertThat(lane.tracks().get(0).now().target(2)).isEqualTo(Content.of("Neu um 14:05 Uhr"));
            assertThat(lane.tracks().get(1).now().target(1)).isEqualTo(Content.of("Jetzt."));
        }
    }

    @Test
    void aLaneOfANewerVersionIsRefusedAndNotTouched() throws SQLException, IOException {
        execute("pragma user_version = 99");
        byte[] before = Files.readAllBytes(folder.resolve("lane.db"));

        assertThatThrownBy(this::open)
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("newer version of Swap Lane");

        assertThat(folder.resolve("lane.db")).hasBinaryContent(before);
    }
}
