package org.swaplane.memory;

import java.util.List;

/**
 * Segments of two documents that say the same; one side is empty where the other one has nothing like it.
 *
 * @param source positions in the first document, from 0
 * @param target positions in the second document
 * @param confidence from 0 to 1
 */
public record AlignedPair(List<Integer> source, List<Integer> target, double confidence) {
    public AlignedPair {
        source = List.copyOf(source);
        target = List.copyOf(target);
    }

    public boolean isPair() {
        return !source.isEmpty() && !target.isEmpty();
    }
}
