package org.swaplane.check;

import com.ibm.icu.text.RuleBasedNumberFormat;
import com.ibm.icu.util.ULocale;
import java.util.BitSet;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;

/** Small numbers as words of a language, by the spellout rules of CLDR. */
final class SpelledNumber {
    private static final Map<String, Map<String, Set<String>>> KNOWN = new ConcurrentHashMap<>();
    private static final Pattern SPELLABLE = Pattern.compile("\\d{1,2}|[1-9]\\d?0{2,12}");
    private static final Pattern SPELLABLE_WITH_IDEOGRAPHS = Pattern.compile("\\d{1,4}|[1-9]\\d?0{2,12}");
    /** The same ending in Arabic, where a noun says that there are two of it. */
    private static final Pattern ARABIC_PAIR = Pattern.compile("\\p{L}{2,}(?:ان|ين)(?!\\p{L})");

    private static final Pattern HEBREW_PAIR = Pattern.compile("\\p{L}{2,}יים(?!\\p{L})");
    private static final Pattern ENGLISH_ARTICLE = Pattern.compile("(?i)\\b(?:a|an)\\b");
    /** Languages whose article is the word for one, and those that have such a word where others have none. */
    private static final Set<String> WITH_ARTICLE = Set.of(
            "de", "fr", "es", "it", "pt", "nl", "da", "sv", "nb", "nn", "no", "ca", "gl", "ro", "hu", "el", "af", "lb",
            "en");
    /** Numerals of Korean that are of Chinese origin are syllables of many other words. */
    private static final String NATIVE = "native";

    private static final String COUNTERS = "counters";

    private SpelledNumber() {}

    /** How often words for a number stand in {@code other} that are not the counterparts of such words in {@code one}. */
    static int surplus(UnmatchedNumbers one, UnmatchedNumbers other, String value) {
        int there = count(other.text(), value, other.language());
        if (there == 0) {
            return 0;
        }
        int here = count(one.text(), value, one.language());
        if (!value.equals("1")) {
            return there - here;
        }
        boolean articleHere = hasArticle(one.language());
        boolean articleThere = hasArticle(other.language());
        if (articleHere != articleThere) {
            return isEnglish(one) ? there - here : there;
        }
        return there + articles(other) - here - articles(one);
    }

    private static boolean hasArticle(String language) {
        return WITH_ARTICLE.contains(Language.of(language).code());
    }

    private static boolean isEnglish(UnmatchedNumbers side) {
        return Language.of(side.language()).isOneOf("en");
    }

    private static int articles(UnmatchedNumbers side) {
        return isEnglish(side)
                ? (int) ENGLISH_ARTICLE.matcher(side.text()).results().count()
                : 0;
    }

    /**
     * How often a whole number stands in a text as a word, also with an ending or as one of a row: of up to two digits, a round one of up to
     * fourteen, and in Chinese and Japanese of up to four.
     */
    static int count(String text, String value, String language) {
        boolean ideographs = Language.of(language).isOneOf("zh", "ja", "yue");
        if (!(ideographs ? SPELLABLE_WITH_IDEOGRAPHS : SPELLABLE).matcher(value).matches()) {
            return 0;
        }
        ULocale locale = ULocale.forLanguageTag(language);
        int pairs = value.equals("2") ? pairs(text, locale.getLanguage()) : 0;
        return places(text, words(locale, value), locale, true) + pairs;
    }

    /** Whether a word stands in a text that means a half. */
    static boolean saysHalf(String text, String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        return places(text, CountingWords.of(locale.getLanguage(), "half"), locale, false) > 0;
    }

    /** Whether a text has the one word that some languages have for one and a half. */
    static boolean saysOneAndHalf(UnmatchedNumbers side) {
        ULocale locale = ULocale.forLanguageTag(side.language());
        return places(side.text(), CountingWords.of(locale.getLanguage(), "one-and-half"), locale, false) > 0;
    }

    static boolean saysMidnight(UnmatchedNumbers side) {
        ULocale locale = ULocale.forLanguageTag(side.language());
        return places(side.text(), CountingWords.of(locale.getLanguage(), "midnight"), locale, false) > 0;
    }

    private static int pairs(String text, String language) {
        Pattern pair = language.equals("ar") ? ARABIC_PAIR : language.equals("he") ? HEBREW_PAIR : null;
        return pair == null ? 0 : (int) pair.matcher(text).results().count();
    }

    /** In how many places of the text one of the words stands, in some languages only before what is {@code counted}. */
    private static int places(String text, Set<String> words, ULocale locale, boolean counted) {
        // The mark of an access key may stand within a word.
        String plain = plain(text.replaceAll("[~&_](?=\\p{L})", "")).toLowerCase(locale.toLocale());
        boolean spaces = Language.of(locale.toLanguageTag()).hasSpaces();
        // 'million' within 'one million' is no place of its own.
        BitSet covered = new BitSet();
        for (String word : words) {
            for (int at = plain.indexOf(word); at >= 0; at = plain.indexOf(word, at + 1)) {
                if (spaces ? isWord(plain, at, word, locale) : !counted || isCounted(plain, at, word, locale)) {
                    covered.set(2 * at, 2 * (at + word.length()) - 1);
                }
            }
        }
        int places = 0;
        for (int at = covered.nextSetBit(0); at >= 0; at = covered.nextSetBit(covered.nextClearBit(at))) {
            places++;
        }
        return places;
    }

    private static boolean isWord(String text, int at, String word, ULocale locale) {
        boolean begins = at == 0 || !Character.isLetter(text.charAt(at - 1));
        int end = at + word.length();
        // An ending may follow: 'vier', 'vierte', 'viertes'.
        boolean ends = end >= text.length() || !Character.isLetter(text.charAt(end)) || word.length() > 3;
        return begins && (ends || isCounter(text, end, locale));
    }

    /** One ideograph is a number only before a word that counts, or behind the sign of an ordinal; it is part of many words. */
    private static boolean isCounted(String text, int at, String word, ULocale locale) {
        boolean alone = word.length() > 1
                || CountingWords.of(locale.getLanguage(), COUNTERS).isEmpty()
                || at > 0 && text.charAt(at - 1) == '第';
        return alone || isCounter(text, at + word.length(), locale);
    }

    private static boolean isCounter(String text, int at, ULocale locale) {
        return at < text.length()
                && CountingWords.of(locale.getLanguage(), COUNTERS).contains(text.substring(at, at + 1));
    }

    private static Set<String> words(ULocale locale, String value) {
        return KNOWN.computeIfAbsent(locale.toLanguageTag(), none -> new ConcurrentHashMap<>())
                .computeIfAbsent(value, number -> spellings(locale, number));
    }

    private static Set<String> spellings(ULocale locale, String value) {
        Set<String> words = new HashSet<>(CountingWords.of(locale.getLanguage(), value));
        RuleBasedNumberFormat spellout = new RuleBasedNumberFormat(locale, RuleBasedNumberFormat.SPELLOUT);
        boolean sinoKorean = locale.getLanguage().equals("ko");
        for (String rules : spellout.getRuleSetNames()) {
            if (rules.startsWith("%spellout-cardinal") || rules.startsWith("%spellout-ordinal")) {
                String word =
                        plain(spellout.format(Long.parseLong(value), rules)).toLowerCase(Locale.ROOT);
                if (sinoKorean && word.length() == 1 && !rules.contains(NATIVE)) {
                    continue;
                }
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

    /** With one kind of apostrophe, without marks for the end of a line, and 'twenty-four' as two words. */
    private static String plain(String text) {
        return text.replace("\u00AD", "")
                .replace("\u200B", "")
                .replace('\u2019', '\'')
                .replace('\u02BC', '\'')
                .replace('-', ' ');
    }
}
