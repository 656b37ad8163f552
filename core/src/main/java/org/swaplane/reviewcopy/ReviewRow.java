package org.swaplane.reviewcopy;

/** One segment in a copy; texts are written with {@link org.swaplane.content.TagNotation}. */
public record ReviewRow(RowCode code, String source, String target, String comment, boolean locked) {}
