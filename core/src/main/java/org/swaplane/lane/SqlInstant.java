package org.swaplane.lane;

import java.time.Instant;
import java.util.Locale;

/**
 * Moments in the database, which are stored as {@link Instant#toString} writes them: with as many decimals as needed, so that texts
 * cannot be compared. Both sides of a comparison are brought to nine decimals.
 */
final class SqlInstant {
    /** Later than every moment that is stored. */
    private static final String NEVER = "9";

    private SqlInstant() {}

    /** An expression for the moment in a column, to compare it or to sort by it. */
    static String of(String column) {
        return "(substr(" + column + ", 1, 19) || substr(case substr(" + column + ", 20, 1) when '.' then rtrim(substr("
                + column + ", 20), 'Z') else '.' end || '000000000', 1, 10))";
    }

    /** A moment to compare such an expression with. */
    static String value(Instant moment) {
        if (moment.equals(Instant.MAX)) {
            return NEVER;
        }
        return moment.toString().substring(0, 19) + String.format(Locale.ROOT, ".%09d", moment.getNano());
    }
}
