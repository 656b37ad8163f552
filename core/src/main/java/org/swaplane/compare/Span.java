package org.swaplane.compare;

/** {@code [start, end)} of a text, in UTF-16 units. */
public record Span(int start, int end) {}
