package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.effort.Activity;
import org.swaplane.jobreport.Figures;
import org.swaplane.jobreport.ReportPart;
import org.swaplane.jobreport.ReportProfile;
import org.swaplane.lane.QualityError;
import org.swaplane.lane.StepKind;
import org.swaplane.quality.Judgement;
import org.swaplane.rates.RateCard;

class JobReportingTest {
    @TempDir
    private Path folder;

    private SessionBench bench;
    private JobReporting reporting;

    @BeforeEach
    void open() {
        bench = SessionBench.ofDemo(folder.resolve("lane"));
        reporting = bench.session.jobReporting();
    }

    @AfterEach
    void close() {
        bench.close();
    }

    private Figures figures(ReportPart part, String heading) {
        bench.run(() -> reporting.show(part));
        bench.until(() -> !bench.session.background().busyProperty().get()
                && reporting.shownProperty().get() != null
                && reporting.shownProperty().get().part() == part);
        return bench.on(() -> reporting.shownProperty().get().figures().stream()
                .filter(each -> each.section().heading().equals(heading))
                .findFirst()
                .orElseThrow());
    }

    private void type(int index, String text) {
        bench.run(() -> bench.session.editing().setTarget(index, Content.of(text), StepKind.TYPED));
        bench.settle();
    }

    private static String shown(Figures figures, int row, String column) {
        return figures.section()
                .rows()
                .get(row)
                .get(figures.section().heads().indexOf(column))
                .text();
    }

    @Test
    void figuresFollowWhatIsDoneAndLeadToIt() {
        type(0, "Abfahrtszeiten");
        assertThat(shown(figures(ReportPart.CHANGES, "Changes by person"), 0, "Edited"))
                .isEqualTo("1");

        type(2, "Die erste Fähre fährt um 06:40 Uhr.");
        bench.run(reporting::refresh);
        bench.until(() -> shown(
                        reporting.shownProperty().get().figures().stream()
                                .filter(each -> each.section().heading().equals("Changes by person"))
                                .findFirst()
                                .orElseThrow(),
                        0,
                        "Edited")
                .equals("2"));

        Figures people = figures(ReportPart.CHANGES, "Changes by person");
        SegmentSelection selection =
                bench.on(() -> reporting.segments(people, 0, "x").orElseThrow());
        assertThat(selection.keys())
                .containsExactlyInAnyOrder(
                        bench.on(() -> bench.session.snapshot().segment(0).key()),
                        bench.on(() -> bench.session.snapshot().segment(2).key()));
    }

    @Test
    void timeByHandIsCountedAndNamedAsSuchUntilItIsWithdrawn() {
        LocalDate day = LocalDate.of(2026, 11, 20);
        bench.run(() -> reporting.correct(day, "Mara Lind", Activity.FILE_WORK, Duration.ofMinutes(90), "call"));
        bench.settle();
        Figures entered = figures(ReportPart.EFFORT, "Time entered by hand");
        assertThat(shown(entered, 0, "Hours")).isEqualTo("1.500");
        assertThat(shown(entered, 0, "Reason")).isEqualTo("call");

        bench.run(() ->
                reporting.withdraw(bench.session.lane().timeLog().corrections().get(0)));
        bench.settle();
        bench.until(() -> reporting.shownProperty().get().figures().stream()
                .noneMatch(each -> each.section().heading().equals("Time entered by hand")));
    }

    @Test
    void anOfferIsKeptAndComparedWithTheAccount() {
        RateCard card = new RateCard(
                "Ferries",
                "",
                "en",
                "de",
                Currency.getInstance("EUR"),
                List.of(new RateCard.Entry(
                        Activity.REVIEW, "", RateCard.Unit.WORD, new BigDecimal("0.05"), Map.of(), true, 0)),
                null,
                null);
        bench.run(() -> reporting.setCards(List.of(card)));
        bench.settle();
        bench.run(reporting::offer);
        bench.settle();
        type(0, "Abfahrtszeiten");

        Figures difference = figures(ReportPart.AMOUNTS, "Account against offer");
        // The demo has 573 words to review; one word was worked at.
        assertThat(shown(difference, 0, "Account")).isEqualTo("0.05 EUR");
        assertThat(shown(difference, 0, "Offered")).endsWith("EUR").isNotEqualTo("0.00 EUR");
        assertThat(bench.on(reporting::cards)).containsExactly(card);
    }

    @Test
    void errorsAreMarkedAnsweredAndDecided() {
        Evaluating evaluating = bench.session.evaluating();
        String key = bench.on(() -> bench.session.snapshot().segment(3).key());
        bench.run(() -> evaluating.mark(key, false, 0, 3, "Die", new Judgement("accuracy/omission", "major"), "", ""));
        bench.settle();
        bench.until(() -> evaluating.errors(key).size() == 1);

        QualityError error = bench.on(() -> evaluating.errors(key).get(0));
        bench.run(() -> evaluating.answer(error, QualityError.Answer.REJECTED, "agreed with the client", "Ines Falk"));
        bench.run(() -> evaluating.decide(error, QualityError.Decision.DISMISSED));
        bench.settle();

        Figures scores = figures(ReportPart.QUALITY, "Score");
        bench.until(() -> reporting
                        .shownProperty()
                        .get()
                        .figures()
                        .get(0)
                        .section()
                        .rows()
                        .size()
                == 2);
        assertThat(scores.section().heads()).contains("Score");
        assertThat(shown(figures(ReportPart.QUALITY, "Errors"), 0, "Translator's answer"))
                .isEqualTo("Rejected: agreed with the client · Dismissed");
    }

    @Test
    void aReportIsWrittenInTheFormOfItsName() throws IOException {
        type(0, "Abfahrtszeiten");
        for (String name : List.of("report.html", "report.xlsx", "report.json")) {
            Path file = folder.resolve(name);
            bench.run(() -> reporting.export(file, ReportProfile.CLIENT, Locale.GERMAN));
            bench.settle();
            assertThat(file).isNotEmptyFile();
        }
        assertThat(folder.resolve("report.html")).content().contains("Auftragsbericht", "Abfahrtszeiten");

        bench.run(() -> reporting.export(folder.resolve("report.pdf"), ReportProfile.CLIENT, Locale.GERMAN));
        bench.settle();
        assertThat(bench.message()).contains(".html");
    }

    @Test
    void whoPausesIsNotMeasured() {
        WorkTime time = bench.session.workTime();
        bench.run(time::alive);
        assertThat(bench.on(() -> time.statusProperty().get())).isEqualTo(WorkTime.Status.RUNNING);
        bench.run(time::togglePause);
        bench.run(time::alive);
        assertThat(bench.on(() -> time.statusProperty().get())).isEqualTo(WorkTime.Status.PAUSED);
        bench.run(time::togglePause);
        assertThat(bench.on(() -> time.statusProperty().get())).isEqualTo(WorkTime.Status.RUNNING);
    }

    @Test
    void onlyOneFileOrLanguageIsSpokenOfWhereThatIsWanted() {
        bench.run(() -> reporting.setScope(reporting
                .scopeProperty()
                .get()
                .ofTrack(Optional.of(bench.session.lane().tracks().get(1)))));
        assertThat(figures(ReportPart.CHANGES, "Changes by file").section().rows())
                .hasSize(1);
        bench.run(() -> reporting.setScope(reporting.scopeProperty().get().ofLanguage("fr-FR")));
        bench.until(() -> reporting.shownProperty().get().facts().tracks().isEmpty());
    }
}
