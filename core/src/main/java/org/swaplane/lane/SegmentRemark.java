package org.swaplane.lane;

/** A remark about a segment, by its key, that came back with a trip. */
public record SegmentRemark(String key, String author, String date, String text, String trip) {}
