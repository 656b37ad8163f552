package org.swaplane.desktop.exchange;

import java.util.regex.Pattern;
import org.swaplane.exchange.RowChange;
import org.swaplane.lane.ReturnImport;

/** Which changes of a copy that came back are listed. */
enum ReturnFilter {
    ALL {
        @Override
        boolean holds(RowChange change, ReturnImport.Recognised copy) {
            return true;
        }
    },
    DOUBTFUL {
        @Override
        boolean holds(RowChange change, ReturnImport.Recognised copy) {
            return !copy.isSafe(change);
        }
    },
    CONFLICT {
        @Override
        boolean holds(RowChange change, ReturnImport.Recognised copy) {
            return change.what() == RowChange.Case.CONFLICT;
        }
    },
    NUMBERS {
        @Override
        boolean holds(RowChange change, ReturnImport.Recognised copy) {
            return !only(change.sent(), NOT_NUMBERS).equals(only(change.returned(), NOT_NUMBERS));
        }
    },
    PUNCTUATION {
        @Override
        boolean holds(RowChange change, ReturnImport.Recognised copy) {
            return only(change.sent(), PUNCTUATION_AND_SPACE).equals(only(change.returned(), PUNCTUATION_AND_SPACE));
        }
    },
    TAGS {
        @Override
        boolean holds(RowChange change, ReturnImport.Recognised copy) {
            return !tags(change.sent()).equals(tags(change.returned()));
        }
    };

    private static final Pattern TAG = Pattern.compile("⟦/?\\d+/?⟧");
    private static final Pattern NOT_NUMBERS = Pattern.compile("⟦/?\\d+/?⟧|[^\\p{Nd}]+");
    private static final Pattern PUNCTUATION_AND_SPACE = Pattern.compile("[\\p{Punct}\\p{IsPunctuation}\\s\\p{Z}]+");

    abstract boolean holds(RowChange change, ReturnImport.Recognised copy);

    /** The text without what does not count. */
    private static String only(String text, Pattern without) {
        return without.matcher(text).replaceAll(" ").strip();
    }

    private static String tags(String text) {
        return TAG.matcher(text).results().map(found -> found.group()).toList().toString();
    }
}
