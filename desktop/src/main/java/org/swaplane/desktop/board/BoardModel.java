package org.swaplane.desktop.board;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.text.LanguageNames;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Lane;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackCounts;
import org.swaplane.lane.Trip;

/** Which tracks the board lists, in which groups, and what is known of each without reading its file. */
final class BoardModel {
    private final LaneSession session;
    private String filter = "";
    private Group group = Group.NONE;

    /** By what tracks are grouped. */
    enum Group {
        NONE,
        FOLDER,
        LANGUAGE,
        PERSON,
        DUE,
        STATE
    }

    /** How far a track is. */
    enum Progress {
        OVERDUE,
        AWAY,
        IN_WORK,
        REVIEWED
    }

    /**
     * A track with its trips.
     *
     * @param findings that are open; negative where it was not checked
     */
    record Row(Track track, List<Trip> trips, Progress progress, ViewId next, long findings) {
        /** Who has copies of it now. */
        List<Trip> away() {
            return trips.stream().filter(Trip::isAway).toList();
        }

        /** Share of the words that are reviewed, from 0 to 1. */
        double done() {
            TrackCounts counts = track.summary().counts();
            return counts.openableWords() == 0 ? 0 : (double) counts.reviewedWords() / counts.openableWords();
        }
    }

    /** Of a whole lane, or of what is selected. */
    record Totals(int files, int away, int overdue, long words, long reviewed) {}

    BoardModel(LaneSession session) {
        this.session = session;
    }

    private Lane lane() {
        return session.lane();
    }

    void filter(String text) {
        filter = text.strip().toLowerCase(Locale.ROOT);
    }

    void group(Group by) {
        group = by;
    }

    Group group() {
        return group;
    }

    private LocalDate today() {
        return LocalDate.ofInstant(lane().clock().instant(), ZoneId.systemDefault());
    }

    /** All rows that are listed, in the order of the lane. */
    List<Row> rows() {
        Map<Long, List<Trip>> trips = lane().trips().all().stream()
                .filter(trip -> trip.purpose() != Purpose.DELIVERY)
                .collect(Collectors.groupingBy(Trip::track));
        return lane().tracks().stream()
                .map(track -> row(track, trips.getOrDefault(track.id(), List.of())))
                .filter(this::matches)
                .toList();
    }

    /** The rows by group; one group without a title where nothing is grouped. */
    Map<String, List<Row>> groups() {
        List<Row> rows = rows();
        if (group == Group.NONE) {
            return Map.of("", rows);
        }
        Map<String, List<Row>> groups = group == Group.STATE ? new LinkedHashMap<>() : new TreeMap<>();
        if (group == Group.STATE) {
            for (Progress each : Progress.values()) {
                groups.put(words(each), new ArrayList<>());
            }
        }
        rows.forEach(row ->
                groups.computeIfAbsent(title(row), title -> new ArrayList<>()).add(row));
        groups.values().removeIf(List::isEmpty);
        return groups;
    }

    private String title(Row row) {
        return switch (group) {
            case NONE -> "";
            case FOLDER ->
                row.track().plan().folder().isEmpty()
                        ? Strings.text("board.group.no-folder")
                        : row.track().plan().folder();
            case LANGUAGE -> LanguageNames.withCode(row.track().summary().targetLanguage());
            case PERSON ->
                row.away().isEmpty()
                        ? Strings.text("board.lane.with-us")
                        : row.away().stream().map(Trip::person).distinct().collect(Collectors.joining(", "));
            case DUE -> row.track().plan().due().map(LocalDate::toString).orElse(Strings.text("board.group.no-due"));
            case STATE -> words(row.progress());
        };
    }

    static String words(Progress progress) {
        return Strings.text(
                "board.progress." + progress.name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }

    private boolean matches(Row row) {
        return filter.isEmpty()
                || contains(row.track().name())
                || contains(row.track().plan().folder())
                || contains(LanguageNames.withCode(row.track().summary().targetLanguage()))
                || row.away().stream().anyMatch(trip -> contains(trip.person()));
    }

    private boolean contains(String text) {
        return text.toLowerCase(Locale.ROOT).contains(filter);
    }

    private Row row(Track track, List<Trip> trips) {
        long findings = session.checking().count(track);
        return new Row(track, trips, progress(track, trips), next(track, trips), findings);
    }

    private Progress progress(Track track, List<Trip> trips) {
        boolean finished = track.summary().counts().unreviewed() == 0
                && track.summary().counts().all() > 0;
        Optional<LocalDate> due = track.plan().due();
        if (due.isPresent() && due.get().isBefore(today()) && !finished) {
            return Progress.OVERDUE;
        }
        if (trips.stream().anyMatch(Trip::isAway)) {
            return Progress.AWAY;
        }
        return finished ? Progress.REVIEWED : Progress.IN_WORK;
    }

    /** What to do next with a track. */
    private ViewId next(Track track, List<Trip> trips) {
        if (lane().proofs().verdict(track).isEmpty()) {
            return ViewId.DRY_RUN;
        }
        if (trips.isEmpty() || trips.stream().anyMatch(Trip::isAway)) {
            return ViewId.EXCHANGE;
        }
        if (session.track() == track && session.checking().count() > 0) {
            return ViewId.CHECKS;
        }
        return track.summary().counts().unreviewed() > 0 ? ViewId.REVIEW : ViewId.RELEASE;
    }

    static Totals totals(Collection<Row> rows) {
        return new Totals(
                rows.size(),
                (int) rows.stream().filter(row -> !row.away().isEmpty()).count(),
                (int) rows.stream()
                        .filter(row -> row.progress() == Progress.OVERDUE)
                        .count(),
                rows.stream()
                        .mapToLong(row -> row.track().summary().counts().openableWords())
                        .sum(),
                rows.stream()
                        .mapToLong(row -> row.track().summary().counts().reviewedWords())
                        .sum());
    }
}
