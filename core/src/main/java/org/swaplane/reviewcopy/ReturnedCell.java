package org.swaplane.reviewcopy;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * One cell of a table that came back.
 *
 * @param text as it reads when all tracked changes are accepted; lines end with U+000A
 * @param columns how many columns it spans, at least 1
 */
public record ReturnedCell(
        String text, int columns, List<Remark> remarks, Optional<Revision> revision, Set<Irregularity> irregularities) {
    public ReturnedCell {
        remarks = List.copyOf(remarks);
        irregularities = Set.copyOf(irregularities);
    }

    /** A cell of one column with nothing but its text. */
    public static ReturnedCell of(String text) {
        return new ReturnedCell(text, 1, List.of(), Optional.empty(), Set.of());
    }
}
