package org.swaplane.desktop.text;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What keeps its order where it stands in right-to-left text: placeholders, addresses, times, numbers with signs. Such a piece is shown
 * between two left-to-right marks (Unicode Standard Annex 9, section 2.6); the text itself stays as it is. The isolates of section 2.4
 * would say it better, but fonts draw them as boxes.
 */
public final class Isolates {
    private static final char LEFT_TO_RIGHT_MARK = '\u200E';
    private static final Pattern PLACEHOLDER = Pattern.compile(
            "%(?:\\d+\\$)?[-+#0]*\\d*(?:\\.\\d+)?(?:hh|h|ll|l|z|j|t)?[@sdiufFeEgGxXoc]|[{%$]{1,2}[\\w(.,: -]+[)}s]+");
    private static final Pattern PIECE =
            Pattern.compile(PLACEHOLDER + "|https?://\\S+|[\\w.+-]+@[\\w-]+\\.[\\w.-]+|\\d+(?:[:./,-]\\d+)+");

    private Isolates() {}

    /** The text cut before and after each placeholder; every second piece, from the second on, is one. */
    public static List<String> placeholders(String text) {
        List<String> pieces = new ArrayList<>();
        Matcher placeholder = PLACEHOLDER.matcher(text);
        int at = 0;
        while (placeholder.find()) {
            pieces.add(text.substring(at, placeholder.start()));
            pieces.add(placeholder.group());
            at = placeholder.end();
        }
        pieces.add(text.substring(at));
        return pieces;
    }

    /** Offsets at which a character is put in, in pairs of begin and end. */
    static List<Integer> of(String text) {
        List<Integer> offsets = new ArrayList<>();
        Matcher piece = PIECE.matcher(text);
        while (piece.find()) {
            offsets.add(piece.start());
            offsets.add(piece.end());
        }
        return offsets;
    }

    static String apply(String text, List<Integer> offsets) {
        if (offsets.isEmpty()) {
            return text;
        }
        StringBuilder shown = new StringBuilder(text);
        for (int i = offsets.size() - 1; i >= 0; i--) {
            shown.insert(offsets.get(i).intValue(), LEFT_TO_RIGHT_MARK);
        }
        return shown.toString();
    }
}
