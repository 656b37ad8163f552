package org.swaplane.document;

/** A remark on a segment; {@code from} is empty where nobody signed it. */
public record Note(String text, String from) {}
