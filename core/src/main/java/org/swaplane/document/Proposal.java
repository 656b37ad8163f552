package org.swaplane.document;

import org.swaplane.content.Content;

/**
 * A translation that the file proposes for a segment and does not call its target.
 *
 * @param source what it was a translation of; empty where the file does not say
 * @param score how well it fits in percent, -1 where the file does not say
 * @param origin where it comes from, in the words of the file; may be empty
 */
public record Proposal(Content source, Content target, int score, String origin) {
    /** A score as files write it, such as {@code 85}, {@code 85.5%} or {@code 0.85}; -1 for what is none. */
    public static int score(String written) {
        try {
            String number = written.strip().replace("%", "");
            double value = Double.parseDouble(number);
            boolean fraction = value <= 1 && number.contains(".") && !written.contains("%");
            double percent = fraction ? value * 100 : value;
            return percent >= 0 && percent <= 1000 ? (int) percent : -1;
        } catch (NumberFormatException e) {
            return -1;
        }
    }
}
