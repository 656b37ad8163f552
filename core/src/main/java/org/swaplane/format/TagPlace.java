package org.swaplane.format;

/** Where a start tag stands: UTF-16 units of the text, half-open. */
public record TagPlace(long start, long end) {}
