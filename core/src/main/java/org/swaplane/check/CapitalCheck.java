package org.swaplane.check;

import static org.swaplane.wording.Wording.say;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.document.Counts;

/** A sentence that begins with a small letter, while its source begins with a capital one. */
final class CapitalCheck extends TextCheck {
    private static final Pattern WORD = Pattern.compile("^[\\s\\p{P}\\p{S}]*(\\p{L}[\\p{L}\\p{M}'’]*)");
    private static final Pattern SENTENCE = Pattern.compile("(?s).*[.!?:…]\\W*");
    private static final int FEWEST_WORDS = 3;

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
        // A name that begins small, such as that of a program, begins so everywhere.
        boolean name = word.substring(1).chars().anyMatch(Character::isUpperCase)
                || Pattern.compile("(?<!\\p{L})" + Pattern.quote(word) + "(?!\\p{L})")
                        .matcher(texts.source())
                        .find();
        // A placeholder before it, or a tag that shows something, begins the sentence.
        boolean begins = !startsWithStandalone(texts.segment().target(), target.start(1));
        if (!begins
                || !Character.isUpperCase(first.codePointAt(0))
                || !Character.isLowerCase(word.codePointAt(0))
                || name
                || !isSentence(texts.source())) {
            return List.of();
        }
        int at = target.start(1);
        int end = at + Character.charCount(word.codePointAt(0));
        String capital = Character.toString(Character.toTitleCase(word.codePointAt(0)));
        return List.of(warning(
                texts,
                say("check.capital"),
                List.of(new Span(at, at + word.length())),
                texts.segment().target().replaceText(at, end, capital)));
    }

    /** In a few words a capital letter can be that of a name. */
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
