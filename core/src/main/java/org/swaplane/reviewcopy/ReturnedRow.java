package org.swaplane.reviewcopy;

import java.util.List;
import java.util.Optional;

/**
 * One row as it came back, tracked changes read as accepted.
 *
 * @param position 1-based place among the rows that came back
 * @param code empty when the row has none that can be read
 * @param remarks comments on the row and what stands in its comment column
 */
public record ReturnedRow(
        int position,
        Optional<RowCode> code,
        String source,
        String target,
        List<Remark> remarks,
        Optional<Revision> revision) {
    public ReturnedRow {
        remarks = List.copyOf(remarks);
    }
}
