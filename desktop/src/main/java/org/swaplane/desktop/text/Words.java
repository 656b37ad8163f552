package org.swaplane.desktop.text;

import java.util.List;
import java.util.regex.Pattern;

/**
 * Right-to-left text in pieces that are drawn on their own. The toolkit draws all of a right-to-left run in its first line when it has to
 * break it (seen on Linux, JavaFX 21 and 22), so there must be no run longer than a word.
 */
public final class Words {
    private static final Pattern AFTER_SPACE = Pattern.compile("(?<=\\s)(?=\\S)");

    private Words() {}

    /** The words of a text, each with the white space behind it. */
    public static List<String> of(String text) {
        return List.of(AFTER_SPACE.split(text));
    }
}
