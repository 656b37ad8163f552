package org.swaplane.lane;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.check.CheckRun;
import org.swaplane.check.CheckedSegment;
import org.swaplane.check.Finding;
import org.swaplane.content.Content;
import org.swaplane.exchange.ReturnReading;
import org.swaplane.exchange.RowChange;

/** What the checks would find in returned targets, and do not find in those that stand now. */
final class ReturnFindings {
    private final CheckRun checks;
    private final TrackSnapshot now;

    ReturnFindings(CheckRun checks, TrackSnapshot now) {
        this.checks = checks;
        this.now = now;
    }

    /** By the number of the row; only rows that have any. */
    Map<Integer, List<Finding>> of(ReturnReading reading) {
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

    private List<Finding> brought(int index, Content answer) {
        CheckedSegment there = now.checked(index);
        List<Finding> before = checks.run(there);
        CheckedSegment changed =
                new CheckedSegment(index, there.segment(), answer, there.sourceLanguage(), there.targetLanguage());
        return checks.run(changed).stream()
                .filter(finding -> before.stream().noneMatch(each -> isSame(each, finding)))
                .toList();
    }

    private static boolean isSame(Finding one, Finding other) {
        return one.check().equals(other.check()) && one.phrase().equals(other.phrase());
    }
}
