package org.swaplane.jobreport;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.FormulaEvaluator;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.CheckRun;
import org.swaplane.demo.DemoLane;
import org.swaplane.demo.DemoWeek;
import org.swaplane.effort.Period;
import org.swaplane.effort.SegmentWork;
import org.swaplane.lane.Lane;
import org.swaplane.report.Report;
import org.swaplane.report.ReportForm;
import org.swaplane.task.Progress;
import org.swaplane.wording.Wording;

/** Reports of the demo's week of work. */
class JobReportTest {
    private static final Clock SUNDAY = Clock.fixed(Instant.parse("2026-11-22T18:00:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    private Lane lane;

    @BeforeEach
    void work() throws IOException {
        lane = DemoLane.create(folder.resolve("lane"), SUNDAY);
        DemoWeek.work(lane);
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private JobReport report(ReportProfile profile, Period period) {
        return new JobReport(
                JobFacts.read(lane, lane.tracks(), period, Progress.NONE), profile, CheckRun.ofAllChecks(), List.of());
    }

    private JobReport report(ReportProfile profile) {
        return report(profile, Period.all(ZoneOffset.UTC));
    }

    private static byte[] written(Report report, ReportForm form) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        form.write(report, out);
        return out.toByteArray();
    }

    private String html(ReportProfile profile) throws IOException {
        return new String(written(report(profile).report(Progress.NONE), ReportForm.HTML), StandardCharsets.UTF_8);
    }

    @Test
    void whatIsInternalIsNotInTheClientsReport() throws IOException {
        String internal = html(ReportProfile.INTERNAL);
        String client = html(ReportProfile.CLIENT);

        assertThat(internal).contains("Mara Lind", "Time per day", "<th>Rate</th>", "Call with the client");
        assertThat(client)
                .contains("Account", "EUR", "Changed segments", "Errors by category")
                .doesNotContain("Mara Lind", "Time per day", "<th>Rate</th>", "Call with the client");
    }

    @Test
    void everyRowLeadsToTheSegmentsThatItWasCountedFrom() {
        for (Figures figures : report(ReportProfile.INTERNAL).figures(Progress.NONE)) {
            List<String> heads = figures.section().heads();
            assertThat(figures.segments()).hasSameSizeAs(figures.section().rows());
            int column = heads.indexOf("Segments");
            if (figures.part() == ReportPart.CHANGES && column >= 0) {
                for (int i = 0; i < figures.segments().size(); i++) {
                    long behind = report(ReportProfile.INTERNAL).facts().effort().segments().stream()
                            .filter(figures.segments().get(i))
                            .count();
                    assertThat(figures.section()
                                    .rows()
                                    .get(i)
                                    .get(column)
                                    .number()
                                    .orElseThrow()
                                    .longValue())
                            .as(figures.section().heading() + " " + i)
                            .isEqualTo(behind);
                }
            }
        }
    }

    @Test
    void aPeriodHoldsOnlyItsDays() {
        Period tuesday = new Period(
                Optional.of(LocalDate.of(2026, 11, 17)), Optional.of(LocalDate.of(2026, 11, 17)), ZoneOffset.UTC);

        JobFacts facts = report(ReportProfile.INTERNAL, tuesday).facts();

        assertThat(facts.effort().times().keySet()).allMatch(key -> key.day().equals(LocalDate.of(2026, 11, 17)));
        assertThat(facts.effort().segments()).isNotEmpty().noneMatch(SegmentWork::isChanged);
    }

    @Test
    void theDifferenceIsTheAccountWithoutTheOffer() {
        LaneAccount account = new LaneAccount(lane);
        BigDecimal offered = account.offered().totals(true).get("EUR");
        BigDecimal now = account.account(report(ReportProfile.INTERNAL).facts())
                .totals(true)
                .get("EUR");

        Figures difference = report(ReportProfile.INTERNAL)
                .figures(Set.of(ReportPart.AMOUNTS), Progress.NONE)
                .get(2);

        assertThat(difference.section().heading()).isEqualTo("Account against offer");
        assertThat(difference.section().sums().get(4).number().orElseThrow())
                .isEqualByComparingTo(now.subtract(offered));
        assertThat(offered).isPositive();
        assertThat(now).isPositive();
    }

    @Test
    void sumsOfAWorkbookAreFormulasThatGiveWhatStandsThere() throws IOException {
        byte[] bytes = written(report(ReportProfile.INTERNAL).report(Progress.NONE), ReportForm.XLSX);

        int formulas = 0;
        int charts = 0;
        try (XSSFWorkbook workbook = new XSSFWorkbook(new ByteArrayInputStream(bytes))) {
            FormulaEvaluator evaluator = workbook.getCreationHelper().createFormulaEvaluator();
            for (Sheet sheet : workbook) {
                XSSFSheet each = (XSSFSheet) sheet;
                charts += each.getDrawingPatriarch() == null
                        ? 0
                        : each.getDrawingPatriarch().getCharts().size();
                for (Row row : sheet) {
                    for (Cell cell : row) {
                        if (cell.getCellType() == CellType.FORMULA) {
                            formulas++;
                            double shown = cell.getNumericCellValue();
                            // Hours are shown to three decimals each, so that their sum may be off by some thousandths.
                            assertThat(evaluator.evaluate(cell).getNumberValue())
                                    .as(sheet.getSheetName() + " " + cell.getAddress())
                                    .isCloseTo(shown, within(0.0051));
                        }
                    }
                }
            }
        }
        assertThat(formulas).isGreaterThan(20);
        assertThat(charts).isEqualTo(4);
    }

    @Test
    void aReportIsInTheLanguageOfItsReader() throws Exception {
        String german = Wording.in(Locale.GERMAN, () -> html(ReportProfile.INTERNAL));
        String french = Wording.in(Locale.FRENCH, () -> html(ReportProfile.INTERNAL));

        assertThat(german)
                .contains(
                        "<html lang=\"de\" dir=\"ltr\">", "Zeit je Tag", "Deutsch (Deutschland) (de-DE)", "16.11.2026");
        // There are no French sentences; numbers, dates and languages are French all the same.
        assertThat(french).contains("Time per day", "16 nov. 2026", "allemand (Allemagne) (de-DE)");
        assertThat(html(ReportProfile.INTERNAL)).contains("Time per day", "Nov 16, 2026");
    }

    @Test
    void aLaneWithoutWorkHasAReportThatSaysSo() throws IOException {
        try (Lane empty = Lane.create(folder.resolve("empty"), "Nothing", lane.formats(), SUNDAY)) {
            JobReport report = new JobReport(
                    JobFacts.read(empty, List.of(), Period.all(ZoneOffset.UTC), Progress.NONE),
                    ReportProfile.INTERNAL,
                    CheckRun.ofAllChecks(),
                    List.of());
            List<Integer> sizes = new ArrayList<>();
            for (ReportForm form : ReportForm.values()) {
                sizes.add(written(report.report(Progress.NONE), form).length);
            }
            assertThat(sizes).allMatch(size -> size > 0);
            assertThat(new String(written(report.report(Progress.NONE), ReportForm.HTML), StandardCharsets.UTF_8))
                    .contains("Nothing has been evaluated yet", "no rate card");
        }
    }
}
