package org.swaplane.memory;

import java.util.List;

/**
 * A memory that is looked things up in.
 *
 * @param penalty points that are taken off all its matches
 */
public record MemoryUse(TranslationMemory memory, int penalty) {
    /** These, without penalties. */
    public static List<MemoryUse> of(List<TranslationMemory> memories) {
        return memories.stream().map(memory -> new MemoryUse(memory, 0)).toList();
    }
}
