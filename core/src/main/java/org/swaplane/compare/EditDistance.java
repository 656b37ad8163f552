package org.swaplane.compare;

/** Edit distance by optimal string alignment: insertion, deletion, substitution, and the swap of two neighbours cost one each. */
public final class EditDistance {
    /** Similarity of two texts that are the same. */
    public static final int SAME = 100;

    private EditDistance() {}

    /** The distance, or any number above {@code most} when it is above. */
    public static int between(int[] one, int[] other, int most) {
        int start = 0;
        int endOne = one.length;
        int endOther = other.length;
        while (start < endOne && start < endOther && one[start] == other[start]) {
            start++;
        }
        while (endOne > start && endOther > start && one[endOne - 1] == other[endOther - 1]) {
            endOne--;
            endOther--;
        }
        int rows = endOne - start;
        int columns = endOther - start;
        if (Math.abs(rows - columns) > most) {
            return most + 1;
        }
        return rows == 0 || columns == 0
                ? Math.max(rows, columns)
                : banded(one, other, start, rows, columns, Math.min(most, Math.max(rows, columns)));
    }

    /** Only cells within {@code most} of the diagonal can lead to a distance that small. */
    private static int banded(int[] one, int[] other, int start, int rows, int columns, int most) {
        int beyond = most + 1;
        int[] beforeLast = new int[columns + 1];
        int[] last = new int[columns + 1];
        int[] row = new int[columns + 1];
        for (int j = 0; j <= columns; j++) {
            last[j] = Math.min(j, beyond);
        }
        for (int i = 1; i <= rows; i++) {
            int from = Math.max(1, i - most);
            int to = Math.min(columns, i + most);
            row[from - 1] = from == 1 ? Math.min(i, beyond) : beyond;
            int least = row[from - 1];
            int a = one[start + i - 1];
            for (int j = from; j <= to; j++) {
                int b = other[start + j - 1];
                int above = j > i - 1 + most ? beyond : last[j];
                int cell = Math.min(Math.min(above, row[j - 1]) + 1, last[j - 1] + (a == b ? 0 : 1));
                if (i > 1 && j > 1 && a == other[start + j - 2] && b == one[start + i - 2]) {
                    cell = Math.min(cell, beforeLast[j - 2] + 1);
                }
                row[j] = Math.min(cell, beyond);
                least = Math.min(least, row[j]);
            }
            if (least >= beyond) {
                return beyond;
            }
            int[] free = beforeLast;
            beforeLast = last;
            last = row;
            row = free;
        }
        return last[columns];
    }

    /** Similarity in percent, rounded down: 100 for two empty texts. */
    public static int similarity(int[] one, int[] other) {
        return similarity(one, other, 0);
    }

    /** Similarity in percent, rounded down, or any number below {@code least} when it is below, which is found out faster. */
    public static int similarity(int[] one, int[] other, int least) {
        int longer = Math.max(one.length, other.length);
        if (longer == 0) {
            return 100;
        }
        int most = (int) ((long) longer * (100 - least) / 100);
        int distance = between(one, other, most);
        return distance > most ? least - 1 : (int) ((long) (longer - distance) * 100 / longer);
    }
}
