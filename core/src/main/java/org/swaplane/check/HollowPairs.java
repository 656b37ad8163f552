package org.swaplane.check;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.wording.Phrase;

/** Pairs of tags that stand around nothing in the target and around words in the source. */
final class HollowPairs {
    private HollowPairs() {}

    /** The first of them. */
    static Optional<Finding> find(CheckedSegment segment) {
        List<Run> runs = segment.target().runs();
        Map<String, Boolean> filledInSource = filled(segment.source());
        int at = 0;
        for (int i = 0; i < runs.size(); i++) {
            if (i > 0
                    && runs.get(i) instanceof Tag close
                    && close.kind() == Tag.Kind.CLOSE
                    && runs.get(i - 1) instanceof Tag open
                    && open.kind() == Tag.Kind.OPEN
                    && open.id().equals(close.id())
                    && filledInSource.getOrDefault(open.id(), false)) {
                String written = TagNotation.write(Content.of(open), segment.source());
                return Optional.of(Finding.in(
                        segment,
                        "tags",
                        Severity.WARNING,
                        Phrase.of("check.tags.hollow", written),
                        List.of(),
                        List.of(new Span(at, at)),
                        Optional.empty()));
            }
            at += runs.get(i).length();
        }
        return Optional.empty();
    }

    /** Which pairs, by their ids, have anything inside. */
    private static Map<String, Boolean> filled(Content content) {
        Map<String, Boolean> filled = new HashMap<>();
        List<Run> runs = content.runs();
        for (int i = 0; i + 1 < runs.size(); i++) {
            if (runs.get(i) instanceof Tag open && open.kind() == Tag.Kind.OPEN) {
                boolean closes = runs.get(i + 1) instanceof Tag next
                        && next.kind() == Tag.Kind.CLOSE
                        && next.id().equals(open.id());
                filled.put(open.id(), !closes);
            }
        }
        return filled;
    }
}
