package org.swaplane.jobreport;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.CheckRun;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.effort.Activity;
import org.swaplane.effort.Period;
import org.swaplane.effort.SegmentWork;
import org.swaplane.exchange.Rate;
import org.swaplane.exchange.RowSelection;
import org.swaplane.format.Source;
import org.swaplane.lane.CopyExport;
import org.swaplane.lane.EditRequest;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.QualityStore;
import org.swaplane.lane.ReturnImport;
import org.swaplane.lane.SendRequest;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.Value;
import org.swaplane.quality.Judgement;
import org.swaplane.rates.Account;
import org.swaplane.report.Cell;
import org.swaplane.task.Progress;

/** How much a reviewer changes of what a translator sent back, and how good that was. */
class TranslatorFiguresTest {
    @TempDir
    private Path folder;

    @Test
    void theTranslatorsTextIsWhatTheReviewersWorkBeginsWith() throws IOException {
        try (Lane lane = DemoLane.create(folder.resolve("lane"), Clock.systemUTC())) {
            Track track = lane.tracks().get(0);
            bringBack(lane, track, ">Fahrplan<", ">Der Fahrplan<");
            // Der Fahrplan → Der Fahrplan 2027: five letters more, of seventeen.
            LaneWriter.await(lane.writer()
                    .edit(EditRequest.of(
                            track.now(),
                            StepKind.TYPED,
                            "Mara Lind",
                            Map.of(0, Value.written(Content.of("Der Fahrplan 2027"))))));
            LaneWriter.await(lane.quality()
                    .mark(
                            new QualityStore.Place(track, track.now().segment(0).key(), false, 0, 3, "Der"),
                            new Judgement("style", "minor"),
                            "",
                            "",
                            lane.tracks()));

            JobReport report = new JobReport(
                    JobFacts.read(lane, lane.tracks(), Period.all(ZoneOffset.UTC), Progress.NONE),
                    ReportProfile.INTERNAL,
                    CheckRun.ofAllChecks(),
                    List.of());

            SegmentWork work = report.facts().effort().segments().get(0);
            assertThat(work.translator()).isEqualTo("Tom Brandt");
            assertThat(work.people()).containsExactly("Mara Lind");
            assertThat(work.distance()).isEqualTo(5);
            assertThat(work.similarity()).isEqualTo(70);
            assertThat(row(report, "Changes to translators' work")).startsWith("Tom Brandt", "1");
            assertThat(row(report, "Score by translator")).startsWith("Tom Brandt", "1", "1", "0.00");
        }
    }

    @Test
    void hoursThatAreEnteredForSomebodyArePaidOnceHoweverManyTripsTheyMade() throws IOException {
        try (Lane lane = DemoLane.create(folder.resolve("lane"), Clock.systemUTC())) {
            Track track = lane.tracks().get(0);
            bringBack(lane, track, ">Fahrplan<", ">Der Fahrplan<");
            bringBack(lane, track, ">Der Fahrplan<", ">Die Fahrpläne<");
            LaneWriter.await(lane.timeLog()
                    .correct(
                            Optional.empty(),
                            LocalDate.now(),
                            "Tom Brandt",
                            Activity.TRANSLATION,
                            Duration.ofMinutes(90),
                            "as invoiced"));

            Account account = new LaneAccount(lane)
                    .account(JobFacts.read(lane, lane.tracks(), Period.all(ZoneOffset.UTC), Progress.NONE));

            assertThat(account.totals(false)).containsEntry("GBP", new BigDecimal("60.00"));
        }
    }

    private void bringBack(Lane lane, Track track, String sent, String returned) throws IOException {
        Path file = new CopyExport(lane)
                .send(
                        List.of(track.now()),
                        new SendRequest(
                                List.of("Tom Brandt"),
                                Purpose.TRANSLATION,
                                SendRequest.Form.FILE,
                                RowSelection.ALL,
                                Optional.empty(),
                                Map.of("Tom Brandt", Rate.parse("40 GBP/hour").orElseThrow()),
                                List.of(),
                                0,
                                false),
                        Progress.NONE)
                .get(0)
                .file();
        Source copy = Source.of(Files.writeString(
                folder.resolve("back.xlf"), Files.readString(file).replace(sent, returned)));
        ReturnImport imports = new ReturnImport(lane);
        imports.take(
                imports.recognise(copy, lane.formats().open(copy, Progress.NONE).document(), Progress.NONE)
                        .orElseThrow(),
                Set.of(1));
    }

    private static List<String> row(JobReport report, String heading) {
        return report.figures(Progress.NONE).stream()
                .filter(figures -> figures.section().heading().equals(heading))
                .findFirst()
                .orElseThrow()
                .section()
                .rows()
                .get(0)
                .stream()
                .map(Cell::text)
                .toList();
    }
}
