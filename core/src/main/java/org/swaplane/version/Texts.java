package org.swaplane.version;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.swaplane.compare.Symbols;
import org.swaplane.content.UnspacedScript;

/** Symbols and words of the segments that changed, made once; of the many that did not nothing is kept. */
final class Texts {
    private final Versions versions;
    private final Map<Integer, int[]> old = new HashMap<>();
    private final Map<Integer, int[]> now = new HashMap<>();
    private final Map<Integer, String[]> oldWords = new HashMap<>();
    private final Map<Integer, String[]> nowWords = new HashMap<>();
    private final Map<Integer, Set<String>> oldSets = new HashMap<>();
    private final Map<Integer, Set<String>> nowSets = new HashMap<>();
    private final BreakIterator breaks = BreakIterator.getWordInstance(ULocale.ROOT);

    Texts(Versions versions) {
        this.versions = versions;
    }

    int[] old(int index) {
        return old.computeIfAbsent(index, i -> Symbols.ofMeaning(versions.old(i).source()));
    }

    int[] now(int index) {
        return now.computeIfAbsent(index, i -> Symbols.ofMeaning(versions.now(i).source()));
    }

    String[] oldWords(int index) {
        return oldWords.computeIfAbsent(
                index, i -> words(versions.old(i).source().plainText()));
    }

    String[] nowWords(int index) {
        return nowWords.computeIfAbsent(
                index, i -> words(versions.now(i).source().plainText()));
    }

    /** Neighbouring segments as the one that they were or became, with the space between them where the script has one. */
    int[] joinedOld(List<Integer> indexes) {
        return joined(
                indexes.stream().map(this::old).toList(),
                indexes.stream().map(i -> versions.old(i).source().plainText()).toList());
    }

    int[] joinedNow(List<Integer> indexes) {
        return joined(
                indexes.stream().map(this::now).toList(),
                indexes.stream().map(j -> versions.now(j).source().plainText()).toList());
    }

    private static int[] joined(List<int[]> parts, List<String> texts) {
        int[] all = new int[parts.stream().mapToInt(part -> part.length).sum() + parts.size()];
        int at = 0;
        for (int k = 0; k < parts.size(); k++) {
            if (k > 0 && UnspacedScript.needsSpaceBetween(texts.get(k - 1), texts.get(k))) {
                all[at++] = ' ';
            }
            System.arraycopy(parts.get(k), 0, all, at, parts.get(k).length);
            at += parts.get(k).length;
        }
        return java.util.Arrays.copyOf(all, at);
    }

    /** How many of their words two texts share, of all that they have (Dice's coefficient over the different ones). */
    double sharedWords(int i, int j) {
        Set<String> those = oldSets.computeIfAbsent(i, index -> Set.copyOf(List.of(oldWords(index))));
        Set<String> these = nowSets.computeIfAbsent(j, index -> Set.copyOf(List.of(nowWords(index))));
        long shared = these.stream().filter(those::contains).count();
        return those.size() + these.size() == 0 ? 1 : 2.0 * shared / (those.size() + these.size());
    }

    private String[] words(String text) {
        breaks.setText(text);
        List<String> words = new ArrayList<>();
        int start = breaks.first();
        for (int end = breaks.next(); end != BreakIterator.DONE; start = end, end = breaks.next()) {
            if (breaks.getRuleStatus() >= BreakIterator.WORD_NUMBER) {
                words.add(text.substring(start, end));
            }
        }
        return words.toArray(String[]::new);
    }
}
