package org.swaplane.check;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Text;
import org.swaplane.document.Counts;
import org.swaplane.placeholder.Addresses;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.spelling.Dictionary;
import org.swaplane.wording.Phrase;

/** A sentence that ends otherwise than its source, by the habits of the target language. */
final class EndPunctuationCheck extends TextCheck {
    private static final String CLOSING = "\"'”’»›)]}）】」』“‹«｣\u200B\u200E\u200F\u2069";
    private static final String OPENING = "\"'“„‘‚«‹([{（「『";
    private static final int FEWEST_WORDS = 3;
    /** Words of so many letters are no abbreviations. */
    private static final int LONG_WORD = 6;
    /** Words of so many letters can be, unless they are known. */
    private static final int SHORT_WORD = 4;
    /** Single letters, digits, and letters without a vowel. */
    private static final Pattern ABBREVIATION = Pattern.compile(
            "(?i)(?:\\p{L}{1,2}\\.)+|\\p{N}+\\.|[bcdfghjklmnpqrstvwxzбвгджзклмнпрстфхцчшщ]{1,4}\\.|(?:inc|co|ltd|corp)\\.");

    private static final Map<String, String> STOPS = Map.of(
            "zh", "。", "ja", "。", "hi", "।", "bn", "।", "ne", "।", "mr", ".", "hy", "։", "am", "።", "ur", "۔", "pa",
            "।");

    /** How a text ends. */
    private enum End {
        NONE(""),
        STOP(".。．｡।۔։።។"),
        QUESTION("?？؟⸮՞"),
        EXCLAMATION("!！՜"),
        COLON(":：՝៖"),
        ELLIPSIS("…‥");

        private final String marks;

        End(String marks) {
            this.marks = marks;
        }

        private static End of(char mark) {
            for (End end : values()) {
                if (end.marks.indexOf(mark) >= 0) {
                    return end;
                }
            }
            return NONE;
        }
    }

    EndPunctuationCheck() {
        super("end-punctuation");
    }

    @Override
    List<Finding> find(Texts texts) {
        Optional<Finding> habit = PunctuationHabits.of(this, texts);
        if (habit.isPresent()) {
            return List.of(habit.get());
        }
        int sourceAt = last(texts.source());
        int targetAt = last(texts.target());
        if (sourceAt < 0 || targetAt < 0 || endsWithAddress(texts.source()) || endsWithAddress(texts.target())) {
            return List.of();
        }
        Optional<Finding> foreign = PunctuationHabits.foreign(this, texts, targetAt);
        if (foreign.isPresent()) {
            return List.of(foreign.get());
        }
        End source = end(texts.source(), sourceAt, texts.sourceLanguage());
        End target = end(texts.target(), targetAt, texts.targetLanguage());
        if (source == target || isFree(texts, source, target)) {
            return List.of();
        }
        List<Span> sourceSpan = List.of(new Span(sourceAt, sourceAt + 1));
        List<Span> targetSpan = List.of(new Span(targetAt, targetAt + 1));
        if (target == End.NONE
                && source == End.STOP
                && endsWithText(texts.segment().target())) {
            String fullStop = STOPS.getOrDefault(texts.targetLanguage().code(), ".");
            // Behind brackets and quotation marks where it stands so in the source.
            boolean outside = sourceAt == texts.source().stripTrailing().length() - 1;
            int place = outside ? texts.target().stripTrailing().length() : targetAt + 1;
            Content fixed = texts.segment().target().replaceText(place, place, fullStop);
            String mark = texts.source().substring(sourceAt, sourceAt + 1);
            return List.of(warning(texts, Phrase.of("check.end-punctuation.missing", mark), targetSpan, fixed));
        }
        String is = target == End.NONE ? "" : texts.target().substring(targetAt, targetAt + 1);
        String was = source == End.NONE ? "" : texts.source().substring(sourceAt, sourceAt + 1);
        String key = is.isEmpty()
                ? "check.end-punctuation.missing"
                : was.isEmpty() ? "check.end-punctuation.added" : "check.end-punctuation.changed";
        return List.of(warning(texts, Phrase.of(key, was.isEmpty() ? is : was, is), sourceSpan, targetSpan));
    }

    /** Where the last character stands that is no closing bracket or quotation mark; negative when there is none. */
    private static int last(String text) {
        int at = text.length() - 1;
        while (at >= 0 && (isSpace(text.charAt(at)) || CLOSING.indexOf(text.charAt(at)) >= 0)) {
            at--;
        }
        return at;
    }

    /** A stop behind an address is left out so that it is not taken for a part of it. */
    private static boolean endsWithAddress(String text) {
        List<Placeholders.Found> found = Addresses.find(text);
        return !found.isEmpty()
                && found.get(found.size() - 1).end() >= text.stripTrailing().length();
    }

    private static boolean isSpace(char c) {
        return Character.isWhitespace(c) || Character.isSpaceChar(c);
    }

    private static End end(String text, int at, Language language) {
        char mark = text.charAt(at);
        // A mark that is only quoted ends nothing.
        boolean quoted = at > 0
                && OPENING.indexOf(text.charAt(at - 1)) >= 0
                && (at == 1 || isSpace(text.charAt(at - 2)))
                && at + 1 < text.length();
        if (quoted) {
            return End.NONE;
        }
        if (language.isOneOf("el") && (mark == ';' || mark == '\u037E')) {
            return End.QUESTION;
        }
        if (mark == '.' && at > 1 && text.charAt(at - 1) == '.' && text.charAt(at - 2) == '.') {
            return End.ELLIPSIS;
        }
        // A danda or a bar, as keyboards have it.
        if (mark == '|' && language.isOneOf("hi", "bn", "ne", "sa", "mr")) {
            return End.STOP;
        }
        return End.of(mark);
    }

    private static boolean isFree(Texts texts, End source, End target) {
        boolean stops = source == End.STOP && target == End.NONE || source == End.NONE && target == End.STOP;
        if (stops
                && (!texts.targetLanguage().hasStops()
                        || !texts.sourceLanguage().hasStops())) {
            return true;
        }
        // Languages without stops ask and shout with words, too.
        if (target == End.NONE && !texts.targetLanguage().hasStops() && source != End.COLON) {
            return true;
        }
        // Armenian asks and shouts within the word that is stressed.
        if (target == End.NONE
                && texts.targetLanguage().isOneOf("hy")
                && texts.target().chars().anyMatch(c -> c == '\u055E' || c == '\u055C')) {
            return true;
        }
        boolean inSource = source == End.STOP;
        if (stops
                && mayBeAbbreviation(
                        inSource ? texts.source() : texts.target(),
                        inSource
                                ? texts.segment().sourceLanguage()
                                : texts.segment().targetLanguage())) {
            return true;
        }
        // Japanese and Korean sentences ask with a word, and announce a list with a sentence.
        if (target == End.STOP && texts.targetLanguage().isOneOf("ja", "ko")) {
            boolean asks = source == End.QUESTION && texts.target().matches("(?s).*か[。．.]\\W*");
            if (asks || source == End.COLON) {
                return true;
            }
        }
        // Chinese, Japanese and Thai sentences can ask with a word and shout with none.
        boolean shouts =
                source == End.EXCLAMATION && target == End.STOP || source == End.STOP && target == End.EXCLAMATION;
        return shouts && texts.targetLanguage().isOneOf("zh", "ja", "ko", "th", "de");
    }

    /** Whether the stop at the end belongs to a word or a number; in a few words it often does, unless the word is a whole one. */
    private static boolean mayBeAbbreviation(String text, String language) {
        String stripped = text.substring(0, last(text) + 1);
        if (!stripped.endsWith(".")) {
            return false;
        }
        String word = stripped.replaceAll("(?s).*[\\s(/,-]", "");
        return ABBREVIATION.matcher(word).matches()
                || Abbreviations.of(language).contain(word)
                || Counts.words(stripped) < FEWEST_WORDS
                        && !isWhole(word.substring(0, word.length() - 1), language, Counts.words(stripped));
    }

    /** A word that a dictionary knows, or where there is none, a long one. */
    private static boolean isWhole(String word, String language, int words) {
        Optional<Dictionary> dictionary = Dictionary.shipped(language);
        if (dictionary.isEmpty()) {
            return word.length() >= LONG_WORD;
        }
        String small = word.toLowerCase(Locale.ROOT);
        return word.length() >= (words > 1 ? SHORT_WORD : SHORT_WORD + 1)
                && (dictionary.get().knows(word) || dictionary.get().knows(small));
    }

    private static boolean endsWithText(Content content) {
        return !content.runs().isEmpty() && content.runs().get(content.runs().size() - 1) instanceof Text;
    }
}
