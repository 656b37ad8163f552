package org.swaplane.reviewcopy;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What identifies a row of a copy, written in a narrow column: {@code K7Q2M-12-9F3A1B-X}.
 *
 * @param trip code of the trip, five characters
 * @param number of the row, 1-based, as it was sent
 * @param print the first six digits of the fingerprint of the source that was sent
 */
public record RowCode(String trip, int number, String print) {
    private static final Pattern WRITTEN = Pattern.compile(
            "([0-9A-Z]{5})[-\u2010\u2011\u2013](\\d{1,7})[-\u2010\u2011\u2013]([0-9A-F]{6})[-\u2010\u2011\u2013]([0-9A-Z])");
    /** With white space around it; longer texts are looked at no further. */
    private static final int LONGEST = 60;

    private static final String ALPHABET = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ";

    /** The code of a row from the whole fingerprint of its source. */
    public static RowCode of(String trip, int number, String fingerprint) {
        return new RowCode(trip, number, fingerprint.substring(0, 6).toUpperCase(Locale.ROOT));
    }

    public String written() {
        String body = trip + '-' + number + '-' + print;
        return body + '-' + checkCharacter(body);
    }

    /** Reads a code; empty when it is none or its check character does not fit. */
    public static Optional<RowCode> read(String text) {
        if (text.length() > LONGEST) {
            return Optional.empty();
        }
        Matcher matcher = WRITTEN.matcher(text.strip().toUpperCase(Locale.ROOT));
        if (!matcher.matches()) {
            return Optional.empty();
        }
        RowCode code = new RowCode(matcher.group(1), Integer.parseInt(matcher.group(2)), matcher.group(3));
        boolean fits = code.written().endsWith(matcher.group(4));
        return fits ? Optional.of(code) : Optional.empty();
    }

    /** Whether a text is a code, or was one before somebody mistyped it. */
    static boolean isLike(String text) {
        return text.length() <= LONGEST
                && WRITTEN.matcher(text.strip().toUpperCase(Locale.ROOT)).matches();
    }

    /** Whether this row was made from a source with this fingerprint. */
    public boolean fits(String fingerprint) {
        return fingerprint.toUpperCase(Locale.ROOT).startsWith(print);
    }

    /** ISO/IEC 7064, MOD 37,36: finds every single wrong character and nearly every swap. */
    private static char checkCharacter(String body) {
        int product = 36;
        for (char c : body.toCharArray()) {
            int value = ALPHABET.indexOf(c);
            if (value >= 0) {
                int sum = (product + value) % 36;
                product = (sum == 0 ? 36 : sum) * 2 % 37;
            }
        }
        return ALPHABET.charAt((37 - product) % 36);
    }
}
