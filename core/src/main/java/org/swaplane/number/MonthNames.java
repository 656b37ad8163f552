package org.swaplane.number;

import com.ibm.icu.text.DateFormatSymbols;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The names of the months in a language, from CLDR. */
public final class MonthNames {
    private static final Map<String, MonthNames> KNOWN = new ConcurrentHashMap<>();
    private static final int SHORTEST = 3;

    /** Beside a number, perhaps with a mark, an ending or a preposition between them. */
    private static final Pattern BEHIND_NUMBER = Pattern.compile(
            "\\p{Nd}(?:\\.|[\u00BA\u00AA]|-?\\p{L}{1,3})?[\\s\u00A0\u202F]+(?:(?:of|de|d')[\\s\u00A0]*)?$");

    private static final Pattern BEFORE_NUMBER =
            Pattern.compile("[.,]?[\\s\u00A0\u202F]+(?:(?:of|de|del)[\\s\u00A0]+)?\\p{Nd}");
    private static final Pattern WORD = Pattern.compile("\\p{L}[\\p{L}\\p{M}]*");
    /** From here on a name may have an ending of up to three letters. */
    private static final int STEM = 5;

    private static final int ENDING = 3;
    /** Characters before a name in which its number must stand. */
    private static final int NEAR = 12;

    private final Set<String>[] names;
    private final Map<String, Integer> whole = new HashMap<>();
    private final boolean capitalised;

    @SuppressWarnings("unchecked")
    private MonthNames(String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        DateFormatSymbols symbols = new DateFormatSymbols(locale);
        // 'may' and 'march' are other words.
        capitalised = locale.getLanguage().equals("en");
        names = new Set[12];
        for (int month = 0; month < names.length; month++) {
            names[month] = new HashSet<>();
            for (int context : new int[] {DateFormatSymbols.FORMAT, DateFormatSymbols.STANDALONE}) {
                for (int width : new int[] {DateFormatSymbols.WIDE, DateFormatSymbols.ABBREVIATED}) {
                    String name = symbols.getMonths(context, width)[month]
                            .toLowerCase(Locale.ROOT)
                            .replaceFirst("\\.$", "");
                    if (name.length() >= SHORTEST) {
                        names[month].add(name);
                    }
                    if (width == DateFormatSymbols.WIDE && name.length() >= SHORTEST) {
                        whole.put(name, month + 1);
                    }
                }
            }
        }
    }

    public static MonthNames of(String language) {
        return KNOWN.computeIfAbsent(language, MonthNames::new);
    }

    /** Whether the text names this month, 1 to 12. */
    public boolean isIn(String text, int month) {
        String small = text.toLowerCase(Locale.ROOT);
        return names[month - 1].stream().anyMatch(name -> beginsWord(small, name));
    }

    /** A month, 1 to 12, whose name stands at {@code [start, end)} of a text. */
    public record Named(int start, int end, int month) {}

    /** The whole names that belong to a date, a number of a day or year being beside them. */
    public List<Named> inDates(String text) {
        List<Named> found = new ArrayList<>();
        if (whole.isEmpty() || text.chars().noneMatch(Character::isDigit)) {
            return found;
        }
        Matcher word = WORD.matcher(text);
        while (word.find()) {
            int month = monthOf(word.group());
            boolean dated = month > 0
                    && (BEHIND_NUMBER
                                    .matcher(text.substring(Math.max(0, word.start() - NEAR), word.start()))
                                    .find()
                            || BEFORE_NUMBER
                                    .matcher(text)
                                    .region(word.end(), text.length())
                                    .lookingAt());
            if (dated) {
                found.add(new Named(word.start(), word.end(), month));
            }
        }
        return found;
    }

    private int monthOf(String word) {
        if (capitalised && !Character.isUpperCase(word.charAt(0))) {
            return 0;
        }
        String small = word.toLowerCase(Locale.ROOT);
        for (int end = small.length(); end >= Math.max(STEM, small.length() - ENDING); end--) {
            Integer month = whole.get(small.substring(0, end));
            if (month != null) {
                return month;
            }
        }
        return whole.getOrDefault(small, 0);
    }

    /** Names have endings in many languages; digits and ideographs before them belong to another word. */
    private static boolean beginsWord(String text, String name) {
        for (int at = text.indexOf(name); at >= 0; at = text.indexOf(name, at + 1)) {
            if (at == 0
                    || !Character.isLetter(text.charAt(at - 1))
                    || Character.isIdeographic(text.charAt(at - 1))
                    || !Character.isLetter(name.charAt(0))) {
                return true;
            }
        }
        return false;
    }
}
