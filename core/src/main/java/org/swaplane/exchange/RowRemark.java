package org.swaplane.exchange;

import org.swaplane.reviewcopy.Remark;

/** A remark that came back on a segment. */
public record RowRemark(int index, Remark remark) {}
