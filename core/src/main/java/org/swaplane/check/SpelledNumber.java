package org.swaplane.check;

import com.ibm.icu.text.RuleBasedNumberFormat;
import com.ibm.icu.util.ULocale;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;

/** Small numbers as words of a language, by the spellout rules of CLDR. */
final class SpelledNumber {
    private static final Map<String, Map<String, Set<String>>> KNOWN = new ConcurrentHashMap<>();
    private static final Pattern SPELLABLE = Pattern.compile("\\d{1,2}|[1-9]0{2,6}");
    /** The same ending in Arabic, where a noun says that there are two of it. */
    private static final Pattern ARABIC_PAIR = Pattern.compile("\\p{L}{2,}(?:ان|ين)(?!\\p{L})");

    private static final Pattern HEBREW_PAIR = Pattern.compile("\\p{L}{2,}יים(?!\\p{L})");

    private SpelledNumber() {}

    /** Whether a whole number of up to two digits, or a round one of up to seven, stands in a text as a word, also with an ending or as one of a row. */
    static boolean isIn(String text, String value, String language) {
        if (!SPELLABLE.matcher(value).matches()) {
            return false;
        }
        ULocale locale = ULocale.forLanguageTag(language);
        return saysOneOf(text, words(locale, value), locale)
                || value.equals("2") && saysPair(text, locale.getLanguage());
    }

    /** Whether a word stands in a text that means a half. */
    static boolean saysHalf(String text, String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        return saysOneOf(text, CountingWords.of(locale.getLanguage(), "half"), locale);
    }

    private static boolean saysPair(String text, String language) {
        return language.equals("ar") && ARABIC_PAIR.matcher(text).find()
                || language.equals("he") && HEBREW_PAIR.matcher(text).find();
    }

    private static boolean saysOneOf(String text, Set<String> words, ULocale locale) {
        // The mark of an access key may stand within a word.
        String plain = plain(text.replaceAll("[~&_](?=\\p{L})", "")).toLowerCase(locale.toLocale());
        boolean spaces = Language.of(locale.toLanguageTag()).hasSpaces()
                && !locale.getLanguage().equals("ko");
        return words.stream().anyMatch(word -> spaces ? containsWord(plain, word) : plain.contains(word));
    }

    private static Set<String> words(ULocale locale, String value) {
        return KNOWN.computeIfAbsent(locale.toLanguageTag(), none -> new ConcurrentHashMap<>())
                .computeIfAbsent(value, number -> spellings(locale, number));
    }

    private static Set<String> spellings(ULocale locale, String value) {
        Set<String> words = new HashSet<>(CountingWords.of(locale.getLanguage(), value));
        RuleBasedNumberFormat spellout = new RuleBasedNumberFormat(locale, RuleBasedNumberFormat.SPELLOUT);
        for (String rules : spellout.getRuleSetNames()) {
            if (rules.startsWith("%spellout-cardinal") || rules.startsWith("%spellout-ordinal")) {
                String word =
                        plain(spellout.format(Long.parseLong(value), rules)).toLowerCase(Locale.ROOT);
                String one = plain(spellout.format(1, rules)).toLowerCase(Locale.ROOT);
                words.add(word);
                // 'tausend' beside 'eintausend'.
                boolean round = value.matches("10{2,}") && word.startsWith(one) && word.length() > one.length() + 2;
                if (round) {
                    words.add(word.substring(one.length()).strip());
                }
                // Arabic numbers drop their last letter beside some nouns.
                if (word.endsWith("\u0629")) {
                    words.add(word.substring(0, word.length() - 1));
                }
            }
        }
        return words;
    }

    /** With one kind of apostrophe, and without marks for the end of a line. */
    private static String plain(String text) {
        return text.replace("\u00AD", "")
                .replace("\u200B", "")
                .replace('\u2019', '\'')
                .replace('\u02BC', '\'');
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
