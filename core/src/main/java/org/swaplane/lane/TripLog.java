package org.swaplane.lane;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.swaplane.exchange.DueTime;
import org.swaplane.report.Cell;
import org.swaplane.report.Report;
import org.swaplane.report.ReportForm;

/** The list of all trips of a lane and of what happened to each, for people without the program: as a page and as a workbook. */
public final class TripLog {
    private static final List<String> HEADS =
            List.of("trip", "file", "recipient", "purpose", "words", "sent", "due", "state", "events");

    private final Lane lane;

    public TripLog(Lane lane) {
        this.lane = lane;
    }

    /** Writes both into the lane's folder of reports; returns the page, beside which the workbook lies. */
    public Path write() throws IOException {
        Report report = report();
        Path page = lane.free("reports", "trips.html");
        ReportForm.write(report, page, false);
        String name = page.getFileName().toString();
        ReportForm.write(
                report, page.resolveSibling(name.substring(0, name.length() - ".html".length()) + ".xlsx"), true);
        return page;
    }

    private Report report() {
        LocalDateTime now = LocalDateTime.now(lane.clock());
        Map<String, List<TripEvent>> events =
                lane.trips().events().stream().collect(Collectors.groupingBy(TripEvent::trip));
        List<List<Cell>> rows = lane.trips().all().stream()
                .map(trip -> row(trip, events.getOrDefault(trip.code(), List.of()), now))
                .toList();
        Report.Builder report = Report.titled(text("report.trips.title", lane.name()));
        if (rows.isEmpty()) {
            report.line(text("report.trips.none"));
        }
        return report.section(Report.Section.ofTable(
                        "",
                        HEADS.stream().map(head -> text("report.trips." + head)).toList(),
                        rows))
                .build();
    }

    private List<Cell> row(Trip trip, List<TripEvent> events, LocalDateTime now) {
        return List.of(
                Cell.of(trip.code(), Cell.Tone.CODE),
                Cell.of(lane.track(trip.track()).name()),
                Cell.of(trip.person()),
                Cell.of(text("report.trips.purpose." + trip.purpose().name().toLowerCase(Locale.ROOT))),
                Cell.of(trip.words()),
                Cell.of(trip.sentAt().truncatedTo(ChronoUnit.SECONDS).toString()),
                Cell.of(trip.due().map(DueTime::toString).orElse("")),
                state(trip, now),
                Cell.of(events.stream().map(TripLog::words).collect(Collectors.joining("\n"))));
    }

    private static Cell state(Trip trip, LocalDateTime now) {
        if (trip.isOverdue(now)) {
            return Cell.of(text("report.trips.state.overdue"), Cell.Tone.BAD);
        }
        String state = trip.isAway()
                ? "away"
                : trip.back().isPresent() ? "back" : trip.purpose() == Purpose.DELIVERY ? "delivered" : "withdrawn";
        return Cell.of(text("report.trips.state." + state));
    }

    private static String words(TripEvent event) {
        String kind = text("report.trips.event."
                + event.kind().name().toLowerCase(Locale.ROOT).replace('_', '-'));
        String detail = event.detail().isEmpty() ? "" : " (" + event.detail() + ")";
        return event.at().truncatedTo(ChronoUnit.SECONDS) + " " + kind + detail;
    }
}
