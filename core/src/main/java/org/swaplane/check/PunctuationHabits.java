package org.swaplane.check;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.placeholder.Addresses;
import org.swaplane.wording.Phrase;

/** What some languages ask of their marks besides the mark itself: a second one at the begin, a space before it, none, a wide one. */
final class PunctuationHabits {
    private static final Pattern TIGHT = Pattern.compile("(?<=[\\p{L}\\p{M})\\]»”])([?!;:])(?=\\s|$)");
    private static final Pattern LOOSE = Pattern.compile("(?<=[\\p{L}\\p{M}])([ \u00A0\u202F]+)([?!;:.,])(?=\\s|$)");
    private static final Pattern NARROW =
            Pattern.compile("(?<=[\\p{IsHan}\\p{IsHiragana}\\p{IsKatakana}])\\.(?=\\s|$)");
    private static final String MARKS = "?!;:.,";
    private static final String THIN_SPACE = "\u202F";
    private static final String SPACE = "\u00A0";

    private PunctuationHabits() {}

    static Optional<Finding> of(TextCheck check, TextCheck.Texts texts) {
        Language language = texts.targetLanguage();
        if (texts.target().chars().noneMatch(c -> MARKS.indexOf(c) >= 0)) {
            return Optional.empty();
        }
        String target = Addresses.mask(texts.target(), '\uFFFC');
        if (language.isOneOf("es")) {
            return first(check, texts, target, '?', '¿').or(() -> first(check, texts, target, '!', '¡'));
        }
        if (language.isOneOf("fr") && !language.region().equals("CA")) {
            return tight(check, texts, target);
        }
        if (language.isOneOf("zh", "ja")) {
            return narrow(check, texts, target);
        }
        return language.hasSpaces() && !language.isOneOf("fr", "br") ? loose(check, texts, target) : Optional.empty();
    }

    /** A mark at the end for which the target language has one of its own: '?' in Arabic, Greek, Chinese. */
    static Optional<Finding> foreign(TextCheck check, TextCheck.Texts texts, int at) {
        Language language = texts.targetLanguage();
        char mark = texts.target().charAt(at);
        boolean letter = at > 0
                && isOf(language, Character.UnicodeScript.of(texts.target().codePointBefore(at)));
        char own = 0;
        if (mark == '?' && language.script().equals("Arab")) {
            own = '؟';
        } else if (mark == '?' && language.isOneOf("el")) {
            own = ';';
        } else if ((mark == '?' || mark == '!') && letter && language.isOneOf("zh", "ja")) {
            own = mark == '?' ? '？' : '！';
        }
        return own == 0
                ? Optional.empty()
                : Optional.of(check.warning(
                        texts,
                        Phrase.of("check.end-punctuation.foreign", mark, own),
                        List.of(new Span(at, at + 1)),
                        texts.segment().target().replaceText(at, at + 1, String.valueOf(own))));
    }

    private static boolean isOf(Language language, Character.UnicodeScript script) {
        return !language.hasSpaces()
                && (script == Character.UnicodeScript.HAN
                        || script == Character.UnicodeScript.HIRAGANA
                        || script == Character.UnicodeScript.KATAKANA);
    }

    /** Spanish questions and exclamations have a mark at both ends. */
    private static Optional<Finding> first(
            TextCheck check, TextCheck.Texts texts, String target, char last, char first) {
        int at = target.lastIndexOf(last);
        boolean said = at > 0
                && Character.isLetter(target.charAt(at - 1))
                && texts.source().indexOf(last) >= 0;
        return said && target.indexOf(first) < 0
                ? Optional.of(check.warning(
                        texts,
                        Phrase.of("check.end-punctuation.first", first, last),
                        List.of(),
                        List.of(new Span(at, at + 1))))
                : Optional.empty();
    }

    private static Optional<Finding> tight(TextCheck check, TextCheck.Texts texts, String target) {
        Matcher mark = TIGHT.matcher(target);
        if (!mark.find()
                || texts.hasTag(mark.start(), mark.start())
                || texts.segment().source().plainText().equals(target)) {
            return Optional.empty();
        }
        String space = mark.group(1).equals(":") ? SPACE : THIN_SPACE;
        return Optional.of(check.warning(
                texts,
                Phrase.of("check.end-punctuation.tight", mark.group(1)),
                List.of(new Span(mark.start(), mark.end())),
                texts.segment().target().replaceText(mark.start(), mark.start(), space)));
    }

    private static Optional<Finding> loose(TextCheck check, TextCheck.Texts texts, String target) {
        if (!hasLooseMark(target)) {
            return Optional.empty();
        }
        Matcher space = LOOSE.matcher(target);
        if (!space.find()
                || texts.hasTag(space.start(1), space.end(1))
                || LOOSE.matcher(texts.source()).find()) {
            return Optional.empty();
        }
        return Optional.of(check.warning(
                texts,
                Phrase.of("check.end-punctuation.loose", space.group(2)),
                List.of(new Span(space.start(1), space.end(1))),
                texts.segment().target().replaceText(space.start(1), space.end(1), "")));
    }

    /** Asked first, since nearly no text has one. */
    private static boolean hasLooseMark(String text) {
        for (int i = 1; i < text.length(); i++) {
            if (MARKS.indexOf(text.charAt(i)) >= 0 && Character.isSpaceChar(text.charAt(i - 1))) {
                return true;
            }
        }
        return false;
    }

    private static Optional<Finding> narrow(TextCheck check, TextCheck.Texts texts, String target) {
        Matcher stop = NARROW.matcher(target);
        return stop.find()
                ? Optional.of(check.warning(
                        texts,
                        Phrase.of("check.end-punctuation.narrow"),
                        List.of(new Span(stop.start(), stop.end())),
                        texts.segment().target().replaceText(stop.start(), stop.end(), "。")))
                : Optional.empty();
    }
}
