package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.Finding;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.intake.Arrival;
import org.swaplane.intake.Arrivals;
import org.swaplane.proof.Proof;
import org.swaplane.task.Progress;

/** A workbook with two languages goes the same way through a lane as any other bilingual file. */
class WorkbookTrackTest {
    @TempDir
    private Path folder;

    private Lane lane;
    private Track track;

    @BeforeEach
    void takeIn() throws IOException {
        Clock day = Clock.fixed(Instant.parse("2026-11-23T09:30:00Z"), ZoneOffset.UTC);
        lane = Lane.create(folder, "Marram Sound Ferries", FormatRegistry.ofInstalled(), day);
        lane.settings().set("person", "Mara Lind").join();
        track = lane.trackStore().takeIn(fares(), Progress.NONE);
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private static Source fares() throws IOException {
        String[][] rows = {
            {"id", "en-GB", "de-DE"}, {"a", "Return fare: £12.50", "Rückfahrt: 12,05 £"}, {"b", "Pier 3", "Anleger 3"}
        };
        try (XSSFWorkbook workbook = new XSSFWorkbook();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            XSSFSheet sheet = workbook.createSheet("Fares");
            for (int i = 0; i < rows.length; i++) {
                Row row = sheet.createRow(i);
                for (int column = 0; column < rows[i].length; column++) {
                    row.createCell(column).setCellValue(rows[i][column]);
                }
            }
            workbook.write(out);
            return Source.of("fares.xlsx", out.toByteArray());
        }
    }

    @Test
    void itIsTakenForABilingualFile() throws IOException {
        Path file = folder.resolve("sent by the client.xlsx");
        try (InputStream in = lane.trackStore().original(track).open()) {
            Files.copy(in, file);
        }

        List<Arrival> arrivals = new Arrivals(lane, FileOptions.NONE).read(List.of(file), Progress.NONE);

        assertThat(arrivals)
                .extracting(Arrival::role, each -> each.document().targetLanguage())
                .containsExactly(tuple(Arrival.Role.BILINGUAL, "de-DE"));
    }

    @Test
    void itPassesItsDryRun() throws IOException {
        assertThat(new Proving(lane).run(track, Progress.NONE).verdict()).isEqualTo(Proof.Verdict.PASS);
    }

    @Test
    void whatIsFoundAndMendedStandsInTheWorkbookThatIsDelivered() throws IOException {
        List<Finding> found = lane.references().checks().run(track.now().size(), track.now()::checked, Progress.NONE);
        Content fixed = found.get(0).suggestion().orElseThrow();
        new Work(lane, track).edit(StepKind.FIXED, "Mara Lind", "", Map.of(0, new Value(fixed, State.TRANSLATED)));

        ByteArrayOutputStream out = new ByteArrayOutputStream();
        track.now().write(out, Progress.NONE);

        assertThat(found).extracting(Finding::check).containsExactly("numbers");
        assertThat(FormatRegistry.ofInstalled()
                        .open(Source.of("fares.xlsx", out.toByteArray()), Progress.NONE)
                        .document()
                        .segments())
                .extracting(segment -> segment.target().plainText(), each -> each.state())
                .containsExactly(tuple("Rückfahrt: 12,50 £", State.TRANSLATED), tuple("Anleger 3", State.TRANSLATED));
    }
}
