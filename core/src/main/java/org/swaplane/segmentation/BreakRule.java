package org.swaplane.segmentation;

/**
 * Whether a segment ends where {@code before} ends and {@code after} begins (SRX 2.0, section 3.4, rule).
 *
 * @param before regular expression; empty matches anything
 * @param after regular expression; empty matches anything
 */
public record BreakRule(boolean breaks, String before, String after) {}
