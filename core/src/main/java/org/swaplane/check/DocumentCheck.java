package org.swaplane.check;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.swaplane.task.Progress;

/**
 * The checks over segments that belong together, of one file or of several, by their position in the whole. It follows edits: after each
 * only what can have changed is checked again. Not thread-safe but for the first run, which uses all processors itself.
 */
public final class DocumentCheck {
    private static final int CHUNK = 10_000;

    private final CheckRun checks;
    private final int size;
    private final IntFunction<CheckedSegment> segments;
    private final SameSources sources;
    private final SameTargets targets;

    /** Takes what was found in the segment at a position. */
    public interface Found {
        void at(int position, List<Finding> findings);
    }

    DocumentCheck(CheckRun checks, int size, IntFunction<CheckedSegment> segments) {
        this.checks = checks;
        this.size = size;
        this.segments = segments;
        this.sources = SameSources.of(size, segments);
        this.targets = new SameTargets(checks.profile().consistency());
        for (int i = 0; i < size; i++) {
            targets.changed(i, segments.apply(i));
        }
    }

    /** Checks all segments; {@code found} gets those with findings, in their order. */
    public void run(Progress progress, Found found) {
        Map<Integer, Finding> others =
                sources.findings(IntStream.range(0, size).boxed().toList(), segments);
        for (int from = 0; from < size; from += CHUNK) {
            progress.checkCancelled();
            progress.at(from, size);
            int first = from;
            List<List<Finding>> chunk = IntStream.range(from, Math.min(size, from + CHUNK))
                    .parallel()
                    .mapToObj(i -> at(i, others))
                    .toList();
            for (int i = 0; i < chunk.size(); i++) {
                if (!chunk.get(i).isEmpty()) {
                    found.at(first + i, chunk.get(i));
                }
            }
        }
    }

    /**
     * The findings of segments that changed and of all with the same sources or targets, by position; an empty list where there is none
     * any more.
     */
    public Map<Integer, List<Finding>> again(Collection<Integer> changed) {
        TreeSet<Integer> concerned = new TreeSet<>(changed);
        for (int each : changed) {
            concerned.addAll(sources.of(each));
            concerned.addAll(targets.changed(each, segments.apply(each)));
        }
        Map<Integer, Finding> others = sources.findings(concerned, segments);
        Map<Integer, List<Finding>> findings = new TreeMap<>();
        concerned.forEach(each -> findings.put(each, at(each, others)));
        return findings;
    }

    private List<Finding> at(int position, Map<Integer, Finding> others) {
        CheckedSegment segment = segments.apply(position);
        List<Finding> findings = new ArrayList<>(checks.run(segment));
        Finding other = others.get(position);
        if (other != null) {
            // The same source elsewhere says more of an empty target than that it is empty.
            findings.removeIf(each -> each.check().equals(other.check()));
            checks.asSet(other).ifPresent(findings::add);
        }
        targets.of(position, segments).flatMap(checks::asSet).ifPresent(findings::add);
        return findings.isEmpty() ? List.of() : findings;
    }
}
