package org.swaplane.format;

import org.swaplane.content.Content;

/** How a kind of document writes the text of a unit. */
public interface UnitSyntax {
    /** The content as it stands in the file, characters that the encoding lacks not yet escaped. */
    String written(Content content);

    /** The same without what writing adds to it, so that the unit can be compared with itself when it is read again. */
    default String comparable(Content content) {
        return written(content);
    }
}
