package org.swaplane.reviewcopy;

/** Who made the last tracked change in a text, and when as the file writes it (ISO 8601). */
public record Revision(String author, String date) {}
