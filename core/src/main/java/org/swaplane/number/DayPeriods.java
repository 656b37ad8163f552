package org.swaplane.number;

import com.ibm.icu.text.DateFormatSymbols;
import com.ibm.icu.text.SimpleDateFormat;
import com.ibm.icu.util.Calendar;
import com.ibm.icu.util.TimeZone;
import com.ibm.icu.util.ULocale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

/** The words by which a language tells the hours after noon from those before it, from CLDR. */
public final class DayPeriods {
    private static final Map<String, DayPeriods> KNOWN = new ConcurrentHashMap<>();
    private static final int NOON = 12;

    private final Set<String> afternoon;

    private DayPeriods(String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        Set<String> morning = words(locale, 0);
        this.afternoon = words(locale, NOON);
        afternoon.removeAll(morning);
        afternoon.removeIf(String::isBlank);
    }

    public static DayPeriods of(String language) {
        return KNOWN.computeIfAbsent(language, DayPeriods::new);
    }

    /** What stands beside the twelve hours from this one on. */
    private static Set<String> words(ULocale locale, int first) {
        Set<String> words = new TreeSet<>();
        words.add(small(new DateFormatSymbols(locale).getAmPmStrings()[first / NOON]));
        SimpleDateFormat periods = new SimpleDateFormat("BBBB", locale);
        Calendar time = Calendar.getInstance(TimeZone.GMT_ZONE, locale);
        periods.setCalendar(time);
        for (int hour = first; hour < first + NOON; hour++) {
            time.set(Calendar.HOUR_OF_DAY, hour);
            // Noon alone is no half of the day: '12:30' has no other reading.
            if (hour != NOON) {
                words.add(small(periods.format(time)));
            }
        }
        return words;
    }

    private static String small(String word) {
        return word.toLowerCase(java.util.Locale.ROOT).replace('\u00A0', ' ').replace('\u202F', ' ');
    }

    /** Whether a word of the text says that its hours are those after noon. */
    public boolean sayAfternoon(String text) {
        String small = small(text);
        return afternoon.stream().anyMatch(word -> contains(small, word));
    }

    private static boolean contains(String text, String word) {
        for (int at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + 1)) {
            int end = at + word.length();
            boolean begins = at == 0 || !isLetterLike(text, at - 1, word.charAt(0));
            boolean ends = end == text.length() || !isLetterLike(text, end, word.charAt(word.length() - 1));
            if (begins && ends) {
                return true;
            }
        }
        return false;
    }

    /** Whether a word goes on here; ideographs stand beside others without being one word. */
    private static boolean isLetterLike(String text, int at, char border) {
        return Character.isLetter(text.charAt(at)) && !Character.isIdeographic(border) && border < '\uAC00';
    }
}
