package org.swaplane.jobreport;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.swaplane.compare.EditDistance;
import org.swaplane.compare.TextDifference;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.effort.ChangeFigures;
import org.swaplane.effort.Effort;
import org.swaplane.effort.SegmentWork;
import org.swaplane.lane.HistoryEntry;
import org.swaplane.lane.Origin;
import org.swaplane.lane.Track;
import org.swaplane.report.Cell;
import org.swaplane.report.Chart;

/** What was changed. */
final class ChangeTables {
    /** Texts of so many segments are listed; how many there are is said. */
    private static final int MOST_LISTED = 2_000;

    private final JobFacts facts;
    private final Shown shown;
    private final Map<Long, String> languages;

    ChangeTables(JobFacts facts, Shown shown) {
        this.facts = facts;
        this.shown = shown;
        this.languages = facts.tracks().stream()
                .collect(Collectors.toMap(Track::id, track -> shown.language(JobFacts.target(track))));
    }

    List<Figures> all() {
        List<Figures> all = new ArrayList<>(List.of(
                byFile(), bands(), grouped("report.changes.by-language", "report.column.target", this::language)));
        if (shown.names()) {
            all.add(byPeople("report.changes.by-person", "report.column.person", SegmentWork::people));
        }
        if (shown.names()
                && facts.effort().segments().stream()
                        .anyMatch(work -> !work.translator().isEmpty())) {
            all.add(byPeople(
                    "report.changes.by-translator",
                    "report.column.translator",
                    work -> work.translator().isEmpty() ? List.of() : List.of(work.translator())));
        }
        all.add(segments());
        return all;
    }

    static String name(Origin.Kind kind) {
        return text("origin." + kind.name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }

    private String language(SegmentWork work) {
        return languages.get(work.track());
    }

    private static Figures.Builder table(String heading, String first, String... more) {
        List<String> heads = new ArrayList<>(List.of(text(first)));
        heads.addAll(List.of(more));
        for (String head : List.of(
                "segments", "words", "added", "edited", "emptied", "untouched", "states", "distance", "similarity")) {
            heads.add(text("report.column." + head));
        }
        return new Figures.Builder(ReportPart.CHANGES, text(heading), heads.toArray(String[]::new));
    }

    private List<Cell> cells(Collection<SegmentWork> work, String... first) {
        ChangeFigures figures = ChangeFigures.of(work, facts.bands());
        List<Cell> cells = new ArrayList<>();
        for (String each : first) {
            cells.add(Cell.of(each));
        }
        cells.addAll(List.of(
                shown.number(figures.segments()),
                shown.number(figures.words()),
                shown.number(figures.added()),
                shown.number(figures.edited()),
                shown.number(figures.emptied()),
                shown.number(figures.untouched()),
                shown.number(figures.stateChanges()),
                shown.number(figures.distance()),
                similarity(work)));
        return cells;
    }

    /** The mean of what had a text before; a segment counts by its words. */
    private Cell similarity(Collection<SegmentWork> work) {
        long words = 0;
        long weighted = 0;
        for (SegmentWork each : work) {
            if (each.outcome() != SegmentWork.Outcome.ADDED) {
                words += each.words();
                weighted += (long) each.words() * each.similarity();
            }
        }
        return words == 0 ? shown.none() : shown.number(weighted / words);
    }

    private Figures byFile() {
        Figures.Builder table = table("report.changes.by-file", "report.column.file", text("report.column.target"));
        Map<Long, List<SegmentWork>> byTrack =
                facts.effort().segments().stream().collect(Collectors.groupingBy(SegmentWork::track));
        for (Track track : facts.tracks()) {
            table.row(
                    work -> work.track() == track.id(),
                    cells(
                            byTrack.getOrDefault(track.id(), List.of()),
                            JobFacts.path(track),
                            shown.language(JobFacts.target(track))));
        }
        Effort effort = facts.effort();
        int all = effort.tracks().values().stream()
                .mapToInt(Effort.Size::segments)
                .sum();
        List<Cell> sums = new ArrayList<>(cells(effort.segments(), text("report.total"), ""));
        sums.set(sums.size() - 1, Cell.of(""));
        return table.sums(sums)
                .saying(text("report.changes.seen", effort.segments().size(), all))
                .build();
    }

    /** By how well the text was known when the work began, and by how much of it stayed. */
    private Figures bands() {
        Figures.Builder table = new Figures.Builder(
                ReportPart.CHANGES,
                text("report.changes.bands"),
                text("report.column.band"),
                text("report.column.words-before"),
                text("report.column.words-after"),
                text("report.column.segments"));
        List<SegmentWork> segments = facts.effort().segments();
        List<Double> before = new ArrayList<>();
        List<Double> after = new ArrayList<>();
        List<String> names = segments.isEmpty() ? List.of() : facts.bands().names();
        long[] known = new long[names.size()];
        long[] stayed = new long[names.size()];
        long[] counts = new long[names.size()];
        Map<String, Origin> origins = new HashMap<>();
        for (SegmentWork work : segments) {
            int kept = facts.bands().of(kept(work));
            known[facts.bands().of(known(work, origins.computeIfAbsent(work.origin(), Origin::of)))] += work.words();
            stayed[kept] += work.words();
            counts[kept]++;
        }
        for (int i = 0; i < names.size(); i++) {
            int band = i;
            table.row(
                    work -> facts.bands().of(kept(work)) == band,
                    Cell.of(names.get(i)),
                    shown.number(known[i]),
                    shown.number(stayed[i]),
                    shown.number(counts[i]));
            before.add((double) known[i]);
            after.add((double) stayed[i]);
        }
        return table.sums(
                        Cell.of(text("report.total")),
                        shown.number(sum(segments)),
                        shown.number(sum(segments)),
                        shown.number(segments.size()))
                .saying(text("report.changes.bands-are"))
                .chart(new Chart(
                        text("report.changes.bands"),
                        Chart.Kind.COLUMNS,
                        text("report.unit.words"),
                        names,
                        List.of(
                                new Chart.Series(text("report.changes.before"), before),
                                new Chart.Series(text("report.changes.after"), after))))
                .build();
    }

    private static long sum(List<SegmentWork> segments) {
        return segments.stream().mapToLong(SegmentWork::words).sum();
    }

    /** How well the text was known: by the score of the match that it was, 0 where there was none. */
    private static int known(SegmentWork work, Origin origin) {
        if (work.outcome() == SegmentWork.Outcome.ADDED) {
            return 0;
        }
        return origin.score() >= 0 ? Math.min(EditDistance.SAME, origin.score()) : EditDistance.SAME;
    }

    private static int kept(SegmentWork work) {
        return work.outcome() == SegmentWork.Outcome.ADDED ? 0 : work.similarity();
    }

    private Figures grouped(String heading, String first, Function<SegmentWork, String> group) {
        Figures.Builder table = table(heading, first);
        new TreeMap<>(facts.effort().segments().stream().collect(Collectors.groupingBy(group)))
                .forEach((name, work) -> table.row(each -> group.apply(each).equals(name), cells(work, name)));
        return table.build();
    }

    /** By people of whom several can have been at a segment, which is why there is no sum. */
    private Figures byPeople(String heading, String first, Function<SegmentWork, List<String>> people) {
        Figures.Builder table = table(heading, first);
        facts.effort().segments().stream()
                .flatMap(work -> people.apply(work).stream())
                .distinct()
                .sorted()
                .forEach(who -> {
                    Predicate<SegmentWork> here = work -> people.apply(work).contains(who);
                    table.row(
                            here,
                            cells(
                                    facts.effort().segments().stream()
                                            .filter(here)
                                            .toList(),
                                    shown.person(who)));
                });
        return table.build();
    }

    private Figures segments() {
        Map<Long, Track> tracks = facts.byId();
        List<SegmentWork> changed = facts.effort().segments().stream()
                .filter(SegmentWork::isChanged)
                .toList();
        List<String> heads = new ArrayList<>();
        for (String head : List.of("file", "segment", "at-start", "now", "similarity", "distance", "versions")) {
            heads.add(text("report.column." + head));
        }
        Figures.Builder table = new Figures.Builder(
                ReportPart.CHANGES,
                text("report.changes.segments"),
                heads.subList(0, heads.size() - (shown.names() ? 0 : 1)).toArray(String[]::new));
        List<SegmentWork> listed = changed.stream().limit(MOST_LISTED).toList();
        record Version(long track, int number) {}
        Map<Version, Map<String, List<HistoryEntry>>> histories = new HashMap<>();
        listed.stream()
                .collect(Collectors.groupingBy(
                        work -> new Version(work.track(), work.version()),
                        Collectors.mapping(SegmentWork::key, Collectors.toSet())))
                .forEach((version, keys) ->
                        histories.put(version, tracks.get(version.track()).histories(version.number(), keys)));
        for (SegmentWork work : listed) {
            List<HistoryEntry> history =
                    histories.get(new Version(work.track(), work.version())).getOrDefault(work.key(), List.of());
            table.row(
                    each -> each == work,
                    withoutVersions(
                            new SegmentTexts(JobFacts.path(tracks.get(work.track())), work, history).cells(shown)));
        }
        return changed.size() <= MOST_LISTED
                ? table.build()
                : table.saying(text("report.changes.only-some", MOST_LISTED, changed.size()))
                        .build();
    }

    /** Who wrote what when is nobody's business outside. */
    private List<Cell> withoutVersions(List<Cell> cells) {
        return shown.names() ? cells : cells.subList(0, cells.size() - 1);
    }

    /** The texts of one segment, by its history, newest first. */
    private record SegmentTexts(String file, SegmentWork work, List<HistoryEntry> entries) {
        List<Cell> cells(Shown shown) {
            if (entries.isEmpty()) {
                return List.of(
                        Cell.of(file),
                        Cell.of(work.key(), Cell.Tone.CODE),
                        Cell.of(""),
                        Cell.of(""),
                        shown.number(work.similarity()),
                        shown.number(work.distance()),
                        Cell.of(""));
            }
            int begin = start();
            Content first = begin < 0
                    ? entries.get(entries.size() - 1).before().target()
                    : entries.get(begin).after().target();
            Content last = entries.get(0).after().target();
            String before = TagNotation.write(first, first);
            String after = TagNotation.write(last, first);
            TextDifference difference = TextDifference.between(before, after);
            return List.of(
                    Cell.of(file),
                    Cell.of(work.key(), Cell.Tone.CODE),
                    Cell.marked(before, difference.before()),
                    Cell.marked(after, difference.after()),
                    shown.number(work.similarity()),
                    shown.number(work.distance()),
                    Cell.of(versions(first, shown)));
        }

        /** The newest entry that only made the text to be worked at, by how many versions the work made; -1 for none. */
        private int start() {
            int left = work.versions() - 1;
            for (int i = 0; i < entries.size(); i++) {
                boolean text = !entries.get(i)
                        .before()
                        .target()
                        .equals(entries.get(i).after().target());
                if (text && left-- == 0) {
                    return i;
                }
            }
            return -1;
        }

        private String versions(Content first, Shown shown) {
            return IntStream.iterate(entries.size() - 1, i -> i >= 0, i -> i - 1)
                    .mapToObj(entries::get)
                    .filter(entry ->
                            !entry.before().target().equals(entry.after().target()))
                    .map(entry -> text(
                            "report.changes.version",
                            shown.minute(entry.at()),
                            shown.person(entry.who()),
                            origin(entry),
                            TagNotation.write(entry.after().target(), first)))
                    .collect(Collectors.joining("\n"));
        }

        private static String origin(HistoryEntry entry) {
            Origin origin = entry.after().origin();
            String from = name(origin.kind());
            String named = origin.name().isEmpty() ? from : text("report.changes.from", from, origin.name());
            return origin.score() < 0 ? named : text("report.changes.match", named, origin.score());
        }
    }
}
