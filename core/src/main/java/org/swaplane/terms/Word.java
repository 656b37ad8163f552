package org.swaplane.terms;

import com.ibm.icu.text.Normalizer2;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A word at {@code [start, end)} of a text.
 *
 * @param small in small letters
 * @param folded in small letters without accents, so that 'Hafen' is found in 'Häfen'
 */
record Word(String small, String folded, int start, int end) {
    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}\\p{N}]+(?:['’-][\\p{L}\\p{M}\\p{N}]+)*");

    static List<Word> in(String text) {
        List<Word> words = new ArrayList<>();
        Matcher matcher = WORD.matcher(text);
        while (matcher.find()) {
            String small = matcher.group().toLowerCase(Locale.ROOT);
            words.add(new Word(small, fold(small), matcher.start(), matcher.end()));
        }
        return words;
    }

    /** Without accents. */
    static String fold(String small) {
        return small.chars().allMatch(c -> c < 0x80)
                ? small
                : Normalizer2.getNFDInstance().normalize(small).replaceAll("\\p{Mn}+", "");
    }
}
