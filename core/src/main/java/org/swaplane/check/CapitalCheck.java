package org.swaplane.check;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.document.Counts;
import org.swaplane.spelling.Dictionary;
import org.swaplane.wording.Phrase;

/** A text that begins with a small letter, while its source begins with a capital one, or the other way round. */
final class CapitalCheck extends TextCheck {
    private static final Pattern WORD =
            Pattern.compile("^[\\s\\p{P}\\p{S}]*?(?:['’][stn]\\s)?[\\s\\p{P}\\p{S}]*(\\p{L}[\\p{L}\\p{M}'’]*)");
    private static final Pattern SENTENCE = Pattern.compile("(?s).*[.!?:…]\\W*");
    /** A word in capitals at the begin, or a word with a capital letter behind another one: names, and titles. */
    private static final Pattern CAPITALS =
            Pattern.compile("^\\P{L}*\\p{Lu}[\\p{Lu}\\p{N}]|\\p{L}[^.!?:]*[\\s(/-]\\p{Lu}");

    private static final int FEWEST_WORDS = 3;
    /** Languages whose nouns begin with a capital letter. */
    private static final Set<String> NOUNS = Set.of("de", "lb", "gsw");

    private static final int SHORTEST = 3;

    CapitalCheck() {
        super("capital");
    }

    @Override
    List<Finding> find(Texts texts) {
        Matcher source = WORD.matcher(texts.source());
        Matcher target = WORD.matcher(texts.target());
        if (!texts.sourceLanguage().isCased()
                || !texts.targetLanguage().isCased()
                || !source.find()
                || !target.find()) {
            return List.of();
        }
        String first = source.group(1);
        String word = target.group(1);
        boolean small = Character.isUpperCase(first.codePointAt(0)) && Character.isLowerCase(word.codePointAt(0));
        boolean large = Character.isLowerCase(first.codePointAt(0)) && Character.isUpperCase(word.codePointAt(0));
        if (!small && !large || isName(word, texts.source())) {
            return List.of();
        }
        // A placeholder before it, or a tag that shows something, begins the sentence.
        boolean begins = !startsWithStandalone(texts.segment().target(), target.start(1));
        if (!begins || !(small && isWrong(texts, first) || large && isWrongCapital(texts, first, word))) {
            return List.of();
        }
        int at = target.start(1);
        int end = at + Character.charCount(word.codePointAt(0));
        String turned = Character.toString(
                small ? Character.toTitleCase(word.codePointAt(0)) : Character.toLowerCase(word.codePointAt(0)));
        return List.of(warning(
                texts,
                Phrase.of(small ? "check.capital" : "check.capital.large"),
                List.of(new Span(at, at + word.length())),
                texts.segment().target().replaceText(at, end, turned)));
    }

    /** A name that begins small, such as that of a program, begins so everywhere. */
    private static boolean isName(String word, String source) {
        return word.substring(1).chars().anyMatch(Character::isUpperCase)
                || Pattern.compile("(?<!\\p{L})" + Pattern.quote(word) + "(?!\\p{L})")
                        .matcher(source)
                        .find();
    }

    /** In a few words a capital letter can be that of a name, of a month, of a language, and in German of any noun. */
    private static boolean isWrong(Texts texts, String first) {
        return isSentence(texts.source())
                || isCommon(first, texts.segment().sourceLanguage())
                        && !NOUNS.contains(texts.sourceLanguage().code())
                        && !CAPITALS.matcher(texts.source()).find();
    }

    /** A capital for a small letter is one of a name where a dictionary does not know it small. */
    private static boolean isWrongCapital(Texts texts, String first, String word) {
        return !NOUNS.contains(texts.targetLanguage().code())
                && isCommon(word, texts.segment().targetLanguage())
                && isCommon(first, texts.segment().sourceLanguage());
    }

    /** Whether a word is written small in its language. */
    private static boolean isCommon(String word, String language) {
        String small = word.toLowerCase(Locale.ROOT);
        return word.length() >= SHORTEST
                && !OtherCapitals.of(language).contain(small)
                && Dictionary.shipped(language)
                        .filter(dictionary -> dictionary.knows(small))
                        .isPresent();
    }

    private static boolean isSentence(String text) {
        return Counts.words(text) >= FEWEST_WORDS && SENTENCE.matcher(text).matches();
    }

    private static boolean startsWithStandalone(Content content, int end) {
        int at = 0;
        for (Run run : content.runs()) {
            if (at <= end && run instanceof Tag tag && tag.kind() == Tag.Kind.STANDALONE) {
                return true;
            }
            at += run.length();
        }
        return false;
    }
}
