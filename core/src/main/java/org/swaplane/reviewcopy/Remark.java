package org.swaplane.reviewcopy;

/** A comment that came back; {@code date} as the file writes it (ISO 8601), empty when it does not say. */
public record Remark(String author, String date, String text) {}
