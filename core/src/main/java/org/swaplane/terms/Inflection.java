package org.swaplane.terms;

import com.ibm.icu.util.ULocale;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Whether a word is another one with another ending. Words are the same when they begin the same and what follows is short: a list
 * names one form, and languages have many. Of some languages more is known. Words are small and without accents.
 */
final class Inflection {
    /** Words up to this length may only have an ending added. */
    private static final int SHORT = 4;

    private static final int LONGEST_ENDING = 3;
    private static final Pattern HAS_DIGIT = Pattern.compile("\\p{Nd}");
    private static final Pattern ENGLISH = Pattern.compile("(?:e?s|['’]s|s['’]|e?d|ing)?");
    /** German verbs end so, and nouns do not. */
    private static final Pattern GERMAN_VERB = Pattern.compile("s?t|te[nrst]?");

    private static final Set<String> WITH_SEPARABLE = Set.of("de", "nl");
    private static final Pattern SEPARABLE = Pattern.compile(
            "(ab|an|auf|aus|bei|ein|fest|her|hin|los|mit|nach|vor|weg|zu|zuruck|zusammen|aan|af|in|mee|op|uit)(\\p{L}{3,}?)e?n");

    private final String language;

    Inflection(String language) {
        this.language = ULocale.forLanguageTag(language).getLanguage();
    }

    boolean isSame(String term, String word) {
        if (term.equals(word)) {
            return true;
        }
        if (HAS_DIGIT.matcher(term).find() || HAS_DIGIT.matcher(word).find()) {
            return false;
        }
        if (language.equals("en")) {
            return isEnglishForm(term, word);
        }
        int same = 0;
        while (same < Math.min(term.length(), word.length()) && term.charAt(same) == word.charAt(same)) {
            same++;
        }
        int least = term.length() <= SHORT ? term.length() : Math.max(SHORT, term.length() - 2);
        int longest = term.length() <= SHORT ? 2 : LONGEST_ENDING;
        return same >= least && word.length() - same <= longest && !isVerb(term, word.substring(same));
    }

    private static boolean isEnglishForm(String term, String word) {
        if (term.endsWith("y") || term.endsWith("e")) {
            String stem = term.substring(0, term.length() - 1);
            if (word.equals(stem + "ies") || word.equals(stem + "ied") || word.equals(stem + "ing")) {
                return true;
            }
        }
        return word.startsWith(term)
                && ENGLISH.matcher(word.substring(term.length())).matches();
    }

    private boolean isVerb(String term, String ending) {
        return language.equals("de")
                && !term.endsWith("t")
                && GERMAN_VERB.matcher(ending).matches();
    }

    /** Whether a word holds the term, as compounds do, or is a form of it. */
    boolean isIn(String term, String word) {
        if (isSame(term, word) || word.contains(term)) {
            return true;
        }
        if (language.equals("en") || term.length() <= SHORT) {
            return false;
        }
        String stem = term.substring(0, Math.max(SHORT, term.length() - 2));
        int at = word.indexOf(stem);
        return at >= 0 && !isVerb(term, word.substring(at + stem.length()));
    }

    /** Whether a verb stands in two pieces, as 'checken Sie ... ein' for 'einchecken'. */
    boolean isSeparated(String term, List<String> words) {
        Matcher verb = SEPARABLE.matcher(term);
        if (!WITH_SEPARABLE.contains(language) || !verb.matches()) {
            return false;
        }
        int begin = words.indexOf(verb.group(1));
        return begin > 0 && words.subList(0, begin).stream().anyMatch(each -> each.startsWith(verb.group(2)));
    }
}
