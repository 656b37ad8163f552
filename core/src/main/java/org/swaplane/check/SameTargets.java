package org.swaplane.check;

import static org.swaplane.wording.Wording.say;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.IntFunction;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Counts;

/**
 * Segments with one and the same target, whose sources are expected to be the same too (check {@code inconsistent-source}). Only of
 * some length: two words can well be one in another language. Not thread-safe; it follows the edits of a document.
 */
final class SameTargets {
    private static final String ID = "inconsistent-source";
    private static final int FEWEST_WORDS = 4;

    private final Profile.Consistency consistency;
    private final Map<String, List<Integer>> byTarget = new HashMap<>();
    private final Map<Integer, String> keys = new HashMap<>();

    SameTargets(Profile.Consistency consistency) {
        this.consistency = consistency;
    }

    /** Notes what the target of a segment is now; returns the segments that had the same as before or have the same now. */
    Collection<Integer> changed(int position, CheckedSegment segment) {
        TreeSet<Integer> concerned = new TreeSet<>();
        String before = keys.remove(position);
        if (before != null) {
            List<Integer> group = byTarget.get(before);
            concerned.addAll(group);
            group.remove(Integer.valueOf(position));
            if (group.isEmpty()) {
                byTarget.remove(before);
            }
        }
        String text = segment.target().plainText();
        if (!segment.segment().locked() && Counts.words(text) >= FEWEST_WORDS) {
            String key = text.strip() + '\n' + segment.targetLanguage();
            keys.put(position, key);
            List<Integer> group = byTarget.computeIfAbsent(key, none -> new ArrayList<>(1));
            group.add(position);
            concerned.addAll(group);
        }
        return concerned;
    }

    /** Of each whose source is not that of most others with its target; where none has more, of all but the first. */
    Optional<Finding> of(int index, IntFunction<CheckedSegment> segments) {
        List<Integer> group = byTarget.getOrDefault(keys.get(index), List.of());
        if (group.size() < 2) {
            return Optional.empty();
        }
        Map<String, List<Integer>> sources = new LinkedHashMap<>();
        group.stream().sorted().forEach(each -> sources.computeIfAbsent(
                        folded(segments.apply(each).source()), none -> new ArrayList<>())
                .add(each));
        CheckedSegment here = segments.apply(index);
        int most = sources.values().stream().mapToInt(List::size).max().orElse(0);
        List<Integer> usual = sources.values().stream()
                .filter(each -> each.size() == most)
                .findFirst()
                .orElseThrow();
        if (usual.contains(index)) {
            return Optional.empty();
        }
        String other = segments.apply(usual.get(0)).source().plainText();
        List<Span> all = List.of(new Span(0, here.source().plainText().length()));
        return Optional.of(Finding.in(
                here, ID, Severity.WARNING, say("check.inconsistent-source", other), all, List.of(), Optional.empty()));
    }

    private String folded(Content source) {
        String text = consistency.tags() ? source.plainText() : TagNotation.write(source, source);
        text = consistency.letterCase() ? text.toLowerCase(Locale.ROOT) : text;
        text = consistency.numbers() ? text.replaceAll("\\p{Nd}+", "0") : text;
        return text.replaceAll("[\\s\\p{P}]+", " ").strip();
    }
}
