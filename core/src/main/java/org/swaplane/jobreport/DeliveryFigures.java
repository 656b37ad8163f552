package org.swaplane.jobreport;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.lane.Decisions;
import org.swaplane.lane.Release;
import org.swaplane.lane.ReleaseStore;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Trip;
import org.swaplane.report.Cell;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** What went out and came back, what the checks say, and what was delivered. */
final class DeliveryFigures {
    private final JobFacts facts;
    private final Shown shown;

    DeliveryFigures(JobFacts facts, Shown shown) {
        this.facts = facts;
        this.shown = shown;
    }

    Figures trips() {
        Map<Long, Track> tracks = facts.byId();
        Figures.Builder table = new Figures.Builder(
                ReportPart.TRIPS,
                text("report.trips"),
                text("report.column.person"),
                text("report.column.file"),
                text("report.column.purpose"),
                text("report.column.words"),
                text("report.column.sent"),
                text("report.column.back"),
                text("report.column.accepted"),
                text("report.column.hours"));
        Map<String, Long> millis = facts.effort().millisBy(key -> key.trip());
        for (Trip trip : facts.lane().trips().all()) {
            if (tracks.containsKey(trip.track()) && facts.period().holds(trip.sentAt())) {
                table.row(
                        null,
                        Cell.of(shown.person(trip.person())),
                        Cell.of(JobFacts.path(tracks.get(trip.track()))),
                        Cell.of(text("report.purpose." + trip.purpose().name().toLowerCase(Locale.ROOT))),
                        shown.number(trip.words()),
                        Cell.of(shown.minute(trip.sentAt())),
                        Cell.of(trip.back().map(back -> shown.minute(back.at())).orElse("–")),
                        trip.back()
                                .map(back -> shown.number(back.changesTaken()))
                                .orElseGet(shown::none),
                        shown.hours(millis.getOrDefault(trip.code(), 0L)));
            }
        }
        return table.build();
    }

    /** Runs the checks over the tracks as they stand. */
    Figures checks(CheckRun checks, Progress progress) {
        Map<String, long[]> byCheck = new TreeMap<>();
        int segments = 0;
        List<String> unreadable = new ArrayList<>();
        for (Track track : facts.tracks()) {
            boolean wasLoaded = track.loaded().isPresent();
            try {
                segments += count(track.now(progress), checks, byCheck, progress);
            } catch (CannotProceedException e) {
                unreadable.add(JobFacts.path(track));
            }
            if (!wasLoaded) {
                // One at a time, however many there are.
                track.unload();
            }
        }
        Figures.Builder table = new Figures.Builder(
                ReportPart.CHECKS,
                text("report.checks.summary"),
                text("report.checks.check"),
                text("report.checks.open"),
                text("report.checks.set-aside"));
        byCheck.forEach((check, counts) -> table.row(
                null, Cell.of(text("check-name." + check)), shown.number(counts[0]), shown.number(counts[1])));
        return table.sums(
                        Cell.of(text("report.total")),
                        shown.number(byCheck.values().stream()
                                .mapToLong(each -> each[0])
                                .sum()),
                        shown.number(byCheck.values().stream()
                                .mapToLong(each -> each[1])
                                .sum()))
                .saying(
                        unreadable.isEmpty()
                                ? text("report.checks.looked-at", segments)
                                : text("report.checks.unreadable", segments, String.join(", ", unreadable)))
                .build();
    }

    /** Adds the findings of a track, open and set aside, to those of others; returns how many segments it has. */
    private int count(TrackSnapshot now, CheckRun checks, Map<String, long[]> byCheck, Progress progress) {
        Decisions decisions = facts.lane().findings().of(now.track());
        for (Finding finding : checks.run(now.size(), now::checked, progress)) {
            byCheck.computeIfAbsent(finding.check(), any -> new long[2])[
                    decisions.of(finding).isPresent() ? 1 : 0]++;
        }
        return now.size();
    }

    List<Figures> releases() {
        Figures.Builder table = new Figures.Builder(
                ReportPart.DELIVERY,
                text("report.delivery"),
                text("report.column.number"),
                text("report.column.when"),
                text("report.column.person"),
                text("report.column.place"),
                text("report.column.files"),
                text("report.column.segments"),
                text("report.column.words"),
                text("report.column.reason"));
        Figures.Builder files = new Figures.Builder(
                ReportPart.DELIVERY,
                text("report.delivery.files"),
                text("report.column.number"),
                text("report.column.path"),
                text("report.column.original"),
                text("report.column.target"),
                text("report.column.segments"),
                text("report.column.words"),
                text("report.column.sha256"));
        for (Release release : facts.lane().releases().all()) {
            if (!facts.period().holds(release.at())) {
                continue;
            }
            table.row(
                    null,
                    shown.number(release.number()),
                    Cell.of(shown.minute(release.at())),
                    Cell.of(shown.person(release.who())),
                    Cell.of(release.place()),
                    shown.number(release.files()),
                    shown.number(release.segments()),
                    shown.number(release.words()),
                    Cell.of(release.reason()));
            for (ReleaseStore.Entry each : facts.lane().releases().files(release)) {
                files.row(
                        work -> work.track() == each.track(),
                        shown.number(release.number()),
                        Cell.of(each.file().path()),
                        Cell.of(each.file().original()),
                        Cell.of(shown.language(each.file().targetLanguage())),
                        shown.number(each.file().segments()),
                        shown.number(each.file().words()),
                        Cell.of(each.file().sha256(), Cell.Tone.CODE));
            }
        }
        List<Figures> all = new ArrayList<>(List.of(table.build()));
        if (!files.isEmpty()) {
            all.add(files.build());
        }
        return all;
    }
}
