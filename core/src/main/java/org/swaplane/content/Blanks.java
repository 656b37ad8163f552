package org.swaplane.content;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;

/** Characters that nobody sees: white space, controls, and what Unicode lets a program leave out (UAX #44, Default_Ignorable_Code_Point). */
public final class Blanks {
    /** No dot is raised in it, so that it looks like a space. */
    private static final int BRAILLE_BLANK = 0x2800;

    private Blanks() {}

    /** Whether nothing of a text is seen; also of an empty one. */
    public static boolean isAllOf(String text) {
        return text.codePoints().allMatch(Blanks::has);
    }

    /** Whether a code point is one of them: no letter, digit, sign or mark that a person sees. */
    public static boolean has(int codePoint) {
        // Nearly all characters are letters of the first blocks.
        if (codePoint > ' ' && codePoint < 0x7F) {
            return false;
        }
        return codePoint == BRAILLE_BLANK
                || Character.isISOControl(codePoint)
                || Character.getType(codePoint) == Character.FORMAT
                || UCharacter.hasBinaryProperty(codePoint, UProperty.WHITE_SPACE)
                || UCharacter.hasBinaryProperty(codePoint, UProperty.DEFAULT_IGNORABLE_CODE_POINT);
    }
}
