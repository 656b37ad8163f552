package org.swaplane.version;

import static org.swaplane.version.Versions.NONE;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.swaplane.task.Progress;

/** Finds the segments whose content stayed the same. */
final class SameContent {
    /** Share of the texts that moved along with their keys from which on keys are the file's own ids, and not positions. */
    private static final double TRUSTED = 0.9;

    private final Versions versions;
    private final Progress progress;
    private final int[] toOld;
    private final int[] toNow;
    private boolean keysAreTrusted;

    SameContent(Versions versions, Progress progress) {
        this.versions = versions;
        this.progress = progress;
        toOld = new int[versions.nowSize()];
        toNow = new int[versions.oldSize()];
        Arrays.fill(toOld, NONE);
        Arrays.fill(toNow, NONE);
    }

    void match() {
        Map<String, List<Integer>> oldPlaces = versions.oldPlaces();
        Map<String, List<Integer>> nowPlaces = versions.nowPlaces();
        keysAreTrusted = keysFollowTexts(oldPlaces, nowPlaces);
        if (keysAreTrusted) {
            byKey();
        }
        progress.checkCancelled();
        nowPlaces.forEach((text, places) -> {
            List<Integer> there = oldPlaces.getOrDefault(text, List.of());
            if (places.size() == 1 && there.size() == 1) {
                pair(there.get(0), places.get(0));
            }
        });
        byNeighbours();
        byKey();
        byNeighbours();
        betweenAnchors(oldPlaces);
        byNeighbours();
        progress.checkCancelled();
        nowPlaces.forEach((text, places) -> inTurn(oldPlaces.getOrDefault(text, List.of()), places));
    }

    /** Keys that are positions change when something is put in before them; ids of the file go along with their texts. */
    private boolean keysFollowTexts(Map<String, List<Integer>> oldPlaces, Map<String, List<Integer>> nowPlaces) {
        int shifted = 0;
        int together = 0;
        for (Map.Entry<String, List<Integer>> each : nowPlaces.entrySet()) {
            List<Integer> there = oldPlaces.getOrDefault(each.getKey(), List.of());
            if (each.getValue().size() == 1
                    && there.size() == 1
                    && !there.get(0).equals(each.getValue().get(0))) {
                shifted++;
                together += versions.oldOfKey(each.getValue().get(0)) == there.get(0) ? 1 : 0;
            }
        }
        return together >= shifted * TRUSTED;
    }

    private void byKey() {
        for (int j = 0; j < toOld.length; j++) {
            int i = versions.oldOfKey(j);
            if (i != NONE && isSame(i, j)) {
                pair(i, j);
            }
        }
    }

    private boolean isSame(int i, int j) {
        return toOld[j] == NONE && toNow[i] == NONE && versions.oldText(i).equals(versions.nowText(j));
    }

    private void pair(int i, int j) {
        if (toOld[j] == NONE && toNow[i] == NONE) {
            toOld[j] = i;
            toNow[i] = j;
        }
    }

    /** What stands beside something that is known is itself, when it has the text. */
    private void byNeighbours() {
        for (int j = 0; j + 1 < toOld.length; j++) {
            int i = toOld[j] + 1;
            if (toOld[j] != NONE && i < toNow.length && isSame(i, j + 1)) {
                pair(i, j + 1);
            }
        }
        for (int j = toOld.length - 1; j > 0; j--) {
            int i = toOld[j] - 1;
            if (i >= 0 && isSame(i, j - 1)) {
                pair(i, j - 1);
            }
        }
    }

    /** Of several with a text the one that keeps the order between what stands before and what stands behind. */
    private void betweenAnchors(Map<String, List<Integer>> oldPlaces) {
        boolean[] kept = inOrder();
        int[] next = new int[toOld.length];
        int after = toNow.length;
        for (int j = toOld.length - 1; j >= 0; j--) {
            after = kept[j] ? toOld[j] : after;
            next[j] = after;
        }
        int before = NONE;
        for (int j = 0; j < toOld.length; j++) {
            if (kept[j]) {
                before = toOld[j];
            } else if (toOld[j] == NONE) {
                List<Integer> places = oldPlaces.getOrDefault(versions.nowText(j), List.of());
                int at = Collections.binarySearch(places, before + 1);
                for (int k = at < 0 ? -at - 1 : at; k < places.size() && places.get(k) < next[j]; k++) {
                    if (toNow[places.get(k)] == NONE) {
                        pair(places.get(k), j);
                        before = places.get(k);
                        break;
                    }
                }
            }
        }
    }

    /** Those of one text that nothing tells apart keep their order. */
    private void inTurn(List<Integer> there, List<Integer> here) {
        int at = 0;
        for (int j : here) {
            if (toOld[j] == NONE) {
                while (at < there.size() && toNow[there.get(at)] != NONE) {
                    at++;
                }
                if (at == there.size()) {
                    return;
                }
                pair(there.get(at), j);
            }
        }
    }

    int[] toOld() {
        return toOld;
    }

    boolean isOldFree(int i) {
        return toNow[i] == NONE;
    }

    boolean keysAreTrusted() {
        return keysAreTrusted;
    }

    /** For each new segment whether it is among the most that kept their order (a longest increasing subsequence). */
    boolean[] inOrder() {
        int[] tails = new int[toOld.length];
        int[] before = new int[toOld.length];
        int length = 0;
        for (int j = 0; j < toOld.length; j++) {
            if (toOld[j] == NONE) {
                continue;
            }
            int low = 0;
            int high = length;
            while (low < high) {
                int middle = (low + high) / 2;
                if (toOld[tails[middle]] < toOld[j]) {
                    low = middle + 1;
                } else {
                    high = middle;
                }
            }
            before[j] = low == 0 ? NONE : tails[low - 1];
            tails[low] = j;
            length = Math.max(length, low + 1);
        }
        boolean[] kept = new boolean[toOld.length];
        for (int j = length == 0 ? NONE : tails[length - 1]; j != NONE; j = before[j]) {
            kept[j] = true;
        }
        return kept;
    }
}
