package org.swaplane.check;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.wording.Phrase;

/** The same word twice in a row, where the source has no such thing and the language knows no doubling. */
final class RepeatedWordCheck extends TextCheck {
    private static final Pattern TWICE = Pattern.compile(
            "(?iu)(?<![\\p{L}\\p{M}\\p{N}'’-])(\\p{L}[\\p{L}\\p{M}]*)(?:\\s|\\s?\\R\\s*)\\1(?![\\p{L}\\p{M}\\p{N}'’-])");
    /** Languages that hardly ever double a word; many others do, to say more or to join clauses. */
    private static final Set<String> WITHOUT_DOUBLING = Set.of(
            "en", "de", "fr", "es", "it", "pt", "nl", "sv", "da", "nb", "nn", "no", "is", "pl", "cs", "sk", "ru", "uk",
            "be", "bg", "hr", "sr", "bs", "sl", "mk", "ro", "hu", "fi", "et", "lv", "lt", "el", "ca", "gl");

    /** Words that can meet themselves at the border of two clauses. */
    private static final Map<String, Set<String>> MEETING = Map.of(
            "en", Set.of("that", "had", "is", "do", "in"),
            "de", Set.of("die", "der", "das", "den", "sie", "wie", "was", "dass", "sich", "dem"),
            "nl", Set.of("die", "dat", "wat", "het", "je", "zijn", "hun", "haar"),
            "fr", Set.of("nous", "vous", "elle", "elles"),
            "sv", Set.of("det", "den", "de", "i", "som", "att"),
            "da", Set.of("det", "den", "de", "som", "at", "var", "er"),
            "nb", Set.of("det", "den", "de", "som", "var", "er"),
            "it", Set.of("man", "via", "piano", "poco"),
            "es", Set.of("se"),
            "pl", Set.of("to"));

    private static final Set<String> SLAVIC =
            Set.of("ru", "uk", "be", "bg", "mk", "sr", "hr", "bs", "sl", "cs", "sk", "pl");

    private static final String SHORT_WORDS = "вскоуиазвіwzuiaksov";
    private static final Set<String> BY_CLAUSES = Set.of("de", "nl", "sv", "da", "nb");

    RepeatedWordCheck() {
        super("repeated-word");
    }

    @Override
    List<Finding> find(Texts texts) {
        Language language = texts.targetLanguage();
        if (!hasRow(texts.target())) {
            return List.of();
        }
        Matcher twice = TWICE.matcher(texts.target());
        if (!WITHOUT_DOUBLING.contains(language.code())
                || !twice.find()
                || TWICE.matcher(texts.source()).find()) {
            return List.of();
        }
        twice.reset();
        Set<String> meeting = MEETING.getOrDefault(language.code(), Set.of());
        while (twice.find()) {
            String word = twice.group(1);
            // Where clauses meet, one stands before.
            boolean first = BY_CLAUSES.contains(language.code())
                    && texts.target().substring(0, twice.start()).isBlank();
            if (!texts.hasTag(twice.start() + 1, twice.end() - 1)
                    && (word.length() > 1 || isShortWord(word, language))
                    && (first || !meeting.contains(word.toLowerCase(Locale.ROOT)))) {
                List<Span> span = List.of(new Span(twice.start(), twice.end()));
                return List.of(warning(texts, Phrase.of("check.repeated-word", word), List.of(), span));
            }
        }
        return List.of();
    }

    /** One small letter is a word in Slavic languages, and else may be anything. */
    private static boolean isShortWord(String word, Language language) {
        return SLAVIC.contains(language.code()) && SHORT_WORDS.contains(word);
    }

    /** Whether a word could stand twice in a row: asked first, since nearly no text has one. */
    private static boolean hasRow(String text) {
        int before = -1;
        int beforeEnd = -1;
        for (int i = 0; i < text.length(); i++) {
            boolean begins = Character.isLetter(text.charAt(i)) && (i == 0 || !isWord(text.charAt(i - 1)));
            if (begins) {
                int end = i + 1;
                while (end < text.length() && isWord(text.charAt(end))) {
                    end++;
                }
                boolean same = before >= 0
                        && end - i == beforeEnd - before
                        && text.regionMatches(true, before, text, i, end - i)
                        && text.substring(beforeEnd, i).isBlank();
                if (same) {
                    return true;
                }
                before = i;
                beforeEnd = end;
                i = end - 1;
            }
        }
        return false;
    }

    private static boolean isWord(char c) {
        return Character.isLetter(c) || Character.getType(c) == Character.NON_SPACING_MARK;
    }
}
