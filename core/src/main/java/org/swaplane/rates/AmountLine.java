package org.swaplane.rates;

import java.math.BigDecimal;
import java.util.Currency;
import org.swaplane.effort.Activity;

/**
 * One line of an offer or account.
 *
 * @param activity null for a line about the whole: the minimum, a surcharge, a discount
 * @param label the band, or the name of the adjustment; may be empty
 * @param quantity words; hours to three decimals, for reading; pieces; percent
 * @param rate per unit
 * @param amount computed from the exact quantity, rounded once
 */
public record AmountLine(
        Kind kind,
        Activity activity,
        String sourceLanguage,
        String targetLanguage,
        String recipient,
        String label,
        BigDecimal quantity,
        BigDecimal rate,
        BigDecimal amount,
        Currency currency,
        boolean billable) {
    /** What it is computed from. */
    public enum Kind {
        WORDS,
        HOURS,
        FIXED,
        /** A share of the lines above it. */
        PERCENT,
        /** What is missing to the least that is billed. */
        MINIMUM
    }
}
