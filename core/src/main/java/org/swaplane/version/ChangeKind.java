package org.swaplane.version;

import java.util.regex.Pattern;
import org.swaplane.content.Content;

/** What changed in a source, the most telling thing first: a changed time is more than a changed tag. */
public enum ChangeKind {
    NUMBERS,
    TEXT,
    /** The same text with other tags or in other places. */
    TAGS,
    WHITE_SPACE;

    private static final Pattern DIGITS = Pattern.compile("\\p{Nd}+");
    private static final Pattern SPACE = Pattern.compile("\\p{IsWhite_Space}+");

    public static ChangeKind of(Content before, Content now) {
        String one = before.plainText();
        String other = now.plainText();
        if (one.equals(other)) {
            return TAGS;
        }
        if (DIGITS.matcher(one).replaceAll("0").equals(DIGITS.matcher(other).replaceAll("0"))) {
            return NUMBERS;
        }
        return SPACE.matcher(one).replaceAll("").equals(SPACE.matcher(other).replaceAll("")) ? WHITE_SPACE : TEXT;
    }
}
