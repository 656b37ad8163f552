package org.swaplane.draft;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Properties;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What the stand-in makes of a text: the words that it knows in the other language, the others as they are; tags and numbers stay. */
final class SimulatedDraft {
    private static final Pattern WORD = Pattern.compile("\\p{L}+");

    private final Properties words;
    private final String mark;

    private SimulatedDraft(Properties words, String mark) {
        this.words = words;
        this.mark = mark;
    }

    /** Between two languages, by their codes; one without words marks its texts only, so that nobody takes them for translations. */
    static SimulatedDraft between(String source, String target) {
        String pair = language(source) + '-' + language(target);
        Properties words = new Properties();
        try (InputStream in = SimulatedDraft.class.getResourceAsStream(pair + ".properties")) {
            if (in != null) {
                words.load(new InputStreamReader(in, StandardCharsets.UTF_8));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new SimulatedDraft(words, words.isEmpty() ? '(' + language(target) + ") " : "");
    }

    private static String language(String code) {
        return Locale.forLanguageTag(code).getLanguage();
    }

    String of(String text) {
        return mark + WORD.matcher(text).replaceAll(word -> Matcher.quoteReplacement(replaced(word.group())));
    }

    private String replaced(String word) {
        String known = words.getProperty(word.toLowerCase(Locale.ROOT));
        if (known == null) {
            return word;
        }
        int first = known.codePointAt(0);
        return Character.isUpperCase(word.codePointAt(0))
                ? Character.toString(Character.toTitleCase(first)) + known.substring(Character.charCount(first))
                : known;
    }
}
