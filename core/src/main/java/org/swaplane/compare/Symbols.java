package org.swaplane.compare;

import com.ibm.icu.text.Normalizer2;
import java.util.List;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.content.TagNumbers;
import org.swaplane.content.Text;

/** A content as what distances are counted in: the code points of its text after NFC, and each tag one symbol. */
public final class Symbols {
    /** Attributes that say which tag of the file one is, and not what it stands for. */
    private static final Pattern IDENTITY = Pattern.compile(
            "\\s(?:id|rid|xid|mid|i|x|startRef|copyOf|dataRef|dataRefStart|dataRefEnd|(?:\\w+:)?rsid\\w*)\\s*=\\s*"
                    + "(?:\"[^\"]*\"|'[^']*')");

    private static final char FIRST_COMBINING = '\u0300';
    private static final char BRACKET = '⟦';

    private Symbols() {}

    /** With tags told apart by their numbers, as people see them. */
    public static int[] of(Content content, Content source) {
        return content.tags().isEmpty()
                ? codePoints(composed(content.plainText()))
                : of(content, TagNumbers.of(source).in(content), false);
    }

    /** With tags told apart by what they stand for as well: a link is not bold text. */
    public static int[] ofMeaning(Content content) {
        return content.tags().isEmpty()
                ? codePoints(composed(content.plainText()))
                : of(content, TagNumbers.of(content).in(content), true);
    }

    private static int[] of(Content content, List<Integer> numbers, boolean meaning) {
        int[] symbols = new int[content.plainText().length() * 3 + numbers.size()];
        int at = 0;
        int tags = 0;
        for (Run run : content.runs()) {
            if (run instanceof Text text) {
                String composed = composed(text.value());
                for (int i = 0; i < composed.length(); i += Character.charCount(composed.codePointAt(i))) {
                    symbols[at++] = composed.codePointAt(i);
                }
            } else if (run instanceof Tag tag) {
                int symbol = numbers.get(tags++) * 3 + tag.kind().ordinal();
                // Below every code point, so that no text looks like a tag.
                symbols[at++] = -1 - ((meaning ? 31 * symbol + meaning(tag).hashCode() : symbol) & Integer.MAX_VALUE);
            }
        }
        return java.util.Arrays.copyOf(symbols, at);
    }

    /**
     * The content as one text, the same for contents that are the same: after NFC, white space as it is, tags by number and by what they
     * stand for.
     */
    public static String written(Content content) {
        if (content.tags().isEmpty()) {
            String text = composed(content.plainText());
            return text.indexOf(BRACKET) < 0 ? text : text.replace("⟦", "⟦⟦");
        }
        List<Integer> numbers = TagNumbers.of(content).in(content);
        StringBuilder text = new StringBuilder();
        int tags = 0;
        for (Run run : content.runs()) {
            if (run instanceof Text each) {
                text.append(composed(each.value()).replace("⟦", "⟦⟦"));
            } else if (run instanceof Tag tag) {
                text.append(BRACKET).append(tag.kind().ordinal()).append(numbers.get(tags++));
                text.append(BRACKET).append(meaning(tag)).append(BRACKET);
            }
        }
        return text.toString();
    }

    /** The same with tags by number only: what they stand for is the business of the file that they are used in. */
    public static String numbered(Content content) {
        return composed(TagNotation.write(content, content));
    }

    /** What a tag stands for, whichever of its kind it is. */
    private static String meaning(Tag tag) {
        return tag.isKnownByLabel() ? tag.label() : IDENTITY.matcher(tag.code()).replaceAll("");
    }

    private static String composed(String text) {
        for (int i = 0; i < text.length(); i++) {
            if (text.charAt(i) >= FIRST_COMBINING) {
                return Normalizer2.getNFCInstance().normalize(text);
            }
        }
        return text;
    }

    private static int[] codePoints(String text) {
        return text.codePoints().toArray();
    }
}
