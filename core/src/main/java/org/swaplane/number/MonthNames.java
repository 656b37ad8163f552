package org.swaplane.number;

import com.ibm.icu.text.DateFormatSymbols;
import com.ibm.icu.util.ULocale;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** The names of the months in a language, from CLDR. */
public final class MonthNames {
    private static final Map<String, MonthNames> KNOWN = new ConcurrentHashMap<>();
    private static final int SHORTEST = 3;

    private final Set<String>[] names;

    @SuppressWarnings("unchecked")
    private MonthNames(String language) {
        DateFormatSymbols symbols = new DateFormatSymbols(ULocale.forLanguageTag(language));
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
