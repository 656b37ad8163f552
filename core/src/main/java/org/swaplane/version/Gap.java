package org.swaplane.version;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.swaplane.compare.EditDistance;

/**
 * What changed between two segments that stayed: the most similar pairs that keep the order, by dynamic programming over pairs, splits and
 * joins of up to three. In a long gap only segments at about the same place are compared.
 */
final class Gap {
    private static final int LEAST = 40;
    private static final int LEAST_JOINED = 80;
    private static final int MOST_JOINED = 3;
    /** So many cells are looked at in all, however long the gap is. */
    private static final int MOST_CELLS = 4_000_000;

    private static final int NARROWEST = 40;
    private static final int WIDEST = 240;
    /** From so many pairs on, those that share too few words are not compared letter by letter. */
    private static final int MANY = 2_500;

    private static final double LEAST_SHARED_WORDS = 0.25;
    /** What two texts share by chance counts for nothing. */
    private static final double CHANCE = 0.3;

    private final Texts texts;
    private final Versions versions;
    private final boolean keysAreTrusted;
    private final List<Integer> old;
    private final List<Integer> now;
    private final int width;
    /** The worth of the first i old ones against the first from(i) + k new ones; rows that are done with are dropped. */
    private final double[][] best;

    private final byte[][] oldSteps;
    private final byte[][] nowSteps;
    private final byte[][] similarities;

    Gap(Texts texts, Versions versions, boolean keysAreTrusted, List<Integer> old, List<Integer> now) {
        this.texts = texts;
        this.versions = versions;
        this.keysAreTrusted = keysAreTrusted;
        this.old = old;
        this.now = now;
        width = Math.min(now.size(), Math.max(NARROWEST, Math.min(WIDEST, MOST_CELLS / (old.size() + 1))));
        best = new double[old.size() + 1][];
        oldSteps = new byte[best.length][];
        nowSteps = new byte[best.length][];
        similarities = new byte[best.length][];
    }

    List<SegmentMatch> matches() {
        for (int i = 0; i < best.length; i++) {
            best[i] = new double[width + 1];
            oldSteps[i] = new byte[width + 1];
            nowSteps[i] = new byte[width + 1];
            similarities[i] = new byte[width + 1];
            if (i > MOST_JOINED) {
                best[i - MOST_JOINED - 1] = null;
            }
            for (int k = 0; k <= width; k++) {
                fill(i, k);
            }
        }
        return walkBack();
    }

    /** The first column of a row: the whole row in a short gap, the part around the diagonal in a long one. */
    private int from(int row) {
        int middle = (int) ((long) row * now.size() / old.size());
        return Math.max(0, Math.min(now.size() - width, middle - width / 2));
    }

    private boolean isInside(int i, int j) {
        return i >= 0 && j >= from(i) && j <= from(i) + width;
    }

    private void fill(int i, int k) {
        int j = from(i) + k;
        double most = 0;
        int byOld = i > 0 ? 1 : 0;
        int byNow = i > 0 ? 0 : 1;
        int alike = 0;
        if (isInside(i - 1, j)) {
            most = best[i - 1][j - from(i - 1)];
        }
        if (k > 0 && best[i][k - 1] > most) {
            most = best[i][k - 1];
            byOld = 0;
            byNow = 1;
        }
        for (int m = 1; m <= Math.min(i, MOST_JOINED); m++) {
            for (int n = 1; n <= Math.min(j, m == 1 ? MOST_JOINED : 1); n++) {
                if (isInside(i - m, j - n)) {
                    int similarity = similarity(i - m, i, j - n, j);
                    double worth = best[i - m][j - n - from(i - m)] + worth(similarity, i - m, i, j - n, j);
                    if (similarity >= 0 && worth > most) {
                        most = worth;
                        byOld = m;
                        byNow = n;
                        alike = similarity;
                    }
                }
            }
        }
        best[i][k] = most;
        oldSteps[i][k] = (byte) byOld;
        nowSteps[i][k] = (byte) byNow;
        similarities[i][k] = (byte) alike;
    }

    /** Of some old segments and some new ones, one on one side at least; -1 where they are no match. */
    private int similarity(int oldFrom, int oldTo, int nowFrom, int nowTo) {
        return oldTo - oldFrom == 1 && nowTo - nowFrom == 1
                ? similarity(old.get(oldFrom), now.get(nowFrom))
                : joinedSimilarity(old.subList(oldFrom, oldTo), now.subList(nowFrom, nowTo));
    }

    private int similarity(int i, int j) {
        if (!versions.areOfOneLanguage(i, j)) {
            return -1;
        }
        boolean sameKey = keysAreTrusted && versions.oldOfKey(j) == i;
        boolean many = (long) old.size() * width > MANY;
        if (!sameKey && many && texts.sharedWords(i, j) < LEAST_SHARED_WORDS) {
            return -1;
        }
        int least = sameKey ? 0 : LEAST;
        int similarity = EditDistance.similarity(texts.old(i), texts.now(j), least);
        return similarity >= least ? similarity : -1;
    }

    private int joinedSimilarity(List<Integer> those, List<Integer> these) {
        long before = those.stream().mapToInt(i -> texts.old(i).length).sum();
        long after = these.stream().mapToInt(j -> texts.now(j).length).sum();
        boolean possible = Math.min(before, after) * 100 >= Math.max(before, after) * LEAST_JOINED - 100;
        if (!possible || !areNeighbours(those) || !areNeighbours(these)) {
            return -1;
        }
        int similarity = EditDistance.similarity(texts.joinedOld(those), texts.joinedNow(these), LEAST_JOINED);
        return similarity >= LEAST_JOINED ? similarity : -1;
    }

    private static boolean areNeighbours(List<Integer> indexes) {
        return indexes.get(indexes.size() - 1) - indexes.get(0) == indexes.size() - 1;
    }

    private double worth(int similarity, int oldFrom, int oldTo, int nowFrom, int nowTo) {
        int length = 0;
        for (int i = oldFrom; i < oldTo; i++) {
            length += texts.old(old.get(i)).length;
        }
        for (int j = nowFrom; j < nowTo; j++) {
            length += texts.now(now.get(j)).length;
        }
        return Math.max(0.01, similarity / 100.0 - CHANCE) * Math.max(1, length);
    }

    private List<SegmentMatch> walkBack() {
        List<SegmentMatch> matches = new ArrayList<>();
        int i = old.size();
        int j = now.size();
        while (i > 0 && j > 0) {
            int k = isInside(i, j) ? j - from(i) : -1;
            int byOld = k < 0 ? 1 : oldSteps[i][k];
            int byNow = k < 0 ? 0 : nowSteps[i][k];
            if (byOld > 0 && byNow > 0) {
                matches.add(new SegmentMatch(
                        byOld + byNow > 2 ? Outcome.RESEGMENTED : Outcome.CHANGED,
                        old.subList(i - byOld, i),
                        now.subList(j - byNow, j),
                        similarities[i][k]));
            }
            i -= byOld;
            j -= byNow;
        }
        Collections.reverse(matches);
        return matches;
    }
}
