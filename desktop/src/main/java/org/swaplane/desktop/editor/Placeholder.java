package org.swaplane.desktop.editor;

import org.swaplane.content.Run;
import org.swaplane.content.Text;

/**
 * A placeholder in right-to-left text. As characters of that text its signs would be drawn in another order ({@code %d} as {@code d%});
 * as a piece of its own it reads as it is written.
 */
record Placeholder(String text) implements Piece {
    @Override
    public Run run() {
        return new Text(text);
    }
}
