package org.swaplane.terms;

import com.ibm.icu.util.ULocale;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Whether a word is another one with another ending: a list names one form, and languages have many. Forms of a word have one stem. Where
 * stems change too, or there is no stemmer, words are also the same when they begin the same and what follows is short.
 */
final class Inflection {
    /** Words up to this length may only have an ending added. */
    private static final int SHORT = 4;

    private static final int LONGEST_ENDING = 3;
    private static final int SHORTEST_PART = 3;
    private static final Pattern HAS_DIGIT = Pattern.compile("\\p{Nd}");

    /** Their words keep their stems in nearly all forms. */
    private static final Set<String> STEMS_SUFFICE =
            Set.of("ca", "da", "de", "en", "es", "fr", "gl", "it", "nb", "nl", "no", "pt", "sv");

    private static final Set<String> WITH_SEPARABLE = Set.of("de", "nl");
    private static final Pattern SEPARABLE = Pattern.compile(
            "(ab|an|auf|aus|bei|ein|fest|her|hin|los|mit|nach|vor|weg|zu|zuruck|zusammen|aan|af|in|mee|op|uit)(\\p{L}{3,}?)e?n");

    private final String language;
    private final Optional<Stems> stems;

    Inflection(String language) {
        this.language = ULocale.forLanguageTag(language).getLanguage();
        this.stems = Stems.of(this.language);
    }

    boolean isSame(Word term, Word word) {
        if (term.folded().equals(word.folded())) {
            return true;
        }
        if (HAS_DIGIT.matcher(term.folded()).find()
                || HAS_DIGIT.matcher(word.folded()).find()) {
            return false;
        }
        return stems.filter(all -> stem(all, term).equals(stem(all, word))).isPresent()
                || !STEMS_SUFFICE.contains(language) && beginsTheSame(term.folded(), word.folded());
    }

    private static String stem(Stems stems, Word word) {
        return Word.fold(stems.stem(word.small()));
    }

    private static boolean beginsTheSame(String term, String word) {
        int same = 0;
        while (same < Math.min(term.length(), word.length()) && term.charAt(same) == word.charAt(same)) {
            same++;
        }
        int least = term.length() <= SHORT ? term.length() : Math.max(SHORT, term.length() - 2);
        int longest = term.length() <= SHORT ? 2 : LONGEST_ENDING;
        return same >= least && word.length() - same <= longest;
    }

    /** Whether a word holds the term, as compounds do, or is a form of it. */
    boolean isIn(Word term, Word word) {
        if (isSame(term, word) || word.folded().contains(term.folded())) {
            return true;
        }
        if (language.equals("en") || term.folded().length() <= SHORT) {
            return false;
        }
        String begin = term.folded().substring(0, Math.max(SHORT, term.folded().length() - 2));
        return stems.filter(all -> isPart(stem(all, term), stem(all, word))).isPresent()
                || !STEMS_SUFFICE.contains(language) && word.folded().contains(begin);
    }

    /** What follows a part of a compound is nothing or another part, and not an ending: 'Fähre' is in 'Fährhafen' and not in 'fährt'. */
    private static boolean isPart(String stem, String word) {
        int at = word.indexOf(stem);
        int rest = word.length() - at - stem.length();
        return at >= 0 && stem.length() >= SHORTEST_PART && (rest == 0 || rest >= SHORTEST_PART);
    }

    /** Whether a verb stands in two pieces, as 'checken Sie ... ein' for 'einchecken'. */
    boolean isSeparated(Word term, List<Word> words) {
        Matcher verb = SEPARABLE.matcher(term.folded());
        if (!WITH_SEPARABLE.contains(language) || !verb.matches()) {
            return false;
        }
        return words.stream()
                .map(Word::folded)
                .dropWhile(each -> !each.startsWith(verb.group(2)))
                .skip(1)
                .anyMatch(verb.group(1)::equals);
    }
}
