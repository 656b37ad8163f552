package org.swaplane.document;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.text.Normalizer2;

/**
 * Something that a file demands of a target: a rule of the validation module (XLIFF 2.1, section 5.8), or the characters that are
 * allowed in it (ITS 2.0, section 8.19), or how long its lines may be.
 *
 * @param text what must or must not stand in the target; for {@link Kind#ALLOWED_CHARACTERS} a regular expression for one character
 * @param occurs how often it must stand there; 0 where any number above 0 will do
 * @param asInSource whether the rule holds only where the source keeps to it too
 */
public record TargetRule(Kind kind, String text, int occurs, boolean asInSource, Comparison comparison) {
    /** Lines of at most so many characters. */
    public static TargetRule linesUpTo(int characters) {
        return new TargetRule(Kind.LONGEST_LINE, "", characters, false, Comparison.DEFAULT);
    }

    /** What is demanded. */
    public enum Kind {
        PRESENT,
        NOT_PRESENT,
        STARTS_WITH,
        ENDS_WITH,
        /** No line is longer than {@code occurs} characters. */
        LONGEST_LINE,
        ALLOWED_CHARACTERS
    }

    /** How texts are compared. */
    public record Comparison(boolean caseSensitive, Normalization normalization) {
        /** The standard's default. */
        public static final Comparison DEFAULT = new Comparison(true, Normalization.NFC);

        /** The text in the form in which it is compared. */
        public String comparable(String text) {
            String normal =
                    switch (normalization) {
                        case NONE -> text;
                        case NFC -> Normalizer2.getNFCInstance().normalize(text);
                        case NFD -> Normalizer2.getNFDInstance().normalize(text);
                    };
            return caseSensitive ? normal : UCharacter.foldCase(normal, true);
        }
    }

    /** Unicode normalization before comparing. */
    public enum Normalization {
        NONE,
        NFC,
        NFD
    }
}
