package org.swaplane.memory;

import java.util.Arrays;

/** A set of numbers that are spread evenly, such as parts of hashes, in little room. */
final class LongSet {
    private static final int FIRST_SIZE = 1 << 10;

    private long[] slots = new long[FIRST_SIZE];
    private int size;
    private boolean hasZero;

    /** Whether it was not there before. */
    boolean add(long value) {
        if (value == 0) {
            boolean fresh = !hasZero;
            hasZero = true;
            return fresh;
        }
        if (2 * size >= slots.length) {
            grow();
        }
        return put(value);
    }

    private boolean put(long value) {
        int at = (int) value & slots.length - 1;
        while (slots[at] != 0) {
            if (slots[at] == value) {
                return false;
            }
            at = at + 1 & slots.length - 1;
        }
        slots[at] = value;
        size++;
        return true;
    }

    private void grow() {
        long[] before = slots;
        slots = new long[2 * before.length];
        size = 0;
        Arrays.stream(before).filter(value -> value != 0).forEach(this::put);
    }
}
