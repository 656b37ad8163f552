package org.swaplane.lane;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.xssf.streaming.SXSSFSheet;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;
import org.swaplane.format.NewFile;
import org.swaplane.report.HtmlReport;

/** The list of all trips of a lane and of what happened to each, for people without the program: as a page and as a workbook. */
public final class TripLog {
    private static final List<String> COLUMNS =
            List.of("trip", "file", "recipient", "purpose", "words", "sent", "due", "state", "events");

    private final Lane lane;

    public TripLog(Lane lane) {
        this.lane = lane;
    }

    /** Writes both into the lane's folder of reports; returns the page, beside which the workbook lies. */
    public Path write() throws IOException {
        List<Map<String, Object>> trips = trips();
        Path page = lane.free("reports", "trips.html");
        String html = HtmlReport.render("trips", Map.of("lane", lane.name(), "trips", trips));
        NewFile.write(page, false, out -> out.write(html.getBytes(StandardCharsets.UTF_8)));
        String name = page.getFileName().toString();
        Path workbook = page.resolveSibling(name.substring(0, name.length() - ".html".length()) + ".xlsx");
        NewFile.write(workbook, true, out -> {
            try (SXSSFWorkbook book = new SXSSFWorkbook()) {
                SXSSFSheet sheet = book.createSheet("Trips");
                Row heads = sheet.createRow(0);
                for (int i = 0; i < COLUMNS.size(); i++) {
                    heads.createCell(i).setCellValue(COLUMNS.get(i));
                }
                for (int i = 0; i < trips.size(); i++) {
                    Row row = sheet.createRow(i + 1);
                    for (int j = 0; j < COLUMNS.size(); j++) {
                        Object value = trips.get(i).get(COLUMNS.get(j));
                        if (value instanceof Integer number) {
                            row.createCell(j).setCellValue(number);
                        } else {
                            row.createCell(j).setCellValue(String.valueOf(value));
                        }
                    }
                }
                book.write(out);
            }
        });
        return page;
    }

    private List<Map<String, Object>> trips() {
        LocalDate today = LocalDate.now(lane.clock());
        Map<String, List<TripEvent>> events =
                lane.trips().events().stream().collect(Collectors.groupingBy(TripEvent::trip));
        List<Map<String, Object>> rows = new ArrayList<>();
        for (Trip trip : lane.trips().all()) {
            Map<String, Object> row = new LinkedHashMap<>();
            row.put("trip", trip.code());
            row.put("file", lane.track(trip.track()).name());
            row.put("recipient", trip.person());
            row.put("purpose", trip.purpose().name().toLowerCase(Locale.ROOT));
            row.put("words", trip.words());
            row.put("sent", trip.sentAt().truncatedTo(ChronoUnit.SECONDS).toString());
            row.put("due", trip.due().map(LocalDate::toString).orElse(""));
            row.put("state", state(trip, today));
            row.put(
                    "events",
                    events.getOrDefault(trip.code(), List.of()).stream()
                            .map(TripLog::words)
                            .collect(Collectors.joining("\n")));
            rows.add(row);
        }
        return rows;
    }

    private static String state(Trip trip, LocalDate today) {
        return trip.isOverdue(today)
                ? "overdue"
                : trip.isAway() ? "away" : trip.back().isPresent() ? "back" : "withdrawn";
    }

    private static String words(TripEvent event) {
        String kind = event.kind().name().toLowerCase(Locale.ROOT);
        String detail = event.detail().isEmpty() ? "" : " (" + event.detail() + ")";
        return event.at().truncatedTo(ChronoUnit.SECONDS) + " " + kind + detail;
    }
}
