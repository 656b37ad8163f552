package org.swaplane.version;

import static org.swaplane.version.Versions.NONE;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.swaplane.compare.EditDistance;
import org.swaplane.task.Progress;

/** Finds what changed: first between what kept its place, then anywhere. */
final class ChangedContent {
    /** What was put elsewhere and changed must be known again by more than what was changed in its place. */
    private static final int LEAST_ELSEWHERE = 60;

    private static final int MOST_CANDIDATES = 8;
    /** Words that stand in more segments than these say nothing. */
    private static final int COMMON = 50;

    private final Versions versions;
    private final SameContent same;
    private final Progress progress;
    private final Texts texts;
    private final boolean[] oldTaken;
    private final boolean[] nowTaken;
    private final List<SegmentMatch> matches = new ArrayList<>();

    private record Candidate(int old, int now, int similarity) {}

    ChangedContent(Versions versions, SameContent same, Progress progress) {
        this.versions = versions;
        this.same = same;
        this.progress = progress;
        this.texts = new Texts(versions);
        oldTaken = new boolean[versions.oldSize()];
        nowTaken = new boolean[versions.nowSize()];
        for (int i = 0; i < oldTaken.length; i++) {
            oldTaken[i] = !same.isOldFree(i);
        }
        for (int j = 0; j < nowTaken.length; j++) {
            nowTaken[j] = same.toOld()[j] != NONE;
        }
    }

    List<SegmentMatch> matches() {
        return matches;
    }

    void match() {
        betweenAnchors();
        anywhere();
        if (same.keysAreTrusted()) {
            byKey();
        }
    }

    private void betweenAnchors() {
        boolean[] inOrder = same.inOrder();
        int from = 0;
        List<Integer> gap = new ArrayList<>();
        for (int j = 0; j <= inOrder.length; j++) {
            boolean end = j == inOrder.length;
            if (end || inOrder[j]) {
                int to = end ? versions.oldSize() : same.toOld()[j];
                if (!gap.isEmpty()) {
                    inGap(free(from, to), List.copyOf(gap));
                    gap.clear();
                }
                from = to + 1;
            } else if (!nowTaken[j]) {
                gap.add(j);
            }
        }
    }

    private List<Integer> free(int from, int to) {
        return IntStream.range(from, to).filter(i -> !oldTaken[i]).boxed().toList();
    }

    private void inGap(List<Integer> old, List<Integer> now) {
        progress.checkCancelled();
        if (!old.isEmpty()) {
            new Gap(texts, versions, same.keysAreTrusted(), old, now).matches().forEach(this::take);
        }
    }

    private void take(SegmentMatch match) {
        match.old().forEach(i -> oldTaken[i] = true);
        match.now().forEach(j -> nowTaken[j] = true);
        matches.add(match);
    }

    /** The most similar pairs of what is left, best first. */
    private void anywhere() {
        Map<String, List<Integer>> index = new HashMap<>();
        IntStream.range(0, oldTaken.length).filter(i -> !oldTaken[i]).forEach(i -> new HashSet<>(
                        List.of(texts.oldWords(i)))
                .forEach(word ->
                        index.computeIfAbsent(word, key -> new ArrayList<>()).add(i)));
        if (index.isEmpty()) {
            return;
        }
        List<Candidate> found = new ArrayList<>();
        for (int j = 0; j < nowTaken.length; j++) {
            if (!nowTaken[j]) {
                progress.checkCancelled();
                found.addAll(candidates(j, index));
            }
        }
        found.sort(Comparator.comparingInt((Candidate each) -> -each.similarity())
                .thenComparingInt(Candidate::now)
                .thenComparingInt(Candidate::old));
        for (Candidate each : found) {
            if (!oldTaken[each.old()] && !nowTaken[each.now()]) {
                take(changed(each.old(), each.now(), each.similarity()));
            }
        }
    }

    private List<Candidate> candidates(int j, Map<String, List<Integer>> index) {
        Map<Integer, Double> shared = new HashMap<>();
        Set<String> words = new HashSet<>(List.of(texts.nowWords(j)));
        for (String word : words) {
            List<Integer> places = index.getOrDefault(word, List.of());
            if (places.size() <= COMMON) {
                places.forEach(i -> shared.merge(i, 1.0 / places.size(), Double::sum));
            }
        }
        return shared.entrySet().stream()
                .sorted(Map.Entry.<Integer, Double>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .limit(MOST_CANDIDATES)
                .map(each -> new Candidate(
                        each.getKey(),
                        j,
                        EditDistance.similarity(texts.old(each.getKey()), texts.now(j), LEAST_ELSEWHERE)))
                .filter(each -> each.similarity() >= LEAST_ELSEWHERE && versions.areOfOneLanguage(each.old(), j))
                .toList();
    }

    /** A text of its own id that was written anew is changed, however little is left of it. */
    private void byKey() {
        for (int j = 0; j < nowTaken.length; j++) {
            int i = nowTaken[j] ? NONE : versions.oldOfKey(j);
            if (i != NONE && !oldTaken[i]) {
                take(changed(i, j, EditDistance.similarity(texts.old(i), texts.now(j))));
            }
        }
    }

    private static SegmentMatch changed(int i, int j, int similarity) {
        return new SegmentMatch(Outcome.CHANGED, List.of(i), List.of(j), similarity);
    }
}
