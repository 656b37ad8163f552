package org.swaplane.memory;

import java.util.Comparator;
import java.util.Map;

/**
 * What a memory has for a source.
 *
 * @param score similarity in percent less all penalties
 * @param penalties points by name
 */
public record MemoryMatch(Kind kind, int score, Map<String, Integer> penalties, MemoryUnit unit) {
    /** How well it fits, best first. */
    public enum Kind {
        /** The same text, with the same neighbours or under the same key. */
        CONTEXT,
        EXACT,
        FUZZY
    }

    static final Comparator<MemoryMatch> BY_KIND_AND_SCORE = Comparator.comparing(MemoryMatch::kind)
            .thenComparing(Comparator.comparingInt(MemoryMatch::score).reversed());

    /** Best first: by kind, then score, then the newest. */
    static final Comparator<MemoryMatch> ORDER = BY_KIND_AND_SCORE
            .thenComparing((MemoryMatch match) -> match.unit().provenance().changed(), Comparator.reverseOrder())
            .thenComparing(match -> match.unit().targetWritten());

    public MemoryMatch {
        penalties = Map.copyOf(penalties);
    }
}
