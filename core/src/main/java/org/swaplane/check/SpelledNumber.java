package org.swaplane.check;

import com.ibm.icu.text.RuleBasedNumberFormat;
import com.ibm.icu.util.ULocale;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** Small numbers as words of a language, by the spellout rules of CLDR. */
final class SpelledNumber {
    private static final Map<String, Map<String, Set<String>>> KNOWN = new ConcurrentHashMap<>();
    /** Words that count without being numbers. */
    private static final Map<String, Set<String>> COUNTING = Map.of(
            "en 1", Set.of("once", "single", "another"),
            "en 2", Set.of("twice", "double", "both", "pair", "couple"),
            "en 12", Set.of("dozen"),
            "en 50", Set.of("fifties"),
            "en 60", Set.of("sixties"),
            "en 80", Set.of("eighties"));

    private SpelledNumber() {}

    /** Whether a whole number of up to two digits, or a round one of up to four, stands in a text as a word, also with an ending or as one of a row. */
    static boolean isIn(String text, String value, String language) {
        if (!value.matches("\\d{1,2}|[1-9]0{2,3}")) {
            return false;
        }
        ULocale locale = ULocale.forLanguageTag(language);
        // The mark of an access key may stand within a word.
        String plain = plain(text.replaceAll("[~&_](?=\\p{L})", "")).toLowerCase(locale.toLocale());
        boolean spaces =
                Language.of(language).hasSpaces() && !locale.getLanguage().equals("ko");
        return words(locale, value).stream()
                .anyMatch(word -> spaces ? containsWord(plain, word) : plain.contains(word));
    }

    private static Set<String> words(ULocale locale, String value) {
        return KNOWN.computeIfAbsent(locale.toLanguageTag(), none -> new ConcurrentHashMap<>())
                .computeIfAbsent(value, number -> spellings(locale, number));
    }

    private static Set<String> spellings(ULocale locale, String value) {
        Set<String> words = new HashSet<>(COUNTING.getOrDefault(locale.getLanguage() + ' ' + value, Set.of()));
        RuleBasedNumberFormat spellout = new RuleBasedNumberFormat(locale, RuleBasedNumberFormat.SPELLOUT);
        for (String rules : spellout.getRuleSetNames()) {
            if (rules.startsWith("%spellout-cardinal") || rules.startsWith("%spellout-ordinal")) {
                words.add(plain(spellout.format(Long.parseLong(value), rules)).toLowerCase(Locale.ROOT));
            }
        }
        return words;
    }

    /** With one kind of apostrophe, and without marks for the end of a line. */
    private static String plain(String text) {
        return text.replace("\u00AD", "").replace('\u2019', '\'').replace('\u02BC', '\'');
    }

    private static boolean containsWord(String text, String word) {
        for (int at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + 1)) {
            boolean begins = at == 0 || !Character.isLetter(text.charAt(at - 1));
            int end = at + word.length();
            // An ending may follow: 'vier', 'vierte', 'viertes'.
            boolean ends = end >= text.length() || !Character.isLetter(text.charAt(end)) || word.length() > 3;
            if (begins && ends) {
                return true;
            }
        }
        return false;
    }
}
