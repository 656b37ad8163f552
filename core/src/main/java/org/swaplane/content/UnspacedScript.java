package org.swaplane.content;

import java.lang.Character.UnicodeScript;
import java.util.EnumSet;
import java.util.Set;

/** Scripts that write words and sentences without spaces between them; the one place that says which they are. */
public final class UnspacedScript {
    /** Their letters, to be put into the brackets of a regular expression. */
    public static final String LETTERS = "\\p{IsHan}\\p{IsHiragana}\\p{IsKatakana}\\p{IsBopomofo}\\p{IsYi}"
            + "\\p{IsThai}\\p{IsLao}\\p{IsKhmer}\\p{IsMyanmar}";

    private static final Set<UnicodeScript> SCRIPTS = EnumSet.of(
            UnicodeScript.HAN,
            UnicodeScript.HIRAGANA,
            UnicodeScript.KATAKANA,
            UnicodeScript.BOPOMOFO,
            UnicodeScript.YI,
            UnicodeScript.THAI,
            UnicodeScript.LAO,
            UnicodeScript.KHMER,
            UnicodeScript.MYANMAR);

    private UnspacedScript() {}

    /** Whether a code point is written in such a script; also the punctuation that only they have, such as the ideographic full stop. */
    public static boolean has(int codePoint) {
        // CJK symbols and punctuation, and the full width forms of Latin ones.
        boolean punctuation = codePoint >= 0x3001 && codePoint <= 0x303F || codePoint >= 0xFF01 && codePoint <= 0xFF65;
        return punctuation || codePoint >= 0x0E00 && SCRIPTS.contains(UnicodeScript.of(codePoint));
    }

    /** Whether there is any of it in a text. */
    public static boolean isIn(String text) {
        return text.codePoints().anyMatch(UnspacedScript::has);
    }

    /** Whether two texts that follow each other have a space between them. */
    public static boolean needsSpaceBetween(String first, String second) {
        return first.isEmpty()
                || second.isEmpty()
                || !has(first.codePointBefore(first.length())) && !has(second.codePointAt(0));
    }
}
