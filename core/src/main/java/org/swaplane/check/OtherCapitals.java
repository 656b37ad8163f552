package org.swaplane.check;

import com.ibm.icu.text.DateFormatSymbols;
import com.ibm.icu.util.ULocale;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** Words that some languages write with a capital letter and others without: days, months, languages. From CLDR. */
final class OtherCapitals {
    private static final Map<String, OtherCapitals> KNOWN = new ConcurrentHashMap<>();

    private final Set<String> words = new HashSet<>();

    private OtherCapitals(String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        DateFormatSymbols symbols = new DateFormatSymbols(locale);
        for (int context : new int[] {DateFormatSymbols.FORMAT, DateFormatSymbols.STANDALONE}) {
            for (int width : new int[] {DateFormatSymbols.WIDE, DateFormatSymbols.ABBREVIATED}) {
                add(symbols.getMonths(context, width));
                add(symbols.getWeekdays(context, width));
            }
        }
        for (String code : ULocale.getISOLanguages()) {
            add(ULocale.getDisplayLanguage(code, locale));
        }
    }

    private void add(String... names) {
        for (String name : names) {
            words.add(name.toLowerCase(Locale.ROOT));
        }
    }

    static OtherCapitals of(String language) {
        return KNOWN.computeIfAbsent(language, OtherCapitals::new);
    }

    boolean contain(String small) {
        return words.contains(small);
    }
}
