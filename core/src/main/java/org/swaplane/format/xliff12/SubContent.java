package org.swaplane.format.xliff12;

import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.format.ElementPlace;

/**
 * A {@code sub} within an inline tag: text of its own, such as the title of a link (XLIFF 1.2, section 2.5, sub).
 *
 * @param kind of the tag that it stands in
 * @param tag id of that tag
 * @param position 0-based among the sub-flows of that tag
 * @param place in the file
 */
record SubContent(Tag.Kind kind, String tag, int position, Content content, ElementPlace place) {
    /** Whether both stand at the same place of the same tag. */
    boolean matches(SubContent other) {
        return kind == other.kind && tag.equals(other.tag) && position == other.position;
    }
}
