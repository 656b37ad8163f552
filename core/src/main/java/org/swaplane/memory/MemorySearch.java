package org.swaplane.memory;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.swaplane.compare.EditDistance;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.task.Progress;

/**
 * Looks up in several memories, the first of which has priority.
 *
 * @param least score in percent
 */
public record MemorySearch(List<MemoryUse> memories, int least) {
    private static final int ENOUGH = 50;

    private static final int FEW = 5;

    /** So many segments are looked up before anybody is told how far that is. */
    private static final int AT_ONCE = 100;

    public MemorySearch {
        memories = List.copyOf(memories);
    }

    /** What there is for a source, best first; the same pair of texts is there once. */
    public List<MemoryMatch> lookup(
            String sourceLanguage, String targetLanguage, Content source, MemoryUnit.Context context, int top)
            throws IOException {
        List<MemoryMatch> all = new ArrayList<>();
        for (MemoryUse use : memories) {
            for (MemoryMatch match :
                    use.memory().lookup(sourceLanguage, targetLanguage, source, context, least, ENOUGH)) {
                MemoryMatch penalized = penalized(match, use.penalty());
                if (penalized.score() >= least) {
                    all.add(penalized);
                }
            }
        }
        // The order is kept where two are equal, so the memory with priority comes first.
        all.sort(MemoryMatch.BY_KIND_AND_SCORE);
        Set<String> seen = new HashSet<>();
        return all.stream()
                .filter(match -> seen.add(
                        match.unit().sourceWritten() + '\n' + match.unit().targetWritten()))
                .limit(top)
                .toList();
    }

    private static MemoryMatch penalized(MemoryMatch match, int penalty) {
        if (penalty == 0 || match.kind() == MemoryMatch.Kind.CONTEXT) {
            return match;
        }
        Map<String, Integer> penalties = new LinkedHashMap<>(match.penalties());
        penalties.put("memory", penalty);
        return new MemoryMatch(match.kind(), match.score() - penalty, penalties, match.unit());
    }

    /** The best matches of segments where they stand, by their positions; looked up on all processors. */
    Map<Integer, MemoryMatch> best(BilingualDocument document, List<Integer> indexes, Progress progress)
            throws IOException {
        Map<Integer, MemoryMatch> best = new ConcurrentHashMap<>();
        for (int from = 0; from < indexes.size(); from += AT_ONCE) {
            progress.checkCancelled();
            progress.at(from, indexes.size());
            List<Integer> some = indexes.subList(from, Math.min(from + AT_ONCE, indexes.size()));
            try {
                some.parallelStream().forEach(index -> {
                    try {
                        best(document, index).ifPresent(match -> best.put(index, match));
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                });
            } catch (UncheckedIOException e) {
                throw e.getCause();
            }
        }
        return best;
    }

    private Optional<MemoryMatch> best(BilingualDocument document, int index) throws IOException {
        // What is the same is better than whatever resembles, and found at once.
        Optional<MemoryMatch> same = new MemorySearch(memories, EditDistance.SAME).first(document, index);
        return same.isPresent() ? same : first(document, index);
    }

    private Optional<MemoryMatch> first(BilingualDocument document, int index) throws IOException {
        Segment segment = document.segments().get(index);
        Part part = document.parts().get(segment.part());
        List<MemoryMatch> found = lookup(
                part.sourceLanguage(),
                part.targetLanguage(),
                segment.source(),
                MemoryTransfer.context(document.segments(), index),
                FEW);
        Optional<MemoryMatch> best = found.stream().findFirst();
        // Of those that may be filled in, one that has the tags of its source.
        return found.stream()
                .filter(match ->
                        match.kind() != MemoryMatch.Kind.FUZZY && match.unit().keepsTags())
                .findFirst()
                .or(() -> best);
    }
}
