package org.swaplane.version;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.swaplane.compare.Symbols;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;

/** The segments of two versions, and what is asked of them again and again. */
final class Versions {
    static final int NONE = -1;

    private final List<Segment> old;
    private final List<Segment> now;
    private final String[] oldTexts;
    private final String[] nowTexts;
    private final Map<String, Integer> oldByKey;
    private final BilingualDocument before;
    private final BilingualDocument after;
    private final boolean severalLanguages;

    Versions(BilingualDocument before, BilingualDocument after) {
        this.before = before;
        this.after = after;
        old = before.segments();
        now = after.segments();
        // A file may hold one source for several languages, and each is translated on its own.
        severalLanguages = languages(before) > 1 || languages(after) > 1;
        oldTexts = texts(before, severalLanguages);
        nowTexts = texts(after, severalLanguages);
        oldByKey = new HashMap<>(old.size() * 2);
        for (int i = 0; i < old.size(); i++) {
            oldByKey.put(old.get(i).key(), i);
        }
    }

    private static long languages(BilingualDocument document) {
        return document.parts().stream().map(Part::targetLanguage).distinct().count();
    }

    private static String[] texts(BilingualDocument document, boolean several) {
        return document.segments().stream()
                .map(segment -> {
                    String text = Symbols.written(segment.source());
                    return several ? document.parts().get(segment.part()).targetLanguage() + '\n' + text : text;
                })
                .toArray(String[]::new);
    }

    int oldSize() {
        return old.size();
    }

    int nowSize() {
        return now.size();
    }

    String oldText(int index) {
        return oldTexts[index];
    }

    String nowText(int index) {
        return nowTexts[index];
    }

    Segment old(int index) {
        return old.get(index);
    }

    Segment now(int index) {
        return now.get(index);
    }

    boolean areOfOneLanguage(int i, int j) {
        return !severalLanguages
                || before.parts()
                        .get(old.get(i).part())
                        .targetLanguage()
                        .equals(after.parts().get(now.get(j).part()).targetLanguage());
    }

    /** The old segment with the key of a new one. */
    int oldOfKey(int index) {
        return oldByKey.getOrDefault(now.get(index).key(), NONE);
    }

    /** Where each text stands in the old version. */
    Map<String, List<Integer>> oldPlaces() {
        return IntStream.range(0, old.size()).boxed().collect(Collectors.groupingBy(index -> oldTexts[index]));
    }

    Map<String, List<Integer>> nowPlaces() {
        return IntStream.range(0, now.size()).boxed().collect(Collectors.groupingBy(index -> nowTexts[index]));
    }
}
