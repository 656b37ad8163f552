package org.swaplane.reviewcopy;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * One row as it came back, tracked changes read as accepted.
 *
 * @param position 1-based place among the rows that came back
 * @param code empty when the row has none that can be read
 * @param number what stands in its column of numbers; 0 when that is no number
 * @param remarks comments on the row, what stands in its comment column and in columns of the reviewer's own
 * @param irregularities of its target
 */
public record ReturnedRow(
        int position,
        Optional<RowCode> code,
        int number,
        String source,
        String target,
        List<Remark> remarks,
        Optional<Revision> revision,
        Set<Irregularity> irregularities) {
    public ReturnedRow {
        remarks = List.copyOf(remarks);
        irregularities = Set.copyOf(irregularities);
    }

    /** A row about which nothing is odd. */
    public ReturnedRow(
            int position,
            Optional<RowCode> code,
            String source,
            String target,
            List<Remark> remarks,
            Optional<Revision> revision) {
        this(position, code, 0, source, target, remarks, revision, Set.of());
    }

    ReturnedRow with(Irregularity more) {
        Set<Irregularity> all = EnumSet.of(more);
        all.addAll(irregularities);
        return new ReturnedRow(position, code, number, source, target, remarks, revision, all);
    }
}
