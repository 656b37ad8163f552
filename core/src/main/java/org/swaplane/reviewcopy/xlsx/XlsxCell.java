package org.swaplane.reviewcopy.xlsx;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.swaplane.reviewcopy.Irregularity;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedCell;

/** Text of a cell or of a shared string, and what is odd about it. */
record XlsxCell(String text, Set<Irregularity> irregularities) {
    static final XlsxCell EMPTY = new XlsxCell("", Set.of());

    XlsxCell {
        irregularities = Set.copyOf(irregularities);
    }

    XlsxCell with(Irregularity other) {
        Set<Irregularity> all = new HashSet<>(irregularities);
        all.add(other);
        return new XlsxCell(text, all);
    }

    ReturnedCell returned(List<Remark> remarks) {
        return new ReturnedCell(text, 1, remarks, Optional.empty(), irregularities);
    }
}
