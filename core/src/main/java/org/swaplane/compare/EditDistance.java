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
                : BitDistance.between(one, other, start, rows, columns, most);
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
