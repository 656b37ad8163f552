package org.swaplane.exchange;

import java.util.List;

/**
 * What a returned copy says against what was sent and what stands now.
 *
 * @param problems everything about the table that is not as it was sent, also what belongs to no change
 * @param changes the rows whose target differs from what was sent, in the order they were sent in
 * @param untouched number of rows that came back as they were sent
 */
public record ReturnReading(
        List<StructureProblem> problems, List<RowChange> changes, List<RowRemark> remarks, int untouched) {
    public ReturnReading {
        problems = List.copyOf(problems);
        changes = List.copyOf(changes);
        remarks = List.copyOf(remarks);
    }

    /** The changes that can be taken without a look. */
    public List<RowChange> safe() {
        return changes.stream().filter(RowChange::safe).toList();
    }
}
