package org.swaplane.check;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.number.ReadNumber;

/** Digits of a formula or a unit that one text writes in their line and the other below or above it: 'CO2' and 'CO\u2082', 'm2' and 'm\u00B2'. */
final class ScriptedDigits {
    private static final String SUPERSCRIPTS = "\u2070\u00B9\u00B2\u00B3\u2074\u2075\u2076\u2077\u2078\u2079";
    private static final char FIRST_SUBSCRIPT = '\u2080';
    private static final Pattern LETTERS_BEFORE = Pattern.compile("\\p{L}{1,3}$");

    private ScriptedDigits() {}

    /** Whether the digits of a number that stands right behind letters stand behind the same letters in the other text, small. */
    static boolean isSame(ReadNumber number, UnmatchedNumbers one, UnmatchedNumbers other) {
        String digits = number.written();
        Matcher letters = LETTERS_BEFORE.matcher(one.text().substring(0, number.start()));
        if (!digits.matches("[0-9]{1,2}") || !letters.find()) {
            return false;
        }
        StringBuilder above = new StringBuilder(letters.group());
        StringBuilder below = new StringBuilder(letters.group());
        digits.chars().forEach(digit -> {
            above.append(SUPERSCRIPTS.charAt(digit - '0'));
            below.append((char) (FIRST_SUBSCRIPT + digit - '0'));
        });
        return other.text().contains(above) || other.text().contains(below);
    }
}
