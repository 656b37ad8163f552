package org.swaplane.number;

import java.util.Set;

/**
 * A number, time or date found in a text.
 *
 * @param start begin in the text, UTF-16 units
 * @param end end in the text, exclusive
 * @param written what stands there
 * @param kind what it is
 * @param values what it can mean, in a notation without language: {@code 12.5}, {@code 14:05}, {@code 2026-04-03}; empty when
 *     the language does not write numbers in this way
 */
public record ReadNumber(int start, int end, String written, Kind kind, Set<String> values) {
    public enum Kind {
        NUMBER,
        TIME,
        DATE
    }

    public ReadNumber {
        values = Set.copyOf(values);
    }

    /** Whether both can mean the same. */
    public boolean agreesWith(ReadNumber other) {
        return values.stream().anyMatch(other.values::contains);
    }
}
