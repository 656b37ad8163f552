package org.swaplane.compare;

import com.github.difflib.DiffUtils;
import com.github.difflib.patch.AbstractDelta;
import com.github.difflib.patch.Chunk;
import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;

/** Which parts of two texts differ, word by word (UAX #29), so that no character is cut. */
public record TextDifference(List<Span> before, List<Span> after) {
    /** Of texts beyond so many characters only whether they differ is told, since comparing their words takes long. */
    private static final int LONGEST = 20_000;

    public TextDifference {
        before = List.copyOf(before);
        after = List.copyOf(after);
    }

    public static TextDifference between(String before, String after) {
        if (Math.max(before.length(), after.length()) > LONGEST) {
            return whole(before, after);
        }
        List<String> left = words(before);
        List<String> right = words(after);
        List<Span> inBefore = new ArrayList<>();
        List<Span> inAfter = new ArrayList<>();
        for (AbstractDelta<String> delta : DiffUtils.diff(left, right).getDeltas()) {
            add(inBefore, left, delta.getSource());
            add(inAfter, right, delta.getTarget());
        }
        return new TextDifference(inBefore, inAfter);
    }

    private static TextDifference whole(String before, String after) {
        boolean same = before.equals(after);
        return new TextDifference(
                same || before.isEmpty() ? List.of() : List.of(new Span(0, before.length())),
                same || after.isEmpty() ? List.of() : List.of(new Span(0, after.length())));
    }

    private static void add(List<Span> spans, List<String> words, Chunk<String> chunk) {
        int start = length(words.subList(0, chunk.getPosition()));
        int end = start + length(chunk.getLines());
        if (end > start) {
            spans.add(new Span(start, end));
        }
    }

    private static int length(List<String> words) {
        return words.stream().mapToInt(String::length).sum();
    }

    private static List<String> words(String text) {
        BreakIterator words = BreakIterator.getWordInstance(ULocale.ROOT);
        words.setText(text);
        List<String> result = new ArrayList<>();
        int start = words.first();
        for (int end = words.next(); end != BreakIterator.DONE; start = end, end = words.next()) {
            result.add(text.substring(start, end));
        }
        return result;
    }
}
