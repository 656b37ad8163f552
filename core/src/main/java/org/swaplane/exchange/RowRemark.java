package org.swaplane.exchange;

import org.swaplane.format.table.Remark;

/** A remark that came back on a segment. */
public record RowRemark(int index, Remark remark) {}
