package org.swaplane.check;

import java.util.List;
import java.util.Optional;
import org.swaplane.number.ReadNumber;

/**
 * One of two texts, its language, and its numbers without a counterpart in the other.
 *
 * @param left changes as counterparts in other writings are found
 */
record UnmatchedNumbers(String text, String language, List<ReadNumber> left) {
    /** The first of these numbers with such a value. */
    Optional<ReadNumber> find(String value) {
        return left.stream().filter(each -> each.values().contains(value)).findFirst();
    }

    /** What stands between two numbers of the text. */
    String between(ReadNumber first, ReadNumber second) {
        return first.end() > second.start() ? "?" : text.substring(first.end(), second.start());
    }

    /** The only value of a number; empty where it can mean several things. */
    static String value(ReadNumber number) {
        return number.values().size() == 1 ? number.values().iterator().next() : "";
    }

    static String digits(ReadNumber number) {
        return number.written().replaceAll("\\P{Nd}", "");
    }

    /** The digits of all numbers that are left, in a row. */
    String digits() {
        StringBuilder digits = new StringBuilder();
        left.forEach(each -> digits.append(digits(each)));
        return digits.toString();
    }
}
