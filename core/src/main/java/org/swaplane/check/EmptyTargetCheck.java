package org.swaplane.check;

import java.util.List;
import java.util.Optional;
import org.swaplane.wording.Phrase;

/** A source with text, and nothing in the target. */
final class EmptyTargetCheck implements Check {
    static final String ID = "empty-target";

    @Override
    public String id() {
        return ID;
    }

    @Override
    public List<Finding> check(CheckedSegment segment) {
        boolean missing =
                segment.targetText().isBlank() && !segment.sourceText().isBlank();
        return missing
                ? List.of(Finding.in(
                        segment,
                        id(),
                        Severity.ERROR,
                        Phrase.of("check.empty-target"),
                        List.of(),
                        List.of(),
                        Optional.empty()))
                : List.of();
    }
}
