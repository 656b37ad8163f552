package org.swaplane.lane;

/** One segment, by its key, set from one value to another. */
public record Change(String key, Value before, Value after) {
    /** What takes it back. */
    Change inverted() {
        return new Change(key, after, before);
    }
}
