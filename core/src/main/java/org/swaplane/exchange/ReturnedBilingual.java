package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Note;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.exchange.StructureProblem.Kind;
import org.swaplane.reviewcopy.Irregularity;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedRow;
import org.swaplane.reviewcopy.RowCode;
import org.swaplane.reviewcopy.SentTexts;

/**
 * A bilingual file that came back from another tool, read like a copy that came back from a person: its rows are its segments. They are
 * known by the ids of their units and by their sources, never by what tools rewrite: names and ids of files, prefixes, ids of segments.
 * A unit that was cut otherwise there is said and left out, since it fits nothing that was sent.
 */
public final class ReturnedBilingual {
    private static final int MOST_NAMED = 5;
    /** Attributes by which tags are numbered (XLIFF 1.2, section 2.3, id and rid; XLIFF 2.1, section 4.3.1, startRef). */
    private static final Pattern ID = Pattern.compile("\\s(?:id|rid|startRef)\\s*=\\s*(?:\"[^\"]*\"|'[^']*')");

    private final BilingualDocument returned;
    private final String trip;
    private final List<SentRow> sent;
    private final List<String> targets;
    /** Returned segments by the number of the row that each is. */
    private final Map<Integer, Segment> matched = new HashMap<>();

    private final List<StructureProblem> problems = new ArrayList<>();

    /**
     * @param sent all rows that went out
     * @param targets the language of the target by the index of a sent segment's part
     */
    public ReturnedBilingual(BilingualDocument returned, String trip, List<SentRow> sent, List<String> targets) {
        this.returned = returned;
        this.trip = trip;
        this.sent = List.copyOf(sent);
        this.targets = List.copyOf(targets);
        match();
    }

    /** The share of the segments sent that came back, from 0 to 1. */
    public double recognised() {
        return (double) matched.size() / Math.max(1, sent.size());
    }

    /** Whether two codes can be of one language: they may say more or less, and nothing that contradicts. */
    static boolean agree(String one, String other) {
        String[] left = one.toLowerCase(Locale.ROOT).split("[-_]");
        String[] right = other.toLowerCase(Locale.ROOT).split("[-_]");
        for (int i = 0; i < Math.min(left.length, right.length); i++) {
            if (!left[i].equals(right[i])) {
                return false;
            }
        }
        return true;
    }

    private boolean agrees(Segment there, SentRow row) {
        String own = returned.parts().get(there.part()).targetLanguage();
        String asked = target(row);
        return own.isEmpty() || asked.isEmpty() || agree(own, asked);
    }

    private void match() {
        Map<String, List<Segment>> byUnit = new LinkedHashMap<>();
        Map<String, List<Segment>> bySource = new HashMap<>();
        Map<String, List<Segment>> byKey = new HashMap<>();
        for (Segment segment : returned.segments()) {
            byKey.computeIfAbsent(segment.key(), none -> new ArrayList<>()).add(segment);
            byUnit.computeIfAbsent(segment.unit(), none -> new ArrayList<>()).add(segment);
            bySource.computeIfAbsent(Fingerprint.of(segment.source()), none -> new ArrayList<>())
                    .add(segment);
        }
        Set<Segment> taken = Collections.newSetFromMap(new IdentityHashMap<>());
        Map<String, Integer> sourcesSent = new HashMap<>();
        sent.forEach(row -> sourcesSent.merge(Fingerprint.of(row.segment().source()), 1, Integer::sum));
        Map<String, List<SentRow>> sentByUnit = new HashMap<>();
        sent.forEach(row -> sentByUnit
                .computeIfAbsent(row.segment().unit(), none -> new ArrayList<>())
                .add(row));
        // First the same key with the same text, then the same unit with the same text, then the same key with another
        // text, then the same
        // text anywhere.
        for (Step step : Step.values()) {
            for (SentRow row : sent) {
                if (matched.containsKey(row.number())) {
                    continue;
                }
                String unit = row.segment().unit();
                String print = Fingerprint.of(row.segment().source());
                List<Segment> candidates =
                        switch (step) {
                            case KEY, KEY_ALONE ->
                                byKey.getOrDefault(row.segment().key(), List.of());
                            case UNIT, UNIT_ALONE -> byUnit.getOrDefault(unit, List.of());
                            case SOURCE ->
                                sourcesSent.get(print) == 1 ? bySource.getOrDefault(print, List.of()) : List.of();
                        };
                boolean anyText = step == Step.KEY_ALONE || step == Step.UNIT_ALONE;
                if (anyText && isCutOtherwise(sentByUnit.get(unit), byUnit.getOrDefault(unit, List.of()), step)) {
                    continue;
                }
                List<Segment> fitting = candidates.stream()
                        .filter(each -> !taken.contains(each) && agrees(each, row))
                        .filter(each -> anyText || Fingerprint.of(each.source()).equals(print))
                        .toList();
                if (step == Step.UNIT ? !fitting.isEmpty() : fitting.size() == 1) {
                    matched.put(row.number(), fitting.get(0));
                    taken.add(fitting.get(0));
                }
            }
        }
        findRepeated(taken, byUnit);
    }

    private enum Step {
        KEY,
        UNIT,
        KEY_ALONE,
        UNIT_ALONE,
        SOURCE
    }

    /** Whether a unit has the same text in other pieces, so that none of its segments can be told by its place. */
    private static boolean isCutOtherwise(List<SentRow> here, List<Segment> there, Step step) {
        if (here.size() != there.size() || step == Step.UNIT_ALONE && here.size() > 1) {
            return true;
        }
        List<String> ours =
                here.stream().map(row -> row.segment().source().plainText()).toList();
        List<String> theirs =
                there.stream().map(segment -> segment.source().plainText()).toList();
        return !ours.equals(theirs) && joined(ours).equals(joined(theirs)) && here.size() > 1;
    }

    private static String joined(List<String> texts) {
        return String.join("", texts).replaceAll("\\s", "");
    }

    /** A unit that stands there twice, with the same source and another target. */
    private void findRepeated(Set<Segment> taken, Map<String, List<Segment>> byUnit) {
        for (SentRow row : sent) {
            Segment there = matched.get(row.number());
            if (there == null) {
                continue;
            }
            String print = Fingerprint.of(there.source());
            long others = byUnit.getOrDefault(there.unit(), List.of()).stream()
                    .filter(each -> !taken.contains(each)
                            && Fingerprint.of(each.source()).equals(print))
                    .filter(each -> !each.target().sameAs(there.target()))
                    .count();
            if (others > 0) {
                problems.add(new StructureProblem(
                        Kind.ROW_DOUBLED, row.number(), text("return.unit-doubled", there.unit())));
            }
        }
    }

    /** What it says against what was sent and what stands now. */
    public ReturnReading read() {
        Set<Integer> doubled = new HashSet<>();
        problems.forEach(problem -> doubled.add(problem.number()));
        List<SentRow> rows = new ArrayList<>();
        List<ReturnedRow> found = new ArrayList<>();
        Map<Integer, State> states = new HashMap<>();
        Map<String, List<SentRow>> resegmented = new LinkedHashMap<>();
        int position = 1;
        Map<String, List<Segment>> unmatched = unmatched();
        for (SentRow row : sent) {
            Segment there = matched.get(row.number());
            if (there == null && unmatched.containsKey(row.segment().unit())) {
                resegmented
                        .computeIfAbsent(row.segment().unit(), none -> new ArrayList<>())
                        .add(row);
            } else if (!doubled.contains(row.number())) {
                rows.add(row);
                if (there != null) {
                    states.put(row.number(), there.state());
                    found.add(returnedRow(position++, row, there));
                }
            }
        }
        resegmented.forEach((unit, cut) -> problems.add(new StructureProblem(
                Kind.RESEGMENTED,
                cut.get(0).number(),
                text("return.resegmented", unit, unmatched.get(unit).size(), cut.size()))));
        Set<String> ours = new HashSet<>();
        sent.forEach(row -> ours.add(row.segment().unit()));
        List<String> strangers = unmatched.keySet().stream()
                .filter(unit -> !ours.contains(unit))
                .sorted()
                .toList();
        if (!strangers.isEmpty()) {
            String some = String.join(", ", strangers.subList(0, Math.min(MOST_NAMED, strangers.size())));
            problems.add(
                    new StructureProblem(Kind.ROW_UNKNOWN, 0, text("return.units-unknown", strangers.size(), some)));
        }
        ReturnedCopy copy = new ReturnedCopy(List.of(), found, SentTexts.NONE, List.of());
        ReturnReading reading = ReturnReader.read(copy, trip, rows, states);
        problems.addAll(reading.problems());
        return new ReturnReading(problems, reading.changes(), reading.remarks(), reading.untouched());
    }

    private Map<String, List<Segment>> unmatched() {
        Set<Segment> taken = Collections.newSetFromMap(new IdentityHashMap<>());
        taken.addAll(matched.values());
        Map<String, List<Segment>> left = new HashMap<>();
        returned.segments().stream().filter(each -> !taken.contains(each)).forEach(each -> left.computeIfAbsent(
                        each.unit(), none -> new ArrayList<>())
                .add(each));
        return left;
    }

    private ReturnedRow returnedRow(int position, SentRow row, Segment there) {
        String print = Fingerprint.of(row.segment().source());
        List<Remark> remarks = there.notes().stream()
                .map(Note::text)
                .filter(note -> row.segment().notes().stream()
                        .noneMatch(own -> own.text().equals(note)))
                .map(note -> new Remark("", "", note))
                .toList();
        Content theirSource =
                isNumberedAnew(there, row) ? there.source() : row.segment().source();
        String language = there.about().otherLanguage();
        boolean isOther = !language.isEmpty()
                && !language.equals(row.segment().about().otherLanguage())
                && !agree(language, target(row));
        return new ReturnedRow(
                position,
                Optional.of(RowCode.of(trip, row.number(), print)),
                0,
                TagNotation.write(there.source(), there.source()),
                TagNotation.write(there.target(), theirSource),
                remarks,
                Optional.empty(),
                isOther ? Set.of(Irregularity.OTHER_LANGUAGE) : Set.of());
    }

    /**
     * Whether the tool that had the file gave its tags other ids: then a tag is the one that stands in the same place of the same source. Where
     * the tags of the source stand in another order with what they hold, they were moved, and their ids tell them.
     */
    private static boolean isNumberedAnew(Segment there, SentRow row) {
        List<Tag> ours = row.segment().source().tags();
        List<Tag> theirs = there.source().tags();
        if (ours.size() != theirs.size()
                || !Fingerprint.of(there.source())
                        .equals(Fingerprint.of(row.segment().source()))) {
            return false;
        }
        Map<String, String> codes = new HashMap<>();
        ours.forEach(tag -> codes.put(tag.kind() + tag.id(), tag.code()));
        boolean sameById = theirs.stream().allMatch(tag -> tag.code().equals(codes.get(tag.kind() + tag.id())));
        boolean samePlaces =
                IntStream.range(0, ours.size()).allMatch(i -> ours.get(i).matches(theirs.get(i)));
        return !samePlaces && !(sameById && !isSameWithoutIds(ours, theirs));
    }

    private static boolean isSameWithoutIds(List<Tag> ours, List<Tag> theirs) {
        return IntStream.range(0, ours.size())
                .allMatch(i -> withoutIds(ours.get(i)).equals(withoutIds(theirs.get(i))));
    }

    private static String withoutIds(Tag tag) {
        return ID.matcher(tag.code()).replaceAll("");
    }

    /** The language of the target of a row that was sent. */
    private String target(SentRow row) {
        int part = row.segment().part();
        return part < targets.size() ? targets.get(part) : "";
    }

    /** The state that the file gives the segment of a row. */
    public State state(int number) {
        Segment there = matched.get(number);
        return there == null ? State.TRANSLATED : there.state();
    }
}
