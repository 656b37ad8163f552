package org.swaplane.version;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.swaplane.compare.EditDistance;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.task.Progress;

/**
 * Two versions of a document side by side. Segments with the same content are found first, repeated ones by their key or their neighbours; then
 * what changed in its place, with splits and joins; then what was moved and changed.
 */
public final class VersionAlignment {
    private final List<SegmentMatch> matches;

    private VersionAlignment(List<SegmentMatch> matches) {
        this.matches = List.copyOf(matches);
    }

    public static VersionAlignment of(BilingualDocument old, BilingualDocument now, Progress progress) {
        Versions versions = new Versions(old, now);
        SameContent same = new SameContent(versions, progress);
        same.match();
        ChangedContent changed = new ChangedContent(versions, same, progress);
        changed.match();
        return assemble(versions, same, changed);
    }

    /** In the order of the new version; what is gone follows what stood before it. */
    private static VersionAlignment assemble(Versions versions, SameContent same, ChangedContent changed) {
        boolean[] inOrder = same.inOrder();
        SegmentMatch[] ofNow = new SegmentMatch[versions.nowSize()];
        boolean[] found = new boolean[versions.oldSize()];
        for (int j = 0; j < ofNow.length; j++) {
            int i = same.toOld()[j];
            if (i != Versions.NONE) {
                ofNow[j] = new SegmentMatch(
                        inOrder[j] ? Outcome.UNCHANGED : Outcome.MOVED, List.of(i), List.of(j), EditDistance.SAME);
            }
        }
        for (SegmentMatch match : changed.matches()) {
            match.now().forEach(j -> ofNow[j] = match);
        }
        List<List<Integer>> goneAfter = new ArrayList<>(java.util.Collections.nCopies(versions.oldSize() + 1, null));
        for (int j = 0; j < ofNow.length; j++) {
            if (ofNow[j] == null) {
                ofNow[j] = new SegmentMatch(Outcome.NEW, List.of(), List.of(j), 0);
            } else {
                ofNow[j].old().forEach(i -> found[i] = true);
            }
        }
        int before = 0;
        for (int i = 0; i < found.length; i++) {
            if (found[i]) {
                before = i + 1;
            } else {
                List<Integer> gone = goneAfter.get(before);
                if (gone == null) {
                    gone = new ArrayList<>();
                    goneAfter.set(before, gone);
                }
                gone.add(i);
            }
        }
        List<SegmentMatch> all = new ArrayList<>();
        addGone(goneAfter.get(0), all);
        for (int j = 0; j < ofNow.length; j++) {
            SegmentMatch match = ofNow[j];
            if (match.now().get(0) == j) {
                all.add(match);
                match.old().forEach(i -> addGone(goneAfter.get(i + 1), all));
            }
        }
        return new VersionAlignment(all);
    }

    private static void addGone(List<Integer> gone, List<SegmentMatch> all) {
        if (gone != null) {
            gone.forEach(i -> all.add(new SegmentMatch(Outcome.GONE, List.of(i), List.of(), 0)));
        }
    }

    public List<SegmentMatch> matches() {
        return matches;
    }

    /** Whether nothing changed at all. */
    public boolean isSame() {
        return matches.stream().allMatch(match -> match.outcome() == Outcome.UNCHANGED);
    }

    /** Segments by outcome: of the new version, and those of the old one that are gone. */
    public Map<Outcome, Integer> counts() {
        Map<Outcome, Integer> counts = new EnumMap<>(Outcome.class);
        Arrays.stream(Outcome.values()).forEach(each -> counts.put(each, 0));
        matches.forEach(match -> counts.merge(match.outcome(), size(match), Integer::sum));
        return counts;
    }

    /** Words of the sources by outcome, counted like the segments. */
    public Map<Outcome, Integer> words(List<Segment> old, List<Segment> now) {
        Map<Outcome, Integer> words = new EnumMap<>(Outcome.class);
        for (Outcome outcome : Outcome.values()) {
            List<Segment> those = matches.stream()
                    .filter(match -> match.outcome() == outcome)
                    .flatMap(match -> match.now().isEmpty()
                            ? match.old().stream().map(old::get)
                            : match.now().stream().map(now::get))
                    .toList();
            words.put(outcome, org.swaplane.document.Counts.of(those).words());
        }
        return words;
    }

    private static int size(SegmentMatch match) {
        return match.now().isEmpty() ? match.old().size() : match.now().size();
    }
}
