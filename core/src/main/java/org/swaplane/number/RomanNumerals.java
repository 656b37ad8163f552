package org.swaplane.number;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Numbers in Roman letters: of two letters or more, of I, V and X, in the one way in which they are written. */
public final class RomanNumerals {
    private static final Pattern NUMERAL =
            Pattern.compile("(?<![\\p{L}\\p{N}])(X{0,3})(IX|IV|V?I{0,3})(?=(?:e|ème|er|o|º|ª)?(?![\\p{L}\\p{N}]))");
    private static final Map<Character, Integer> VALUES = Map.of('I', 1, 'V', 5, 'X', 10);

    private RomanNumerals() {}

    /** One numeral at {@code [start, end)} of the text. */
    public record Numeral(int start, int end, int value) {}

    public static List<Numeral> find(String text) {
        List<Numeral> found = new ArrayList<>();
        if (!hasTwo(text)) {
            return found;
        }
        Matcher matcher = NUMERAL.matcher(text);
        while (matcher.find()) {
            if (matcher.end() - matcher.start() > 1) {
                found.add(new Numeral(matcher.start(), matcher.end(), value(matcher.group())));
            }
        }
        return found;
    }

    private static boolean hasTwo(String text) {
        boolean before = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            boolean here = c == 'I' || c == 'V' || c == 'X';
            if (here && before) {
                return true;
            }
            before = here;
        }
        return false;
    }

    private static int value(String letters) {
        int value = 0;
        for (int i = 0; i < letters.length(); i++) {
            int here = VALUES.get(letters.charAt(i));
            int next = i + 1 < letters.length() ? VALUES.get(letters.charAt(i + 1)) : 0;
            value += here < next ? -here : here;
        }
        return value;
    }
}
