package org.swaplane.check;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntFunction;
import org.swaplane.compare.Span;
import org.swaplane.compare.TextDifference;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.content.UnspacedScript;
import org.swaplane.wording.Phrase;

/**
 * Segments with one and the same target, whose sources are expected to be the same too (check {@code inconsistent-source}). Only of
 * some length: two words can well be one in another language. Not thread-safe; it follows the edits of a document.
 */
final class SameTargets {
    static final String ID = "inconsistent-source";
    private static final int FEWEST_WORDS = 4;

    private final Profile.Consistency consistency;
    /** By the key of a target: its only position, or all of them where there are several. */
    private final Map<Long, Integer> single = new HashMap<>();

    private final Map<Long, List<Integer>> several = new HashMap<>();
    private final Map<Integer, Long> keys = new HashMap<>();

    SameTargets(Profile.Consistency consistency) {
        this.consistency = consistency;
    }

    /** Notes what the target of a segment is now; returns the segments that had the same as before or have the same now. */
    Collection<Integer> changed(int position, CheckedSegment segment) {
        TreeSet<Integer> concerned = new TreeSet<>();
        Long before = keys.remove(position);
        if (before != null) {
            concerned.addAll(group(before));
            remove(before, position);
        }
        long key = key(segment);
        if (key != 0) {
            keys.put(position, key);
            add(key, position);
            concerned.addAll(group(key));
        }
        return concerned;
    }

    private void add(long key, int position) {
        List<Integer> group = several.get(key);
        if (group != null) {
            group.add(position);
            return;
        }
        Integer first = single.remove(key);
        if (first == null) {
            single.put(key, position);
        } else {
            several.put(key, new ArrayList<>(List.of(first, position)));
        }
    }

    private void remove(long key, int position) {
        List<Integer> group = several.get(key);
        if (group == null) {
            single.remove(key);
            return;
        }
        group.remove(Integer.valueOf(position));
        if (group.size() == 1) {
            single.put(key, group.get(0));
            several.remove(key);
        }
    }

    private List<Integer> group(long key) {
        Integer one = single.get(key);
        return several.getOrDefault(key, one == null ? List.of() : List.of(one));
    }

    /** 0 where a target is too short to say something. */
    static long key(CheckedSegment segment) {
        String text = segment.targetText();
        boolean says = !segment.segment().locked() && hasWords(text);
        return says ? TextKey.of(text + '\n' + segment.targetLanguage()) : 0;
    }

    /** Whether it has some words, by blanks, or as many characters of a script without them. */
    private static boolean hasWords(String text) {
        int blanks = 0;
        int dense = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            blanks += c == ' ' ? 1 : 0;
            dense += UnspacedScript.has(c) || Character.isSurrogate(c) ? 1 : 0;
        }
        return blanks >= FEWEST_WORDS - 1 || dense >= 2 * FEWEST_WORDS;
    }

    /** What there is to say of the groups of these segments, by segment; each group is looked at once. */
    Map<Integer, Finding> findings(Collection<Integer> positions, IntFunction<CheckedSegment> segments) {
        Map<Integer, Finding> findings = new HashMap<>();
        Set<Long> seen = new HashSet<>();
        for (int position : positions) {
            Long key = keys.get(position);
            if (key != null && several.containsKey(key) && seen.add(key)) {
                addFindings(several.get(key), segments, findings);
            }
        }
        return findings;
    }

    /** Of each whose source is not that of most others with its target; where none has more, of all but the first. */
    private void addFindings(
            List<Integer> group, IntFunction<CheckedSegment> segments, Map<Integer, Finding> findings) {
        Map<String, List<Integer>> sources = new LinkedHashMap<>();
        group.stream().sorted().forEach(each -> sources.computeIfAbsent(
                        folded(segments.apply(each).source()), none -> new ArrayList<>())
                .add(each));
        if (sources.size() < 2) {
            return;
        }
        int most = sources.values().stream().mapToInt(List::size).max().orElse(0);
        List<Integer> usual = sources.values().stream()
                .filter(each -> each.size() == most)
                .findFirst()
                .orElseThrow();
        Content source = segments.apply(usual.get(0)).source();
        sources.values().stream()
                .filter(each -> each != usual)
                .flatMap(List::stream)
                .forEach(each -> findings.put(each, different(segments.apply(each), source)));
    }

    /** All segments with the target of this one, itself among them. */
    List<Integer> of(int position) {
        Long key = keys.get(position);
        return key == null ? List.of(position) : group(key);
    }

    /** That a segment has another source than one with the same target; nothing where it is the same. */
    Optional<Finding> besides(CheckedSegment segment, CheckedSegment other) {
        return folded(segment.source()).equals(folded(other.source()))
                ? Optional.empty()
                : Optional.of(different(segment, other.source()));
    }

    private static Finding different(CheckedSegment here, Content usual) {
        List<Span> parts =
                TextDifference.between(usual.plainText(), here.sourceText()).after();
        List<Span> all = List.of(new Span(0, here.sourceText().length()));
        return Finding.in(
                here,
                ID,
                Severity.WARNING,
                Phrase.of("check.inconsistent-source", TagNotation.write(usual, usual)),
                parts.isEmpty() ? all : parts,
                List.of(),
                Optional.empty());
    }

    private String folded(Content source) {
        String text = consistency.tags() ? source.plainText() : TagNotation.write(source, source);
        text = consistency.letterCase() ? text.toLowerCase(Locale.ROOT) : text;
        text = consistency.numbers() ? text.replaceAll("\\p{Nd}+", "0") : text;
        return text.replaceAll("[\\s\\p{P}]+", " ").strip();
    }
}
