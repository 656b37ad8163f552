package org.swaplane.check;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.ForkJoinPool;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.swaplane.task.Progress;

/**
 * The checks over segments that belong together, of one file or of several, by their position in the whole. It follows edits: after each
 * only what can have changed is checked again. Not thread-safe but for the first run, which uses all processors itself.
 */
public final class DocumentCheck {
    private static final int CHUNK = 500;

    private final CheckRun checks;
    private final int size;
    private final IntFunction<CheckedSegment> segments;
    private final SameSources sources;
    private final SameTargets targets;
    /** What each segment has by itself, where it has anything. */
    private final Map<Integer, List<Finding>> own = new HashMap<>();

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
        run(progress, ForkJoinPool.commonPool(), found);
    }

    /** The same on the threads of a pool, for a program that has other work for some of its processors. */
    public void run(Progress progress, ForkJoinPool pool, Found found) {
        List<Integer> all = IntStream.range(0, size).boxed().toList();
        Map<Integer, Finding> ofSources = sources.findings(all, segments);
        progress.checkCancelled();
        Map<Integer, Finding> ofTargets = targets.findings(all, segments);
        for (int from = 0; from < size; from += CHUNK) {
            progress.checkCancelled();
            progress.at(from, size);
            int first = from;
            // A parallel stream runs on the pool that it is started from.
            List<List<Finding>> chunk = pool.submit(() -> IntStream.range(first, Math.min(size, first + CHUNK))
                            .parallel()
                            .mapToObj(i -> checks.run(segments.apply(i)))
                            .toList())
                    .join();
            for (int i = 0; i < chunk.size(); i++) {
                keepOwn(first + i, chunk.get(i));
                List<Finding> here = with(first + i, ofSources, ofTargets);
                if (!here.isEmpty()) {
                    found.at(first + i, here);
                }
            }
        }
    }

    /** The segments that have the same source, or the same target, as this one, itself among them: those that a check compares. */
    List<Integer> alike(int position, String check) {
        return check.equals(SameSources.ID) ? sources.of(position) : targets.of(position);
    }

    /** What that check says of a segment beside another one, by the profile. */
    Optional<Finding> besides(int position, int other, String check) {
        CheckedSegment here = segments.apply(position);
        CheckedSegment there = segments.apply(other);
        return (check.equals(SameSources.ID) ? SameSources.besides(here, there) : targets.besides(here, there))
                .flatMap(checks::applyProfile);
    }

    private void keepOwn(int position, List<Finding> findings) {
        if (findings.isEmpty()) {
            own.remove(position);
        } else {
            own.put(position, List.copyOf(findings));
        }
    }

    /**
     * The findings of segments that changed since all were checked, and of all with the same sources or targets, by position; an empty
     * list where there is none any more.
     */
    public Map<Integer, List<Finding>> recheck(Collection<Integer> changed) {
        TreeSet<Integer> concerned = new TreeSet<>(changed);
        for (int each : changed) {
            keepOwn(each, checks.run(segments.apply(each)));
            concerned.addAll(sources.of(each));
            concerned.addAll(targets.changed(each, segments.apply(each)));
        }
        Map<Integer, Finding> ofSources = sources.findings(concerned, segments);
        Map<Integer, Finding> ofTargets = targets.findings(concerned, segments);
        Map<Integer, List<Finding>> findings = new TreeMap<>();
        concerned.forEach(each -> findings.put(each, with(each, ofSources, ofTargets)));
        return findings;
    }

    /** What a segment has itself, and what there is to say of it beside others. */
    private List<Finding> with(int position, Map<Integer, Finding> ofSources, Map<Integer, Finding> ofTargets) {
        Finding ofSource = ofSources.get(position);
        Finding ofTarget = ofTargets.get(position);
        List<Finding> here = own.getOrDefault(position, List.of());
        if (ofSource == null && ofTarget == null) {
            return here;
        }
        List<Finding> findings = new ArrayList<>(here);
        if (ofSource != null) {
            // The same source elsewhere says more of an empty target than that it is empty.
            findings.removeIf(each -> each.check().equals(ofSource.check()));
            checks.applyProfile(ofSource).ifPresent(findings::add);
        }
        if (ofTarget != null) {
            checks.applyProfile(ofTarget).ifPresent(findings::add);
        }
        return findings;
    }
}
