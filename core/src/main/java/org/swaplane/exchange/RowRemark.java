package org.swaplane.exchange;

import org.swaplane.reviewcopy.Remark;

/** A remark that came back on a segment; {@code index} is {@link #NO_SEGMENT} for one about the file. */
public record RowRemark(int index, Remark remark) {
    public static final int NO_SEGMENT = -1;
}
