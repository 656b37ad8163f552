package org.swaplane.content;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Gives a target the tags of another source that has the same ones by number, whatever ids and codes they have there. */
public final class Retagging {
    private Retagging() {}

    /** The target with the other source's tags; empty where it has a tag that the other source lacks. */
    public static Optional<Content> of(Content target, Content source, Content other) {
        Content fitted = fitted(target, source, other);
        return fitted.tags().size() == target.tags().size() ? Optional.of(fitted) : Optional.empty();
    }

    /** The same, leaving out what the other source lacks. */
    public static Content fitted(Content target, Content source, Content other) {
        if (target.tags().isEmpty()) {
            return target;
        }
        List<Integer> numbers = TagNumbers.of(source).in(target);
        TagNumbers others = TagNumbers.of(other);
        List<Run> runs = new ArrayList<>();
        int tags = 0;
        for (Run run : target.runs()) {
            if (run instanceof Tag tag) {
                others.tag(tag.kind(), numbers.get(tags++)).ifPresent(runs::add);
            } else {
                runs.add(run);
            }
        }
        return new Content(runs);
    }
}
