package org.swaplane.desktop.editor;

import org.swaplane.content.Run;
import org.swaplane.content.Tag;

/** A tag in the editor with its number. */
record Chip(Tag tag, int number) implements Piece {
    @Override
    public Run run() {
        return tag;
    }
}
