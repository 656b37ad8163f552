package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.CheckRun;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.proof.Proof;
import org.swaplane.pseudo.PseudoScript;
import org.swaplane.pseudo.PseudoSettings;
import org.swaplane.release.Gate;
import org.swaplane.task.Progress;

class ProvingTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:30:00Z"), ZoneOffset.UTC);
    private static final String PAGE = "<p>The quay is open. Come in.</p><img src=\"map.png\"><img src=\"logo.png\">";

    @TempDir
    private Path folder;

    private Lane lane;
    private Track track;
    private Proving proving;

    @BeforeEach
    void create() throws IOException {
        lane = Lane.create(folder, "Marram Sound Ferries", FormatRegistry.ofInstalled(), DAY);
        Source page = Source.of("quay.html", PAGE.getBytes(StandardCharsets.UTF_8));
        track = lane.trackStore().takeIn(page, FileOptions.ofLanguages("en", "de"), Progress.NONE);
        proving = new Proving(lane);
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private ProofStore.Remembered last() {
        return lane.proofs().lastDryRun(track).orElseThrow();
    }

    private Proof pictures() {
        return last().proofs().stream()
                .filter(proof -> proof.id().equals("pictures"))
                .findFirst()
                .orElseThrow();
    }

    private boolean gateKnows() throws IOException {
        return new OneRelease(lane, CheckRun.ofAllChecks())
                .gate(track).conditions().stream()
                        .filter(condition -> condition.id().equals("dry-run"))
                        .allMatch(Gate.Condition::holds);
    }

    @Test
    void whatEverybodyLookedAtHoldsAndStaysSoInTheNextDryRun() throws IOException {
        proving.run(track, Progress.NONE);
        List<Proof.Detail> both = pictures().details();

        LaneWriter.await(lane.proofs().tickOff(track, pictures(), both.subList(0, 1), "has no text", "Mara"));
        assertThat(last().verdict()).isEqualTo(Proof.Verdict.WARN);
        assertThat(last().open(pictures())).containsExactly(both.get(1));
        LaneWriter.await(lane.proofs().tickOff(track, pictures(), both.subList(1, 2), "needs its own job", "Mara"));
        proving.run(track, Progress.NONE);

        assertThat(last().verdict()).isEqualTo(Proof.Verdict.PASS);
        LaneWriter.await(lane.proofs().untick(track, pictures(), both));
        assertThat(last().verdict(pictures())).isEqualTo(Proof.Verdict.WARN);
    }

    private void lookAtEverything() {
        last().proofs().stream()
                .filter(proof -> !last().open(proof).isEmpty())
                .forEach(proof -> LaneWriter.await(
                        lane.proofs().tickOff(track, proof, last().open(proof), "has no text", "Mara")));
    }

    @Test
    void theGateKnowsADryRunOnlyOfTheFileAsItIsReadNow() throws IOException {
        assertThat(gateKnows()).isFalse();
        proving.run(track, Progress.NONE);
        // Two pictures need a look, so that it has not passed.
        assertThat(gateKnows()).isFalse();
        lookAtEverything();
        assertThat(gateKnows()).isTrue();

        new Resegmentation(lane).join(track.now(), 0, Progress.NONE);

        assertThat(gateKnows()).isFalse();
        assertThat(proving.isCurrent(track)).isFalse();
        proving.run(track, Progress.NONE);
        lookAtEverything();
        assertThat(gateKnows()).isTrue();
    }

    @Test
    void theSettingsOfTheLaneAreUsedAndTheWorkIsNotTouched() throws IOException {
        lane.settings()
                .setPseudo(new PseudoSettings(PseudoScript.WIDE, 0, "<", ">", true, true, true))
                .join();

        proving.run(track, Progress.NONE);

        assertThat(Files.readString(proving.file(track))).contains("&lt;1·Ｔｈｅ");
        assertThat(track.now().edits()).isEmpty();
        assertThat(track.now().target(0).isEmpty()).isTrue();
    }

    @Test
    void theFilesAreSavedAndTheReportSaysWhatWasFound() throws IOException {
        proving.run(track, Progress.NONE);
        LaneWriter.await(
                lane.proofs().tickOff(track, pictures(), pictures().details().subList(0, 1), "has no text", "Mara"));
        Path chosen = Files.createDirectory(folder.resolve("chosen"));

        assertThat(proving.saveTo(chosen)).isEqualTo(1);
        assertThat(proving.saveTo(chosen)).isEqualTo(1);
        String report = Files.readString(proving.report());

        assertThat(chosen).isDirectoryContaining("glob:**quay.html").isDirectoryContaining("glob:**2_quay.html");
        assertThat(report)
                .contains("quay.html")
                .contains("2 pictures or objects may contain text")
                .contains("Mara: has no text");
    }

    @Test
    void noSentenceIsStored() throws IOException {
        proving.run(track, Progress.NONE);
        LaneWriter.await(lane.proofs().tickOff(track, pictures(), pictures().details(), "has no text", "Mara"));
        String stored = stored();
        for (Proof proof : last().proofs()) {
            assertThat(stored).doesNotContain(proof.message());
            proof.details().stream()
                    .filter(detail -> !detail.phrase().arguments().contains(detail.text()))
                    .forEach(detail -> assertThat(stored).doesNotContain(detail.text()));
        }
    }

    private String stored() throws IOException {
        StringBuilder all = new StringBuilder();
        try (Connection database = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("lane.db"));
                Statement statement = database.createStatement();
                ResultSet rows =
                        statement.executeQuery("select proofs from dry_run union all select words from ticked_off")) {
            while (rows.next()) {
                all.append(rows.getString(1)).append('\n');
            }
        } catch (SQLException e) {
            throw new IOException(e);
        }
        return all.toString();
    }

    @Test
    void whatWasTickedOffInAnEarlierVersionStaysSo() throws IOException {
        proving.run(track, Progress.NONE);
        Proof.Detail first = pictures().details().get(0);
        LaneWriter.await(lane.proofs().tickOff(track, pictures(), List.of(first), "has no text", "Mara"));
        lane.close();
        try (Connection database = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("lane.db"));
                PreparedStatement statement = database.prepareStatement("update ticked_off set words = ?")) {
            statement.setString(1, first.text());
            statement.executeUpdate();
        } catch (SQLException e) {
            throw new IOException(e);
        }

        lane = Lane.open(folder, FormatRegistry.ofInstalled(), DAY);
        track = lane.tracks().get(0);

        assertThat(last().tick(pictures(), first)).isPresent();
    }

    @Test
    void whatAnOlderVersionRememberedCanBeReadAndIsOutOfDate() throws IOException {
        proving.run(track, Progress.NONE);
        lane.close();
        try (Connection database = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("lane.db"));
                Statement statement = database.createStatement()) {
            statement.execute("update dry_run set version = '', proofs = '[{\"id\":\"survival\",\"verdict\":\"FAIL\","
                    + "\"message\":\"Lost\",\"details\":[\"u1\",\"u2\"]}]'");
        } catch (SQLException e) {
            throw new IOException(e);
        }

        lane = Lane.open(folder, FormatRegistry.ofInstalled(), DAY);
        track = lane.tracks().get(0);
        proving = new Proving(lane);

        assertThat(last().proofs().get(0).details())
                .extracting(Proof.Detail::text)
                .containsExactly("u1", "u2");
        assertThat(proving.isCurrent(track)).isFalse();
    }
}
