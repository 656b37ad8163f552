package org.swaplane.compare;

import java.util.Arrays;

/**
 * The distance of {@link EditDistance}, sixty-four cells at a time: of each column of the table it keeps, as bits, where it rises and falls
 * (H. Hyyrö, A bit-vector algorithm for computing Levenshtein and Damerau edit distances, Nordic Journal of Computing 10, 2003, in blocks).
 */
final class BitDistance {
    private static final int BITS = 64;

    private final int words;
    private final int length;
    /** Open addressing: symbols of the first text, each with the places where it stands. */
    private final int[] symbols;

    private final boolean[] taken;
    private final long[] places;
    private final long[] rises;
    private final long[] falls;
    private final long[] diagonal;
    private final long[] placesBefore;

    private BitDistance(int[] text, int from, int length) {
        this.length = length;
        this.words = (length + BITS - 1) / BITS;
        int slots = Integer.highestOneBit(Math.max(1, length)) * 4;
        this.symbols = new int[slots];
        this.taken = new boolean[slots];
        this.places = new long[slots * words];
        this.rises = new long[words];
        this.falls = new long[words];
        this.diagonal = new long[words];
        this.placesBefore = new long[words];
        for (int i = 0; i < length; i++) {
            int slot = slot(text[from + i]);
            taken[slot] = true;
            symbols[slot] = text[from + i];
            places[slot * words + i / BITS] |= 1L << i % BITS;
        }
        Arrays.fill(rises, -1L);
    }

    /** Where a symbol stands in the table, or would stand. */
    private int slot(int symbol) {
        int slot = (symbol * 0x9E3779B9 >>> 7) & symbols.length - 1;
        while (taken[slot] && symbols[slot] != symbol) {
            slot = slot + 1 & symbols.length - 1;
        }
        return slot;
    }

    /** The distance of parts of two texts, neither of them empty, or any number above {@code most} when it is above. */
    static int between(int[] one, int[] other, int from, int lengthOfOne, int lengthOfOther, int most) {
        return lengthOfOne <= lengthOfOther
                ? new BitDistance(one, from, lengthOfOne).to(other, from, lengthOfOther, most)
                : new BitDistance(other, from, lengthOfOther).to(one, from, lengthOfOne, most);
    }

    private int to(int[] text, int from, int columns, int most) {
        int distance = length;
        for (int j = 0; j < columns; j++) {
            distance += column(slot(text[from + j]));
            // The columns that are left can take away no more than one each.
            if (distance - (columns - 1 - j) > most) {
                return most + 1;
            }
        }
        return distance;
    }

    /** Goes on by one column; how much higher its last cell is than that of the one before. */
    private int column(int slot) {
        long rise = 1;
        long fall = 0;
        long diagonalOfLower = 0;
        long placesOfLower = 0;
        int change = 0;
        for (int w = 0; w < words; w++) {
            long here = taken[slot] ? places[slot * words + w] : 0;
            long up = rises[w];
            long down = falls[w];
            long swapped =
                    ((~diagonal[w] & here) << 1 | (~diagonalOfLower & placesOfLower) >>> BITS - 1) & placesBefore[w];
            long matched = here | fall;
            long same = (matched & up) + up ^ up | matched | down | swapped;
            long right = down | ~(same | up);
            long left = same & up;
            if (w == words - 1) {
                int last = (length - 1) % BITS;
                change = (int) (right >>> last & 1) - (int) (left >>> last & 1);
            }
            long riseOut = right >>> BITS - 1;
            long fallOut = left >>> BITS - 1;
            right = right << 1 | rise;
            left = left << 1 | fall;
            rise = riseOut;
            fall = fallOut;
            diagonalOfLower = diagonal[w];
            placesOfLower = here;
            rises[w] = left | ~(same | right);
            falls[w] = right & same;
            diagonal[w] = same;
            placesBefore[w] = here;
        }
        return change;
    }
}
