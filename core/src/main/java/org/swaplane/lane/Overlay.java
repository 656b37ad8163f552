package org.swaplane.lane;

import java.util.Map;
import java.util.function.BiConsumer;

/**
 * What differs from a list of known length, by position. Immutable: a change gives another one that shares nearly everything with
 * this one, so that it costs little even where there are hundreds of thousands of positions.
 */
final class Overlay<T> {
    private static final int BLOCK = 256;

    private final Object[][] blocks;

    private Overlay(Object[][] blocks) {
        this.blocks = blocks;
    }

    /** Nothing, over so many positions. */
    static <T> Overlay<T> over(int size) {
        return new Overlay<>(new Object[(size + BLOCK - 1) / BLOCK][]);
    }

    /** What stands at a position; null where nothing does. */
    @SuppressWarnings("unchecked")
    T get(int position) {
        Object[] block = blocks[position / BLOCK];
        return block == null ? null : (T) block[position % BLOCK];
    }

    /** The same with other things at these positions; null takes one away. */
    Overlay<T> with(Map<Integer, ? extends T> others) {
        if (others.isEmpty()) {
            return this;
        }
        Object[][] copy = blocks.clone();
        others.forEach((position, thing) -> {
            int at = position / BLOCK;
            if (copy[at] == null) {
                copy[at] = new Object[BLOCK];
            } else if (copy[at] == blocks[at]) {
                copy[at] = blocks[at].clone();
            }
            copy[at][position % BLOCK] = thing;
        });
        return new Overlay<>(copy);
    }

    /** Everything that is there, by position, in order. */
    @SuppressWarnings("unchecked")
    void forEach(BiConsumer<Integer, T> consumer) {
        for (int i = 0; i < blocks.length; i++) {
            for (int j = 0; blocks[i] != null && j < BLOCK; j++) {
                if (blocks[i][j] != null) {
                    consumer.accept(i * BLOCK + j, (T) blocks[i][j]);
                }
            }
        }
    }
}
