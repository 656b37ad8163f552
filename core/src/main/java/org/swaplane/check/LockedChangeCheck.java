package org.swaplane.check;

import java.util.List;
import java.util.Optional;
import org.swaplane.compare.Span;
import org.swaplane.wording.Phrase;

/** A target that is another than the file's, though the file locks the segment. */
final class LockedChangeCheck implements Check {
    @Override
    public String id() {
        return "locked-change";
    }

    @Override
    public List<Finding> check(CheckedSegment segment) {
        if (!segment.segment().locked()
                || segment.target().sameAs(segment.segment().target())) {
            return List.of();
        }
        List<Span> all = List.of(new Span(0, segment.targetText().length()));
        return List.of(Finding.in(
                segment,
                id(),
                Severity.ERROR,
                Phrase.of("check.locked-change"),
                List.of(),
                all,
                Optional.of(segment.segment().target())));
    }
}
