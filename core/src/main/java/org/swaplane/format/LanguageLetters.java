package org.swaplane.format;

import com.ibm.icu.text.DateFormatSymbols;
import com.ibm.icu.text.LocaleDisplayNames;
import com.ibm.icu.text.UnicodeSet;
import com.ibm.icu.util.LocaleData;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The letters of a language and how they follow each other, from CLDR: its exemplar characters, and its names of countries, languages,
 * months and days. Enough to tell text from garbage. Thread-safe.
 */
final class LanguageLetters {
    private static final Map<String, LanguageLetters> BY_LANGUAGE = new ConcurrentHashMap<>();
    private static final Pattern WORD =
            Pattern.compile("[\\p{L}\\p{M}'\u2019]*[\\p{L}\\p{M}&&[^\\p{ASCII}]][\\p{L}\\p{M}'\u2019]*");
    private static final Pattern ODD = Pattern.compile(
            "[\\p{Cc}&&[^\\t\\r\\n\\f]]|[\\u2500-\\u25FF]|(?<=\\p{L})[\u00A1-\u00AC\u00AE-\u00B6\u00B8-\u00BF\u00D7\u00F7\u2020\u2021\u2030\u20AC](?=\\p{L})|(?<=\\p{Ll})\\p{Lu}(?=\\p{Ll})");
    private static final char EDGE = ' ';
    private static final double STRANGE = -4;
    private static final double NEVER_SEEN = -3;
    private static final int MOST_WORDS = 400;

    private final UnicodeSet letters;
    private final Map<String, Double> pairs = new HashMap<>();

    private LanguageLetters(String language) {
        ULocale locale = new ULocale(language);
        letters = new UnicodeSet(LocaleData.getExemplarSet(locale, 0, LocaleData.ES_STANDARD))
                .addAll(LocaleData.getExemplarSet(locale, 0, LocaleData.ES_AUXILIARY))
                .closeOver(UnicodeSet.CASE);
        Map<String, Integer> counts = new HashMap<>();
        Map<Character, Integer> firsts = new HashMap<>();
        for (String name : names(locale)) {
            String word = EDGE + name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{M}]+", " ") + EDGE;
            for (int i = 1; i < word.length(); i++) {
                counts.merge(word.substring(i - 1, i + 1), 1, Integer::sum);
                firsts.merge(word.charAt(i - 1), 1, Integer::sum);
            }
        }
        counts.forEach((pair, count) -> pairs.put(pair, Math.log10((double) count / firsts.get(pair.charAt(0)))));
    }

    private static List<String> names(ULocale locale) {
        List<String> names = new ArrayList<>();
        LocaleDisplayNames display = LocaleDisplayNames.getInstance(locale);
        for (String region : Locale.getISOCountries()) {
            names.add(display.regionDisplayName(region));
        }
        for (String language : Locale.getISOLanguages()) {
            names.add(display.languageDisplayName(language));
        }
        DateFormatSymbols symbols = new DateFormatSymbols(locale);
        names.addAll(List.of(symbols.getMonths()));
        names.addAll(List.of(symbols.getWeekdays()));
        return names;
    }

    static LanguageLetters of(String language) {
        return BY_LANGUAGE.computeIfAbsent(language, LanguageLetters::new);
    }

    /** The words of a text that have a letter beyond ASCII, up to some hundreds. */
    static List<String> wordsBeyondAscii(String text) {
        List<String> words = new ArrayList<>();
        Matcher word = WORD.matcher(text);
        while (words.size() < MOST_WORDS && word.find()) {
            words.add(word.group());
        }
        return words;
    }

    /** What no text has, in relation to its letters beyond ASCII: control characters, frames, signs and capitals within words. */
    static double oddities(String text) {
        long beyond = text.chars().filter(c -> c > 0x7F).count();
        long odd = ODD.matcher(text).results().count();
        return beyond == 0 ? 0 : Math.min(8, 8.0 * odd / beyond);
    }

    /** How well words fit, as the mean over pairs of letters; 0 is the best there could be. */
    double score(List<String> words) {
        double sum = 0;
        int count = 0;
        for (String each : words) {
            String word = EDGE + each.toLowerCase(Locale.ROOT) + EDGE;
            for (int i = 1; i < word.length(); i++) {
                boolean concerned = word.charAt(i) > 0x7F || word.charAt(i - 1) > 0x7F;
                if (concerned) {
                    sum += score(word.charAt(i - 1), word.charAt(i));
                    count++;
                }
            }
        }
        return count == 0 ? STRANGE : sum / count;
    }

    private double score(char first, char second) {
        boolean strange = first > 0x7F && !letters.contains(first) || second > 0x7F && !letters.contains(second);
        return strange ? STRANGE : Math.max(NEVER_SEEN, pairs.getOrDefault("" + first + second, NEVER_SEEN));
    }
}
