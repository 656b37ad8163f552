package org.swaplane.document;

import org.swaplane.wording.Phrase;

/**
 * Something in a file that is not as it should be, while the rest can be used.
 *
 * @param line 1-based, 0 when the problem has no place
 * @param column 1-based, 0 when the problem has no place
 */
public record Problem(int line, int column, Phrase phrase) {
    public String message() {
        return phrase.text();
    }

    @Override
    public String toString() {
        return line > 0 ? line + ":" + column + ": " + message() : message();
    }
}
