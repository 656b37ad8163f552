package org.swaplane.exchange;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What was agreed with somebody for their work. */
public record Rate(BigDecimal amount, Currency currency, Unit unit) {
    private static final Pattern WRITTEN = Pattern.compile("(\\d{1,9}(?:[.,]\\d{1,6})?)\\s*(\\p{L}{3})\\s*/\\s*(\\w+)");

    /** What is paid for. */
    public enum Unit {
        WORD,
        HOUR
    }

    /** Reads {@code 0.11 EUR/word} and {@code 38 EUR/hour}; the decimal sign may be a comma. Empty for what is neither. */
    public static Optional<Rate> parse(String written) {
        Matcher matcher = WRITTEN.matcher(written.strip());
        if (!matcher.matches()) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Rate(
                    new BigDecimal(matcher.group(1).replace(',', '.')),
                    Currency.getInstance(matcher.group(2).toUpperCase(Locale.ROOT)),
                    Unit.valueOf(matcher.group(3).toUpperCase(Locale.ROOT))));
        } catch (IllegalArgumentException e) {
            // No such currency, or another unit.
            return Optional.empty();
        }
    }

    /** As {@link #parse} reads it. */
    @Override
    public String toString() {
        return amount.toPlainString()
                + ' '
                + currency.getCurrencyCode()
                + '/'
                + unit.name().toLowerCase(Locale.ROOT);
    }
}
