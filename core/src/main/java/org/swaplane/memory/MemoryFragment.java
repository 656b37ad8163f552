package org.swaplane.memory;

/**
 * A part of a source that a memory knows.
 *
 * @param words as they stand in the source that was looked up
 * @param count how many words that are
 * @param unit one that has the same words one after the other
 */
public record MemoryFragment(String words, int count, MemoryUnit unit) {}
