package org.swaplane.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Changes of start tags, collected so that each tag becomes one splice however much changes in it. */
public final class TagEdits {
    private final Map<TagPlace, Change> changes = new LinkedHashMap<>();

    private record Change(String what, UnaryOperator<StartTag> change) {}

    /** {@code what} is the segment's key, for messages. */
    public void change(TagPlace place, String what, UnaryOperator<StartTag> change) {
        changes.merge(
                place,
                new Change(what, change),
                (before, more) -> new Change(
                        what, tag -> more.change().apply(before.change().apply(tag))));
    }

    public List<Splice> splices() {
        List<Splice> splices = new ArrayList<>(changes.size());
        changes.forEach(
                (place, each) -> splices.add(new Splice(place.start(), place.end(), each.what(), raw -> each.change()
                        .apply(new StartTag(raw))
                        .raw())));
        return splices;
    }
}
