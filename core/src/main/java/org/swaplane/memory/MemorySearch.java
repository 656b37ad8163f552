package org.swaplane.memory;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;

/** The best match of a segment in several memories, the first of which has priority. */
record MemorySearch(List<TranslationMemory> memories, int least) {
    Optional<MemoryMatch> best(BilingualDocument document, int index) throws IOException {
        Segment segment = document.segments().get(index);
        Part part = document.parts().get(segment.part());
        Optional<MemoryMatch> best = Optional.empty();
        for (TranslationMemory memory : memories) {
            List<MemoryMatch> found = memory.lookup(
                    part.sourceLanguage(),
                    part.targetLanguage(),
                    segment.source(),
                    MemoryTransfer.context(document.segments(), index),
                    least,
                    1);
            if (!found.isEmpty() && (best.isEmpty() || isBetter(found.get(0), best.get()))) {
                best = Optional.of(found.get(0));
            }
        }
        return best;
    }

    private static boolean isBetter(MemoryMatch one, MemoryMatch other) {
        return one.kind().compareTo(other.kind()) < 0 || one.kind() == other.kind() && one.score() > other.score();
    }
}
