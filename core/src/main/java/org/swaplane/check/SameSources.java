package org.swaplane.check;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.swaplane.compare.Span;
import org.swaplane.compare.TextDifference;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.wording.Phrase;

/** Segments of a document that have the same source, whose targets are expected to be the same too (check {@code inconsistent-target}). */
final class SameSources {
    static final String ID = "inconsistent-target";

    private final Map<Integer, List<Integer>> groups = new HashMap<>();

    private SameSources() {}

    /** Of so many segments; sources do not change, so this holds as long as the document. */
    static SameSources of(int size, IntFunction<CheckedSegment> segments) {
        long[] keys = IntStream.range(0, size)
                .parallel()
                .mapToLong(i -> key(segments.apply(i)))
                .toArray();
        tellFormsApart(keys, segments);
        Map<Long, Integer> firsts = new HashMap<>(size);
        Map<Long, List<Integer>> several = new HashMap<>();
        for (int i = 0; i < size; i++) {
            Integer first = keys[i] == 0 ? null : firsts.putIfAbsent(keys[i], i);
            if (first != null) {
                several.computeIfAbsent(keys[i], none -> new ArrayList<>(List.of(first)))
                        .add(i);
            }
        }
        SameSources same = new SameSources();
        several.values().forEach(group -> group.forEach(index -> same.groups.put(index, List.copyOf(group))));
        return same;
    }

    /** Plural forms of one unit have the same source and different targets: each is only compared with the same form elsewhere. */
    private static void tellFormsApart(long[] keys, IntFunction<CheckedSegment> segments) {
        long before = keys.length == 0 ? 0 : keys[0];
        for (int i = 1; i < keys.length; i++) {
            long key = keys[i];
            boolean form = key != 0
                    && key == before
                    && segments.apply(i)
                            .segment()
                            .unit()
                            .equals(segments.apply(i - 1).segment().unit());
            if (form) {
                keys[i] = 31 * keys[i - 1] + 1;
            }
            before = key;
        }
    }

    /** What the same sources have in common, for one target language; 0 where there is nothing to translate. */
    private static long key(CheckedSegment segment) {
        return segment.sourceText().isBlank()
                ? 0
                : TextKey.of(TagNotation.write(segment.source(), segment.source()) + '\n' + segment.targetLanguage());
    }

    /** All segments with the source of this one, itself among them. */
    List<Integer> of(int index) {
        return groups.getOrDefault(index, List.of(index));
    }

    /** What there is to say of the groups of these segments, by segment; each group is looked at once. */
    Map<Integer, Finding> findings(Collection<Integer> indices, IntFunction<CheckedSegment> segments) {
        Map<Integer, Finding> findings = new HashMap<>();
        Set<Integer> seen = new HashSet<>();
        for (int index : indices) {
            List<Integer> group = groups.get(index);
            if (group != null && seen.add(group.get(0))) {
                addFindings(group, segments, findings);
            }
        }
        return findings;
    }

    /** Of each whose target is not that of most others; where none has more, of all but the first. */
    private static void addFindings(
            List<Integer> group, IntFunction<CheckedSegment> segments, Map<Integer, Finding> findings) {
        Map<Content, Integer> targets = new LinkedHashMap<>();
        for (int each : group) {
            Content target = segments.apply(each).target();
            if (!target.plainText().isBlank()) {
                targets.merge(target, 1, Integer::sum);
            }
        }
        if (targets.isEmpty()) {
            return;
        }
        int most = Collections.max(targets.values());
        Content usual = targets.entrySet().stream()
                .filter(each -> each.getValue() == most)
                .findFirst()
                .orElseThrow()
                .getKey();
        boolean clear = most > 1
                && targets.values().stream().filter(each -> each == most).count() == 1;
        for (int each : group) {
            CheckedSegment segment = segments.apply(each);
            if (segment.segment().locked()) {
                continue;
            }
            if (segment.targetText().isBlank()) {
                findings.put(each, notPropagated(segment, usual));
            } else if (!usual.sameAs(segment.target())) {
                findings.put(each, different(segment, usual, clear));
            }
        }
    }

    /** Takes the place of the finding that a target is empty. */
    private static Finding notPropagated(CheckedSegment segment, Content usual) {
        return Finding.in(
                segment,
                EmptyTargetCheck.ID,
                Severity.ERROR,
                Phrase.of("check.empty-target.repeated", TagNotation.write(usual, segment.source())),
                List.of(),
                List.of(),
                Optional.of(usual));
    }

    /** That a segment has another target than one with the same source; nothing where it has none, or the same. */
    static Optional<Finding> besides(CheckedSegment segment, CheckedSegment other) {
        boolean differs = !segment.segment().locked()
                && !segment.targetText().isBlank()
                && !segment.target().sameAs(other.target());
        return differs ? Optional.of(different(segment, other.target(), false)) : Optional.empty();
    }

    /** What most others have is suggested where it is {@code clear} which that is. */
    private static Finding different(CheckedSegment segment, Content usual, boolean clear) {
        List<Span> parts =
                TextDifference.between(usual.plainText(), segment.targetText()).after();
        List<Span> all = List.of(new Span(0, segment.targetText().length()));
        return Finding.in(
                segment,
                ID,
                Severity.WARNING,
                Phrase.of("check.inconsistent-target", TagNotation.write(usual, segment.source())),
                List.of(),
                parts.isEmpty() ? all : parts,
                clear ? Optional.of(usual) : Optional.empty());
    }
}
