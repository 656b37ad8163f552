package org.swaplane.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.CheckRun;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.desk.DeskReceipt;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DeskVerdict;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desk.HttpClientDesk;
import org.swaplane.desk.server.DeskServer;
import org.swaplane.document.State;
import org.swaplane.format.FormatRegistry;
import org.swaplane.lane.DeskJob;
import org.swaplane.lane.EditRequest;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.ReleaseConditions;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.Value;
import org.swaplane.lane.VersionUpdate;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** From a task that the desk offers to its receipt. */
class DeskJourneyTest {
    private static final String PAGE = "<html lang='en'><p>The ferry leaves at <b>14:05</b>.</p><p>Pier 3</p></html>";

    @TempDir
    private Path folder;

    private DeskServer server;
    private HttpClientDesk desk;
    private Lane lane;
    private ReleaseConditions conditions;

    @BeforeEach
    void start() throws IOException {
        server = DeskServer.start(0, folder.resolve("desk"), Clock.systemUTC());
        desk = new HttpClientDesk(server.address());
        offer(PAGE);
        open();
        lane.settings().set(LaneDetail.RELEASE_CONDITIONS, "translated").join();
        lane.settings().set(LaneDetail.PERSON, "Mara Lind").join();
    }

    private void offer(String page) throws IOException {
        server.offer(
                "t-1",
                "Winter page",
                "en-GB",
                List.of("de-DE", "fr-FR"),
                "2026-12-11",
                "Times as on the signs.",
                Map.of("web/page.html", page.getBytes(StandardCharsets.UTF_8)),
                Optional.empty(),
                Map.of("style.txt", "Short sentences.".getBytes(StandardCharsets.UTF_8)));
    }

    private void open() throws IOException {
        Path place = folder.resolve("lane");
        lane = Lane.isIn(place)
                ? Lane.open(place, FormatRegistry.ofInstalled(), Clock.systemUTC())
                : Lane.create(place, "Winter", FormatRegistry.ofInstalled(), Clock.systemUTC());
        conditions = new ReleaseConditions(lane, CheckRun::ofAllChecks);
    }

    @AfterEach
    void stop() {
        lane.close();
        server.close();
    }

    private DeskTask offered() throws IOException {
        return desk.tasks(Progress.NONE).tasks().get(0);
    }

    private DeskJob job() {
        return lane.deskJobs().all().get(0);
    }

    private TaskIntake.Outcome fetch(DownloadOptions.Form form) throws IOException {
        DownloadOptions options = new DownloadOptions(form, DownloadOptions.Memory.NONE, true, false, false);
        Path zip = lane.deskJobs().fetch(desk, job(), options, Progress.NONE);
        return new TaskIntake(lane, VersionUpdate.Choices.DEFAULT).take(job(), zip, Progress.NONE);
    }

    private void translate(Track track, String... targets) {
        Map<Integer, Value> edits = new HashMap<>();
        for (int i = 0; i < targets.length; i++) {
            Content target = TagNotation.read(targets[i], track.now().segment(i).source())
                    .content();
            edits.put(i, new Value(target, State.REVIEWED));
        }
        LaneWriter.await(lane.writer().edit(EditRequest.of(track.now(), StepKind.TYPED, "Mara Lind", edits)));
    }

    private DeskVerdict giveBack(String reason) throws IOException {
        return lane.deskJobs().giveBack(desk, job(), conditions, reason, Progress.NONE);
    }

    @Test
    void aTaskIsAcceptedDownloadedWorkedAtReturnedCorrectedAndHandedOver() throws IOException {
        lane.deskJobs().accept(desk, server.address(), offered(), Progress.NONE);
        assertThat(offered().person()).isEqualTo("Mara Lind");

        assertThat(fetch(DownloadOptions.Form.XLIFF_2_1)).isEqualTo(new TaskIntake.Outcome(2, 0, List.of()));
        assertThat(lane.tracks())
                .extracting(track -> track.plan().folder()
                        + '/'
                        + track.name()
                        + ' '
                        + track.summary().targetLanguage())
                .containsExactly("web/page.html.xlf de-DE", "web/page.html.xlf fr-FR");
        assertThat(lane.tracks()).allMatch(track -> track.plan().due().equals(Optional.of(LocalDate.of(2026, 12, 11))));
        assertThat(lane.settings().detail(LaneDetail.INSTRUCTIONS)).contains("Times as on the signs.");

        Track german = lane.tracks().get(0);
        translate(german, "Die Fähre fährt um 14:05.", "Anleger 3");
        assertThatThrownBy(() -> giveBack("")).hasMessageContaining("not translated");
        translate(lane.tracks().get(1), "Le ferry part à ⟦1⟧14:05⟦/1⟧.", "Quai 3");
        DeskVerdict refused = giveBack("");

        assertThat(refused.accepted()).isFalse();
        assertThat(job().problems()).isNotEmpty().allSatisfy(problem -> {
            assertThat(problem.kind()).isEqualTo(DeskVerdict.Kind.TAGS);
            assertThat(problem.track()).contains(german);
            assertThat(german.now().index(problem.key())).hasValue(0);
        });
        assertThatThrownBy(() -> lane.deskJobs().handOver(desk, job(), Progress.NONE))
                .isInstanceOf(CannotProceedException.class);

        translate(german, "Die Fähre fährt um ⟦1⟧14:05⟦/1⟧.");
        assertThat(giveBack("").accepted()).isTrue();
        assertThat(job().problems()).isEmpty();
        translate(german, "Die Fähre fährt täglich um ⟦1⟧14:05⟦/1⟧.");
        assertThatThrownBy(() -> lane.deskJobs().handOver(desk, job(), Progress.NONE))
                .hasMessageContaining("after it was returned");
        assertThat(giveBack("").accepted()).isTrue();
        DeskReceipt receipt = lane.deskJobs().handOver(desk, job(), Progress.NONE);

        assertThat(desk.tasks(Progress.NONE).tasks()).isEmpty();
        assertThat(job().receipt()).contains(receipt);
        assertThat(lane.deskJobs().handOver(desk, job(), Progress.NONE)).isEqualTo(receipt);
        assertThat(lane.deskJobs().history(job()))
                .extracting(DeskJob.Event::kind)
                .containsExactly(
                        DeskJob.Kind.ACCEPTED,
                        DeskJob.Kind.FETCHED,
                        DeskJob.Kind.REFUSED,
                        DeskJob.Kind.RETURNED,
                        DeskJob.Kind.RETURNED,
                        DeskJob.Kind.HANDED_OVER);
    }

    @Test
    void whatWasHandedOverIsEditedAgainOnlyWhenTheClientGivesItBack() throws IOException {
        lane.deskJobs().accept(desk, server.address(), offered(), Progress.NONE);
        fetch(DownloadOptions.Form.XLIFF_1_2);
        for (Track track : lane.tracks()) {
            translate(track, "Um ⟦1⟧14:05⟦/1⟧", "Pier 3!");
        }
        giveBack("");
        lane.deskJobs().handOver(desk, job(), Progress.NONE);
        lane.close();
        open();
        Track track = lane.tracks().get(0);
        assertThatThrownBy(() -> translate(track, "Later ⟦1⟧14:05⟦/1⟧")).hasMessageContaining("handed over");
        assertThatThrownBy(() -> LaneWriter.await(lane.writer().undo(track))).hasMessageContaining("handed over");

        assertThatThrownBy(() -> {
                    VersionUpdate update = new VersionUpdate(lane);
                    update.take(
                            update.of(track, lane.trackStore().original(track), Progress.NONE),
                            VersionUpdate.Choices.DEFAULT);
                })
                .hasMessageContaining("handed over");

        server.giveBack("t-1", "The pier has changed");
        lane.deskJobs().refresh(desk, server.address(), Progress.NONE);

        translate(track, "Later ⟦1⟧14:05⟦/1⟧");
        assertThat(giveBack("").accepted()).isTrue();
        assertThat(job().isClosed()).isFalse();
    }

    @Test
    void documentsGoBackUnderTheNamesThatAreAskedForAndNothingElse() throws IOException {
        lane.deskJobs().accept(desk, server.address(), offered(), Progress.NONE);
        fetch(DownloadOptions.Form.ORIGINAL);
        assertThat(giveBack("only to see").problems())
                .extracting(DeskVerdict.Problem::kind)
                .containsOnly(DeskVerdict.Kind.UNTRANSLATED);

        for (Track track : lane.tracks()) {
            translate(track, "Um ⟦1⟧14:05⟦/1⟧", "Anleger");
        }

        assertThat(giveBack("").accepted()).isTrue();
    }

    @Test
    void aTaskThatTheClientChangesIsDownloadedAgainAndItsFilesAreNewVersions() throws IOException {
        lane.deskJobs().accept(desk, server.address(), offered(), Progress.NONE);
        fetch(DownloadOptions.Form.ORIGINAL);
        Track german = lane.tracks().get(0);
        translate(german, "Um ⟦1⟧14:05⟦/1⟧", "Anleger 3");
        offer(PAGE.replace("Pier 3", "Pier 4"));

        assertThatThrownBy(() -> giveBack("in time")).hasMessageContaining("version 2");

        assertThat(fetch(DownloadOptions.Form.ORIGINAL)).isEqualTo(new TaskIntake.Outcome(0, 2, List.of()));
        assertThat(german.now().target(0).plainText()).isEqualTo("Um 14:05");
        assertThat(german.now().segment(1).source().plainText()).isEqualTo("Pier 4");
    }

    @Test
    void aDownloadThatWasCutOffIsGoneOnWith() throws IOException {
        lane.deskJobs().accept(desk, server.address(), offered(), Progress.NONE);
        Path whole = lane.deskJobs().fetch(desk, job(), DownloadOptions.DEFAULT, Progress.NONE);
        byte[] bytes = Files.readAllBytes(whole);
        Files.delete(whole);
        Files.write(whole.resolveSibling(whole.getFileName() + ".part"), Arrays.copyOf(bytes, 100));

        Path again = lane.deskJobs().fetch(desk, job(), DownloadOptions.DEFAULT, Progress.NONE);

        assertThat(Files.readAllBytes(again)).isEqualTo(bytes);
        byte[] other = new byte[100];
        Files.delete(again);
        Files.write(again.resolveSibling(again.getFileName() + ".part"), other);
        assertThat(Files.readAllBytes(lane.deskJobs().fetch(desk, job(), DownloadOptions.DEFAULT, Progress.NONE)))
                .as("what is not the beginning of it is thrown away")
                .isEqualTo(bytes);
    }

    @Test
    void aDeskThatDoesNotAnswerLeavesTheLaneAsItIs() throws IOException {
        DeskTask task = offered();
        lane.deskJobs().accept(desk, server.address(), task, Progress.NONE);
        fetch(DownloadOptions.Form.ORIGINAL);
        server.close();

        assertThatThrownBy(() -> giveBack("in time"))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("cannot be reached");

        assertThat(job().isHere()).isTrue();
        assertThat(job().problems()).isEmpty();
        server = DeskServer.start(0, folder.resolve("desk"), Clock.systemUTC());
    }
}
