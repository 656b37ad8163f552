package org.swaplane.lane;

/**
 * One segment, by its key, set from one value to another.
 *
 * @param keyBefore the key that it had in the version before; empty for one that is new there; the same as {@code key} unless the version
 *     changed
 * @param words of the source; -1 where they are not known
 */
public record Change(String key, String keyBefore, Value before, Value after, int words) {
    public Change(String key, Value before, Value after) {
        this(key, key, before, after, -1);
    }

    public Change(String key, Value before, Value after, int words) {
        this(key, key, before, after, words);
    }
}
