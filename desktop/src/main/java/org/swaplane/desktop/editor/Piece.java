package org.swaplane.desktop.editor;

import org.swaplane.content.Run;

/** What counts as a single character in the editor and so cannot be half-deleted. */
sealed interface Piece permits Chip, Placeholder {
    /** What it is in the text. */
    Run run();
}
