package org.swaplane.pseudo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Text;
import org.swaplane.placeholder.Addresses;
import org.swaplane.placeholder.Placeholders;

/**
 * Turns a source into text that is legible, accented, longer and bracketed; tags, placeholders, addresses and numbers stay as
 * they are, so that whatever gets lost later is the file's fault.
 */
public final class PseudoTranslator {
    private static final String PLAIN = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz";
    private static final String ACCENTED = "ÅƁÇÐÉƑĜĤÎĴĶĻṀÑÖÞǪŔŠŢÛṼŴẊÝŽåƀçðéƒĝĥîĵķļɱñöþǫŕšţûṽŵẋýž";
    private static final Map<Character, Character> ACCENTS = new HashMap<>();

    static {
        for (int i = 0; i < PLAIN.length(); i++) {
            ACCENTS.put(PLAIN.charAt(i), ACCENTED.charAt(i));
        }
    }

    /** Marks a character that must stay. */
    private static final char KEPT = '\0';

    private final Placeholders placeholders;

    public PseudoTranslator(Placeholders placeholders) {
        this.placeholders = placeholders;
    }

    public Content translate(Content source) {
        int letters = (int)
                source.plainText().codePoints().filter(Character::isLetter).count();
        if (letters == 0) {
            return source;
        }
        List<Run> runs = new ArrayList<>();
        runs.add(new Text("["));
        for (Run run : source.runs()) {
            runs.add(run instanceof Text text ? new Text(accented(text.value())) : run);
        }
        runs.add(new Text(growth(source.plainText().length()) + "]"));
        return new Content(runs);
    }

    /** Short texts grow most; the usual share of growth by length that layouts must allow for. */
    private static String growth(int length) {
        double share = length <= 10 ? 1.0 : length <= 20 ? 0.8 : length <= 50 ? 0.5 : length <= 70 ? 0.4 : 0.3;
        int added = (int) Math.ceil(length * share);
        StringBuilder result = new StringBuilder();
        for (int i = 0; i < added; i++) {
            result.append(i % 8 == 0 ? ' ' : '~');
        }
        return result.toString();
    }

    private String accented(String text) {
        StringBuilder result = new StringBuilder(text.length());
        String kept = Addresses.mask(placeholders.mask(text, KEPT), KEPT);
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            result.append(kept.charAt(i) == KEPT ? c : ACCENTS.getOrDefault(c, c));
        }
        return result.toString();
    }
}
