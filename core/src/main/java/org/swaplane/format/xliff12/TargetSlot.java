package org.swaplane.format.xliff12;

/**
 * Where a segment's target stands in the file; offsets count UTF-16 units of the text.
 *
 * @param unitTag begin of the start tag of the {@code trans-unit}
 * @param unitTagEnd end of that tag
 * @param start begin of the {@code target} element, or the place to put one in
 * @param contentStart end of the target's start tag; equal to {@code start} without a target
 * @param contentEnd begin of the target's end tag
 * @param end end of the target element
 * @param indent line end and white space before {@code source}, for a target that must be put in
 * @param prefix namespace prefix of the elements with its colon, or nothing
 */
record TargetSlot(
        long unitTag,
        long unitTagEnd,
        long start,
        long contentStart,
        long contentEnd,
        long end,
        String indent,
        String prefix) {
    boolean exists() {
        return end > start;
    }

    boolean isEmptyElement() {
        return exists() && contentStart == end;
    }
}
