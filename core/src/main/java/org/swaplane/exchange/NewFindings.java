package org.swaplane.exchange;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import org.swaplane.check.CheckRun;
import org.swaplane.check.CheckedSegment;
import org.swaplane.check.Finding;
import org.swaplane.content.Content;

/** What the checks would find in returned targets, and do not find in the same segments as they stand now. */
public final class NewFindings {
    private final CheckRun checks;
    private final IntFunction<CheckedSegment> now;

    /** @param now returns the current segment at an index */
    public NewFindings(CheckRun checks, IntFunction<CheckedSegment> now) {
        this.checks = checks;
        this.now = now;
    }

    /** By the number of the row; only rows that have any. */
    public Map<Integer, List<Finding>> of(ReturnReading reading) {
        Map<Integer, List<Finding>> found = new HashMap<>();
        for (RowChange change : reading.changes()) {
            List<Finding> brought = change.applicable()
                    .map(answer -> brought(change.index(), answer))
                    .orElse(List.of());
            if (!brought.isEmpty()) {
                found.put(change.number(), brought);
            }
        }
        return Map.copyOf(found);
    }

    /** Of checks that find nothing there now; what was wrong in one way and is now wrong in another is not new. */
    private List<Finding> brought(int index, Content answer) {
        CheckedSegment there = now.apply(index);
        CheckedSegment changed =
                new CheckedSegment(index, there.segment(), answer, there.sourceLanguage(), there.targetLanguage());
        List<Finding> after = checks.run(changed);
        if (after.isEmpty()) {
            return after;
        }
        Set<String> before = checks.run(there).stream().map(Finding::check).collect(Collectors.toSet());
        return after.stream()
                .filter(finding -> !before.contains(finding.check()))
                .toList();
    }
}
