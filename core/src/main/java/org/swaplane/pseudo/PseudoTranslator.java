package org.swaplane.pseudo;

import java.nio.charset.Charset;
import java.nio.charset.CharsetEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Text;
import org.swaplane.placeholder.Addresses;
import org.swaplane.placeholder.Placeholders;

/**
 * Turns a source into a text in other letters that is longer and marked at both ends; tags, placeholders, message syntax and numbers stay
 * as they are, so that whatever gets lost later is the file's fault. Not for several threads at once.
 */
public final class PseudoTranslator {
    private static final Pattern ACCESS_KEY = Pattern.compile("&(?=\\p{L})(?!\\w+;)\\p{L}");
    private static final int WORD = 8;
    private static final int NUMBER_BASE = 36;

    /** Marks a character that must stay. */
    private static final char KEPT = '\0';

    private final Placeholders placeholders;
    private final PseudoSettings settings;
    private final CharsetEncoder encoder;
    private final boolean unicode;

    public PseudoTranslator(Placeholders placeholders) {
        this(placeholders, PseudoSettings.DEFAULT, StandardCharsets.UTF_8);
    }

    /** Characters that {@code charset} lacks are not used. */
    public PseudoTranslator(Placeholders placeholders, PseudoSettings settings, Charset charset) {
        this.placeholders = placeholders;
        this.settings = settings;
        this.encoder = charset.newEncoder();
        this.unicode = charset.name().startsWith("UTF");
    }

    /** The text of one segment; {@code number} is the segment's, which the text carries where the settings want it. */
    public Content translate(Content source, int number) {
        if (source.plainText().codePoints().noneMatch(Character::isLetter)) {
            return source;
        }
        List<Run> runs = new ArrayList<>(source.runs().size());
        int first = -1;
        int last = -1;
        int grows = 0;
        for (Run run : source.runs()) {
            if (run instanceof Text text) {
                last = runs.size();
                first = first < 0 ? last : first;
                String kept = kept(text.value());
                // Characters that are for people; syntax does not grow.
                grows += (int) kept.chars().filter(c -> c != KEPT).count();
                runs.add(new Text(substituted(text.value(), kept)));
            } else {
                runs.add(run);
            }
        }
        // Inside the first and the last tags, so that what is added looks like the words beside it.
        String before = settings.begin() + (settings.numbered() ? marker(number) : "");
        runs.set(first, new Text(before + ((Text) runs.get(first)).value()));
        String text = ((Text) runs.get(last)).value();
        int end = text.stripTrailing().length();
        String after = filling(grows) + settings.end();
        runs.set(last, new Text(text.substring(0, end) + after + text.substring(end)));
        return new Content(runs);
    }

    /** Digits and letters that no other segment has, such as {@code 1c·}. */
    private static String marker(int number) {
        return Integer.toString(number + 1, NUMBER_BASE).toUpperCase(Locale.ROOT) + '·';
    }

    /** Words that make the text as long as translations get. */
    private String filling(int length) {
        int added = settings.added(length);
        char filler = encoder.canEncode(settings.script().filler())
                ? settings.script().filler()
                : '~';
        StringBuilder result = new StringBuilder();
        for (int i = 0; i < added; i++) {
            result.append(i % WORD == 0 ? ' ' : filler);
        }
        return result.toString();
    }

    /** The text with everything that must stay marked. */
    private String kept(String text) {
        String kept = placeholders.mask(MessageSyntax.mask(text, KEPT), KEPT);
        kept = settings.addresses() ? Addresses.mask(kept, KEPT) : kept;
        return settings.accessKeys() ? withoutAccessKeys(kept) : kept;
    }

    private String substituted(String text, String kept) {
        StringBuilder result = new StringBuilder(text.length());
        int character;
        for (int i = 0; i < text.length(); i += Character.charCount(character)) {
            character = text.codePointAt(i);
            String substitute = kept.charAt(i) == KEPT ? "" : settings.script().substitute(character);
            if (substitute.isEmpty() || !canWrite(substitute)) {
                result.appendCodePoint(character);
            } else {
                result.append(substitute);
            }
        }
        return result.toString();
    }

    private boolean canWrite(String substitute) {
        return unicode || encoder.canEncode(substitute);
    }

    private static String withoutAccessKeys(String text) {
        if (text.indexOf('&') < 0) {
            return text;
        }
        StringBuilder result = new StringBuilder(text);
        Matcher key = ACCESS_KEY.matcher(text);
        while (key.find()) {
            result.setCharAt(key.end() - 1, KEPT);
        }
        return result.toString();
    }
}
