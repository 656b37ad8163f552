package org.swaplane.lane;

/** A remark that came back with a trip. */
public record SegmentRemark(int segment, String author, String date, String text, String trip) {}
