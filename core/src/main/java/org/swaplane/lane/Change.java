package org.swaplane.lane;

/** One segment set from one value to another. */
public record Change(int segment, Value before, Value after) {
    /** What takes it back. */
    Change inverted() {
        return new Change(segment, after, before);
    }
}
