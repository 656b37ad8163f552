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
import java.util.regex.Pattern;

/** The names of the months in a language, from CLDR. */
public final class MonthNames {
    private static final Map<String, MonthNames> KNOWN = new ConcurrentHashMap<>();
    private static final int SHORTEST = 3;

    /** What may stand between a number and a name. */
    private static final Set<String> LINKS = Set.of("of", "de", "del");

    /** From here on a name may have an ending of up to three letters. */
    private static final int STEM = 5;

    private static final int ENDING = 3;
    private final Set<String>[] names;
    private final Map<String, Integer> whole = new HashMap<>();
    private final Set<String> withDigits = new HashSet<>();
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
                    if (name.matches(".*\\d.*")) {
                        withDigits.add(name);
                    } else if (name.length() >= SHORTEST) {
                        names[month].add(name);
                    }
                    if (width == DateFormatSymbols.WIDE && name.length() >= SHORTEST && !withDigits.contains(name)) {
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

    /** Whether the text names this month with digits, as '4\u6708' and 'tháng 4' do. */
    public boolean isInWithDigits(String text, int month) {
        String small = text.toLowerCase(Locale.ROOT);
        return withDigits.stream()
                .filter(name -> name.replaceAll("\\D", "").equals(String.valueOf(month)))
                .anyMatch(name -> Pattern.compile("(?<!\\p{Nd})0?" + Pattern.quote(name) + "(?!(?<=\\d)\\p{Nd})")
                        .matcher(small)
                        .find());
    }

    /** A month, 1 to 12, whose name stands at {@code [start, end)} of a text. */
    public record Named(int start, int end, int month) {}

    /** The whole names that belong to a date, a number of a day or year being beside them. */
    public List<Named> inDates(String text) {
        List<Named> found = new ArrayList<>();
        for (int at = 0; at < text.length() && !whole.isEmpty(); at++) {
            // Words are asked for only beside digits, since most texts have no date.
            if (Character.isDigit(text.charAt(at))) {
                addBefore(text, at, found);
                while (at < text.length() && Character.isDigit(text.charAt(at))) {
                    at++;
                }
                addBehind(text, at, found);
            }
        }
        return found;
    }

    /** 'May 5' and 'mayo de 2026'. */
    private void addBefore(String text, int digits, List<Named> found) {
        int end = blanksBefore(text, digits);
        int start = wordBefore(text, end);
        if (end < digits && LINKS.contains(text.substring(start, end))) {
            end = blanksBefore(text, start);
            start = wordBefore(text, end);
        }
        if (end < digits && start < end) {
            add(text, start, end, found);
        }
    }

    private static int blanksBefore(String text, int end) {
        int at = end;
        while (at > 0 && (isBlank(text.charAt(at - 1)) || ".,".indexOf(text.charAt(at - 1)) >= 0)) {
            at--;
        }
        return at;
    }

    private static int wordBefore(String text, int end) {
        int at = end;
        while (at > 0 && isOfWord(text.charAt(at - 1))) {
            at--;
        }
        return at;
    }

    /** '5 May', '5th of May', '5. Mai', '5 d’agost'. */
    private void addBehind(String text, int digits, List<Named> found) {
        int mark = digits < text.length() && ".-\u00BA\u00AA".indexOf(text.charAt(digits)) >= 0 ? digits + 1 : digits;
        int ending = wordEnd(text, mark);
        int start = blanksEnd(text, ending - mark <= ENDING ? ending : mark);
        if (start == ending || start == mark) {
            return;
        }
        int end = wordEnd(text, start);
        boolean elided = end == start + 1 && end < text.length() && "'\u2019".indexOf(text.charAt(end)) >= 0;
        if (elided || LINKS.contains(text.substring(start, end))) {
            start = elided ? end + 1 : blanksEnd(text, end);
            end = wordEnd(text, start);
        }
        if (start < end) {
            add(text, start, end, found);
        }
    }

    private static int blanksEnd(String text, int start) {
        int at = start;
        while (at < text.length() && isBlank(text.charAt(at))) {
            at++;
        }
        return at;
    }

    private static int wordEnd(String text, int start) {
        int at = start;
        while (at < text.length() && isOfWord(text.charAt(at))) {
            at++;
        }
        return at;
    }

    private static boolean isBlank(char c) {
        return Character.isWhitespace(c) || Character.isSpaceChar(c);
    }

    private static boolean isOfWord(char c) {
        return Character.isLetter(c) || Character.getType(c) == Character.NON_SPACING_MARK;
    }

    private void add(String text, int start, int end, List<Named> found) {
        int month = monthOf(text.substring(start, end));
        Named named = new Named(start, end, month);
        if (month > 0 && !found.contains(named)) {
            found.add(named);
        }
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
