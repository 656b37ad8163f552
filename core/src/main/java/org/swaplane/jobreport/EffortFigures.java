package org.swaplane.jobreport;

import static org.swaplane.wording.Wording.text;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.swaplane.effort.Activity;
import org.swaplane.effort.SegmentWork;
import org.swaplane.effort.Speed;
import org.swaplane.effort.TimeKey;
import org.swaplane.lane.Origin;
import org.swaplane.lane.TimeLog;
import org.swaplane.lane.Track;
import org.swaplane.report.Cell;
import org.swaplane.report.Chart;

/** How long it took. */
final class EffortFigures {
    /** Upper ends of the ranges of time per segment that are counted, in seconds. */
    private static final List<Integer> RANGES = List.of(5, 10, 20, 40, 80, 160, 320);

    private static final int MOST_OUTLIERS = 200;
    private static final double HOUR = 3_600_000;

    private final JobFacts facts;
    private final Shown shown;

    EffortFigures(JobFacts facts, Shown shown) {
        this.facts = facts;
        this.shown = shown;
    }

    List<Figures> all() {
        List<Figures> all = new ArrayList<>(List.of(byDay(), byPerson(), byFile(), speed(), distribution()));
        Stream.of(outliers(), byView(), corrections())
                .filter(each -> !each.section().rows().isEmpty())
                .forEach(all::add);
        return all;
    }

    private Figures byDay() {
        Map<LocalDate, List<Map.Entry<TimeKey, Long>>> days = new TreeMap<>(grouped(TimeKey::day));
        Figures.Builder table = times("report.effort.by-day", "report.column.day");
        days.forEach((day, times) -> table.row(null, timeCells(shown.day(day), times)));
        List<String> labels = days.keySet().stream().map(shown::day).toList();
        List<Chart.Series> series = Stream.of(Activity.values())
                .map(activity -> new Chart.Series(
                        name(activity),
                        days.values().stream()
                                .map(times -> hours(times, key -> key.activity() == activity))
                                .toList()))
                .toList();
        return table.sums(timeCells(text("report.total"), facts.effort().times().entrySet()))
                .chart(new Chart(
                        text("report.effort.by-day"), Chart.Kind.COLUMNS, text("report.unit.hours"), labels, series))
                .build();
    }

    static String name(Activity activity) {
        return text("activity." + activity.name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }

    private static double hours(Collection<Map.Entry<TimeKey, Long>> times, Predicate<TimeKey> which) {
        return times.stream()
                        .filter(each -> which.test(each.getKey()))
                        .mapToLong(Map.Entry::getValue)
                        .sum()
                / HOUR;
    }

    private <T> Map<T, List<Map.Entry<TimeKey, Long>>> grouped(Function<TimeKey, T> group) {
        return facts.effort().times().entrySet().stream()
                .collect(Collectors.groupingBy(each -> group.apply(each.getKey())));
    }

    private static Figures.Builder times(String heading, String first) {
        return new Figures.Builder(
                ReportPart.EFFORT,
                text(heading),
                text(first),
                name(Activity.TRANSLATION),
                name(Activity.REVIEW),
                name(Activity.FILE_WORK),
                text("report.column.by-hand"),
                text("report.column.hours"));
    }

    /** Measured time by activity, time by hand, and all of it. */
    private List<Cell> timeCells(String first, Collection<Map.Entry<TimeKey, Long>> times) {
        List<Cell> cells = new ArrayList<>(List.of(Cell.of(first)));
        for (Activity activity : Activity.values()) {
            cells.add(shown.hours(millis(times, key -> !key.byHand() && key.activity() == activity)));
        }
        cells.add(shown.hours(millis(times, TimeKey::byHand)));
        cells.add(shown.hours(millis(times, key -> true)));
        return cells;
    }

    private static long millis(Collection<Map.Entry<TimeKey, Long>> times, Predicate<TimeKey> which) {
        return times.stream()
                .filter(each -> which.test(each.getKey()))
                .mapToLong(Map.Entry::getValue)
                .sum();
    }

    private Figures byPerson() {
        Figures.Builder table = times("report.effort.by-person", "report.column.person");
        new TreeMap<>(grouped(TimeKey::who))
                .forEach((who, times) -> table.row(
                        work -> work.activeMillis() > 0 && work.people().contains(who),
                        timeCells(shown.person(who), times)));
        return table.sums(timeCells(text("report.total"), facts.effort().times().entrySet()))
                .build();
    }

    private Figures byFile() {
        Figures.Builder table = new Figures.Builder(
                ReportPart.EFFORT,
                text("report.effort.by-file"),
                text("report.column.file"),
                text("report.column.target"),
                text("report.column.segments"),
                text("report.column.words"),
                text("report.column.hours"),
                text("report.column.words-per-hour"));
        Map<Long, List<SegmentWork>> byTrack =
                facts.effort().segments().stream().collect(Collectors.groupingBy(SegmentWork::track));
        Map<Long, Long> millis = facts.effort().millisBy(TimeKey::track);
        for (Track track : facts.tracks()) {
            List<SegmentWork> here = byTrack.getOrDefault(track.id(), List.of());
            Speed speed = Speed.of(here);
            table.row(
                    work -> work.track() == track.id(),
                    Cell.of(JobFacts.path(track)),
                    Cell.of(shown.language(JobFacts.target(track))),
                    shown.number(here.size()),
                    shown.number(here.stream().mapToLong(SegmentWork::words).sum()),
                    shown.hours(millis.getOrDefault(track.id(), 0L)),
                    perHour(speed));
        }
        long elsewhere = millis.getOrDefault(0L, 0L);
        if (elsewhere != 0) {
            table.row(
                    null,
                    Cell.of(text("report.effort.whole-lane")),
                    Cell.of("–"),
                    shown.none(),
                    shown.none(),
                    shown.hours(elsewhere),
                    shown.none());
        }
        return table.sums(
                        Cell.of(text("report.total")),
                        Cell.of(""),
                        shown.number(facts.effort().segments().size()),
                        shown.number(facts.effort().segments().stream()
                                .mapToLong(SegmentWork::words)
                                .sum()),
                        shown.hours(facts.effort().millis()),
                        Cell.of(""))
                .build();
    }

    private Cell perHour(Speed speed) {
        return speed.wordsPerHour().isEmpty()
                ? shown.none()
                : shown.number(Math.round(speed.wordsPerHour().getAsDouble()));
    }

    private Figures speed() {
        Figures.Builder table = new Figures.Builder(
                ReportPart.EFFORT,
                text("report.effort.speed"),
                text("report.column.segments-of"),
                text("report.column.segments"),
                text("report.column.words"),
                text("report.column.hours"),
                text("report.column.words-per-hour"),
                text("report.column.mean"),
                text("report.column.median"),
                text("report.column.ninety"),
                text("report.column.ninety-five"));
        List<SegmentWork> timed = facts.effort().segments().stream()
                .filter(work -> work.activeMillis() > 0)
                .toList();
        speedRow(table, text("report.effort.all"), timed, work -> true);
        Map<Integer, List<SegmentWork>> byBand = timed.stream()
                .collect(Collectors.groupingBy(
                        work -> facts.bands().of(work.similarity()), TreeMap::new, Collectors.toList()));
        byBand.forEach((band, segments) -> speedRow(
                table,
                text("report.effort.band", facts.bands().name(band)),
                segments,
                work -> facts.bands().of(work.similarity()) == band));
        Map<String, Origin.Kind> kinds = new HashMap<>();
        Function<SegmentWork, Origin.Kind> kind = work ->
                kinds.computeIfAbsent(work.origin(), origin -> Origin.of(origin).kind());
        new TreeMap<>(timed.stream().collect(Collectors.groupingBy(kind)))
                .forEach((each, segments) ->
                        speedRow(table, ChangeTables.name(each), segments, work -> kind.apply(work) == each));
        return table.build();
    }

    private void speedRow(Figures.Builder table, String name, List<SegmentWork> timed, Predicate<SegmentWork> which) {
        if (timed.isEmpty()) {
            return;
        }
        Speed speed = Speed.of(timed);
        table.row(
                which.and(work -> work.activeMillis() > 0),
                Cell.of(name),
                shown.number(speed.segments()),
                shown.number(speed.words()),
                shown.hours(speed.millis()),
                perHour(speed),
                shown.seconds(speed.meanMillis().getAsDouble()),
                shown.seconds(speed.medianMillis().getAsLong()),
                shown.seconds(speed.ninetiethMillis().getAsLong()),
                shown.seconds(speed.ninetyFifthMillis().getAsLong()));
    }

    private Figures distribution() {
        Figures.Builder table = new Figures.Builder(
                ReportPart.EFFORT,
                text("report.effort.distribution"),
                text("report.column.seconds"),
                text("report.column.segments"),
                text("report.column.words"));
        List<String> labels = new ArrayList<>();
        List<Double> values = new ArrayList<>();
        long[] counts = new long[RANGES.size() + 1];
        long[] words = new long[RANGES.size() + 1];
        for (SegmentWork work : facts.effort().segments()) {
            if (work.activeMillis() > 0) {
                counts[range(work)]++;
                words[range(work)] += work.words();
            }
        }
        boolean any = LongStream.of(counts).anyMatch(count -> count > 0);
        for (int i = 0; any && i <= RANGES.size(); i++) {
            int range = i;
            int from = i == 0 ? 0 : RANGES.get(i - 1);
            String label = i < RANGES.size()
                    ? text("report.effort.range", from, RANGES.get(i))
                    : text("report.effort.above", from);
            table.row(
                    work -> work.activeMillis() > 0 && range(work) == range,
                    Cell.of(label),
                    shown.number(counts[i]),
                    shown.number(words[i]));
            labels.add(label);
            values.add((double) counts[i]);
        }
        return table.chart(new Chart(
                        text("report.effort.distribution"),
                        Chart.Kind.COLUMNS,
                        text("report.unit.segments"),
                        labels,
                        List.of(new Chart.Series("", values))))
                .build();
    }

    private static int range(SegmentWork work) {
        int range = 0;
        while (range < RANGES.size() && work.activeMillis() >= RANGES.get(range) * 1000L) {
            range++;
        }
        return range;
    }

    private Figures outliers() {
        Speed speed = Speed.of(facts.effort().segments());
        Map<Long, Track> tracks = facts.byId();
        Figures.Builder table = new Figures.Builder(
                ReportPart.EFFORT,
                text("report.effort.outliers"),
                text("report.column.file"),
                text("report.column.segment"),
                text("report.column.words"),
                text("report.column.seconds"));
        facts.effort().segments().stream()
                .filter(speed::isOutlier)
                .sorted(Comparator.comparingLong(SegmentWork::activeMillis).reversed())
                .limit(MOST_OUTLIERS)
                .forEach(each -> table.row(
                        work -> work == each,
                        Cell.of(JobFacts.path(tracks.get(each.track()))),
                        Cell.of(each.key(), Cell.Tone.CODE),
                        shown.number(each.words()),
                        shown.seconds(each.activeMillis())));
        return table.saying(text("report.effort.outliers-are")).build();
    }

    private Figures byView() {
        Map<String, Long> views = new LinkedHashMap<>(new TreeMap<>(facts.effort().times().entrySet().stream()
                .filter(each -> !each.getKey().view().isEmpty())
                .collect(Collectors.groupingBy(
                        each -> each.getKey().view(), Collectors.summingLong(Map.Entry::getValue)))));
        Figures.Builder table = new Figures.Builder(
                ReportPart.EFFORT,
                text("report.effort.by-view"),
                text("report.column.view"),
                text("report.column.hours"));
        views.forEach((view, millis) -> table.row(null, Cell.of(text("report.view." + view)), shown.hours(millis)));
        return table.sums(
                        Cell.of(text("report.total")),
                        shown.hours(views.values().stream()
                                .mapToLong(Long::longValue)
                                .sum()))
                .build();
    }

    private Figures corrections() {
        Figures.Builder table = new Figures.Builder(
                ReportPart.EFFORT,
                text("report.effort.corrections"),
                text("report.column.day"),
                text("report.column.person"),
                text("report.column.activity"),
                text("report.column.hours"),
                text("report.column.reason"),
                text("report.column.entered"));
        for (TimeLog.Correction each : facts.lane().timeLog().corrections()) {
            if (!each.withdrawn() && facts.period().holds(each.day())) {
                table.row(
                        null,
                        Cell.of(shown.day(each.day())),
                        Cell.of(shown.person(each.who())),
                        Cell.of(name(each.activity())),
                        shown.hours(each.time().toMillis()),
                        Cell.of(each.reason()),
                        Cell.of(text(
                                "report.effort.entered-by", shown.minute(each.at()), shown.person(each.madeBy()))));
            }
        }
        return table.build();
    }
}
