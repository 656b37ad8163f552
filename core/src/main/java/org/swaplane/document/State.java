package org.swaplane.document;

/** How far a segment is, as in XLIFF 2 (section 4.7.3.1, attribute {@code state}). */
public enum State {
    INITIAL,
    TRANSLATED,
    REVIEWED,
    FINAL
}
