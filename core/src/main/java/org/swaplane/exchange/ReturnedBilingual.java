package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.exchange.StructureProblem.Kind;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedRow;
import org.swaplane.reviewcopy.RowCode;

/**
 * A bilingual file that came back from another tool, read like a copy that came back from a person: its rows are its segments. A unit
 * that was cut otherwise there is said and left out, since it fits nothing that was sent.
 */
public final class ReturnedBilingual {
    private final BilingualDocument returned;
    private final String trip;
    private final List<SentRow> sent;
    private final Map<String, State> states = new HashMap<>();

    /** {@code sent} are all rows that went out. */
    public ReturnedBilingual(BilingualDocument returned, String trip, List<SentRow> sent) {
        this.returned = returned;
        this.trip = trip;
        this.sent = List.copyOf(sent);
        returned.segments().forEach(segment -> states.put(segment.key(), segment.state()));
    }

    /** The share of the segments sent that came back under their own key, from 0 to 1. */
    public double recognised() {
        return (double) sent.stream()
                        .filter(row -> states.containsKey(row.segment().key()))
                        .count()
                / Math.max(1, sent.size());
    }

    /** What it says against what was sent and what stands now. */
    public ReturnReading read() {
        Map<String, List<Segment>> cutThere = byUnit(returned.segments());
        Map<String, List<Segment>> cutHere =
                byUnit(sent.stream().map(SentRow::segment).toList());
        Set<String> resegmented = new HashSet<>();
        List<StructureProblem> problems = new ArrayList<>();
        for (SentRow row : sent) {
            String unit = unit(row.segment());
            List<Segment> there = cutThere.getOrDefault(unit, List.of());
            if (!there.isEmpty() && isCutOtherwise(cutHere.get(unit), there) && resegmented.add(unit)) {
                problems.add(new StructureProblem(
                        Kind.RESEGMENTED,
                        row.number(),
                        text(
                                "return.resegmented",
                                row.segment().unit(),
                                there.size(),
                                cutHere.get(unit).size())));
            }
        }
        List<SentRow> rows = sent.stream()
                .filter(row -> !resegmented.contains(unit(row.segment())))
                .toList();
        ReturnReading reading = ReturnReader.read(copy(rows, resegmented), trip, rows);
        problems.addAll(reading.problems());
        return new ReturnReading(problems, reading.changes(), reading.remarks(), reading.untouched());
    }

    /** The state that the file gives a segment. */
    public State state(Segment segment) {
        return states.getOrDefault(segment.key(), State.TRANSLATED);
    }

    private ReturnedCopy copy(List<SentRow> rows, Set<String> resegmented) {
        Map<String, SentRow> byKey =
                rows.stream().collect(Collectors.toMap(row -> row.segment().key(), Function.identity()));
        List<ReturnedRow> found = new ArrayList<>();
        int position = 1;
        for (Segment segment : returned.segments()) {
            if (!resegmented.contains(unit(segment))) {
                Optional<SentRow> row = Optional.ofNullable(byKey.get(segment.key()));
                String target = TagNotation.write(
                        segment.target(),
                        row.map(each -> each.segment().source()).orElse(segment.source()));
                found.add(new ReturnedRow(
                        position++,
                        row.map(each -> RowCode.of(
                                trip,
                                each.number(),
                                Fingerprint.of(each.segment().source()))),
                        TagNotation.write(segment.source(), segment.source()),
                        target,
                        List.of(),
                        Optional.empty()));
            }
        }
        return new ReturnedCopy(Optional.empty(), found);
    }

    private static Map<String, List<Segment>> byUnit(List<Segment> segments) {
        Map<String, List<Segment>> units = new LinkedHashMap<>();
        segments.forEach(segment ->
                units.computeIfAbsent(unit(segment), none -> new ArrayList<>()).add(segment));
        return units;
    }

    /** The part of a key that all segments of a unit share, and its id. */
    private static String unit(Segment segment) {
        int at = segment.key().indexOf(segment.unit());
        return at < 0 ? segment.unit() : segment.key().substring(0, at) + segment.unit();
    }

    /** The same text in other pieces; a text that was changed in one of them is another matter. */
    private static boolean isCutOtherwise(List<Segment> here, List<Segment> there) {
        return here.size() != there.size()
                || !texts(here).equals(texts(there)) && joined(here).equals(joined(there));
    }

    private static List<String> texts(List<Segment> segments) {
        return segments.stream().map(segment -> segment.source().plainText()).toList();
    }

    private static String joined(List<Segment> segments) {
        return String.join("", texts(segments)).replaceAll("\\s", "");
    }
}
