package org.swaplane.number;

import com.ibm.icu.text.DateFormatSymbols;
import com.ibm.icu.text.SimpleDateFormat;
import com.ibm.icu.util.Calendar;
import com.ibm.icu.util.TimeZone;
import com.ibm.icu.util.ULocale;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

/** The words by which a language tells the hours after noon from those before it, from CLDR. */
public final class DayPeriods {
    private static final Map<String, DayPeriods> KNOWN = new ConcurrentHashMap<>();
    private static final int NOON = 12;
    /** Shorter ones are no names of an hour but of half a day. */
    private static final int SHORTEST_NAME = 4;
    /** Characters of a word before an hour. */
    private static final int LONGEST = 8;

    private final Set<String> morning;
    private final Set<String> afternoon;
    private final Set<String> noon;

    private DayPeriods(String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        this.morning = words(locale, 0);
        this.afternoon = words(locale, NOON);
        Set<String> both = new TreeSet<>(morning);
        both.retainAll(afternoon);
        morning.removeAll(both);
        afternoon.removeAll(both);
        this.noon = noon(locale);
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
        // 'evening' for 'in the evening'.
        List.copyOf(words).stream()
                .map(word -> word.substring(word.lastIndexOf(' ') + 1))
                .filter(last -> last.length() > SHORTEST_NAME)
                .forEach(words::add);
        words.removeIf(String::isBlank);
        return words;
    }

    /** The names of noon, where the language has some. */
    private static Set<String> noon(ULocale locale) {
        Set<String> names = new TreeSet<>();
        Calendar time = Calendar.getInstance(TimeZone.GMT_ZONE, locale);
        time.clear();
        time.set(Calendar.HOUR_OF_DAY, NOON);
        for (String pattern : List.of("bbbb", "b")) {
            SimpleDateFormat periods = new SimpleDateFormat(pattern, locale);
            periods.setCalendar(time);
            names.add(small(periods.format(time)));
        }
        String half = small(new DateFormatSymbols(locale).getAmPmStrings()[1]);
        names.removeIf(
                name -> name.equals(half) || name.length() < SHORTEST_NAME && !Character.isIdeographic(name.charAt(0)));
        return names;
    }

    private static String small(String word) {
        return word.toLowerCase(java.util.Locale.ROOT).replace('\u00A0', ' ').replace('\u202F', ' ');
    }

    /** Whether a word of the text says that its hours are those after noon. */
    public boolean sayAfternoon(String text) {
        return says(text, afternoon);
    }

    /** Whether the text names noon. */
    public boolean sayNoon(String text) {
        return says(text, noon);
    }

    private static boolean says(String text, Set<String> words) {
        String small = small(text);
        return words.stream().anyMatch(word -> contains(small, word));
    }

    /** 'a' or 'p' where the half of the day stands right before {@code at}, perhaps with a blank; else 0. */
    char halfBefore(String text, int at) {
        int end = at > 0 && Notation.isBlank(text.charAt(at - 1)) ? at - 1 : at;
        String before = text.substring(Math.max(0, end - LONGEST), end);
        return endsWith(before, morning) ? 'a' : endsWith(before, afternoon) ? 'p' : 0;
    }

    private static boolean endsWith(String text, Set<String> words) {
        return words.stream().anyMatch(text::endsWith);
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
