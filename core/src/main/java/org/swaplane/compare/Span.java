package org.swaplane.compare;

import java.util.Comparator;

/** {@code [start, end)} of a text, in UTF-16 units; ordered as they stand in the text. */
public record Span(int start, int end) implements Comparable<Span> {
    private static final Comparator<Span> IN_TEXT =
            Comparator.comparingInt(Span::start).thenComparingInt(Span::end);

    @Override
    public int compareTo(Span other) {
        return IN_TEXT.compare(this, other);
    }
}
