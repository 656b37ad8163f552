package org.swaplane.exchange;

import java.util.regex.Pattern;

/**
 * What spreadsheet programs make of texts that look like something else to them, seen by the texts alone: once a table was saved as text, its
 * cells have no types any more.
 */
final class Conversions {
    private static final Pattern DATE = Pattern.compile("\\d{1,4}[-/]\\d{1,2}|\\d{1,4}([-/.])\\d{1,2}\\1\\d{1,4}");
    /** Day and month in some languages, and a fraction in others. */
    private static final Pattern DAY_OR_FRACTION = Pattern.compile("\\d{1,2}\\.\\d{1,2}\\.?");

    private static final Pattern SERIAL = Pattern.compile("\\d{5}(?:[.,]0+)?");
    private static final Pattern NAMED_DATE =
            Pattern.compile("\\d{1,2}[-/. ]{1,2}\\p{L}{3,9}\\.?(?:[-/. ]{1,2}\\d{2,4})?|\\p{L}{3,9}\\.?[-/. ]\\d{2,4}");
    private static final Pattern LEADING_ZEROS = Pattern.compile("0\\d+");
    private static final Pattern LONG = Pattern.compile("\\d{12,}");
    private static final Pattern EXPONENT = Pattern.compile("\\d+(?:[.,]\\d+)?[eE][+-]?\\d+");
    private static final Pattern NUMBER = Pattern.compile("-?\\d+(?:[.,]\\d+)?(?:[eE][+-]?\\d+)?");
    private static final Pattern TRUTH = Pattern.compile("(?i)true|false");

    private Conversions() {}

    /** Whether a program may have made {@code returned} of {@code sent} by itself. */
    static boolean isLike(String sent, String returned) {
        String before = sent.strip();
        String after = returned.strip();
        if (DATE.matcher(before).matches()) {
            return isNumber(after)
                    || DATE.matcher(after).matches()
                    || NAMED_DATE.matcher(after).matches();
        }
        if (DAY_OR_FRACTION.matcher(before).matches()) {
            return SERIAL.matcher(after).matches() || NAMED_DATE.matcher(after).matches();
        }
        boolean isOther = LEADING_ZEROS.matcher(before).matches()
                || LONG.matcher(before).matches()
                || EXPONENT.matcher(before).matches();
        return isOther && isNumber(after)
                || TRUTH.matcher(before).matches() && (before.equalsIgnoreCase(after) || isNumber(after));
    }

    private static boolean isNumber(String text) {
        return NUMBER.matcher(text).matches();
    }
}
