package org.swaplane.format;

import java.util.function.UnaryOperator;

/**
 * Characters {@code [start, end)} of a text replaced by what {@code change} makes of them; an insertion where both are equal.
 *
 * @param what the segment's key, for messages
 */
public record Splice(long start, long end, String what, UnaryOperator<String> change) {}
