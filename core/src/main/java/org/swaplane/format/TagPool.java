package org.swaplane.format;

import java.util.HashMap;
import java.util.Map;
import org.swaplane.content.Tag;

/** Files repeat a few tags a hundred thousand times; this keeps each of them once. */
public final class TagPool {
    private static final int MOST = 20_000;

    private final Map<Tag, Tag> tags = new HashMap<>();

    Tag shared(Tag tag) {
        if (tags.size() > MOST) {
            tags.clear();
        }
        Tag known = tags.putIfAbsent(tag, tag);
        return known == null ? tag : known;
    }
}
