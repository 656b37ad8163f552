package org.swaplane.rates;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What work comes to by rate cards. Every line is computed in decimals from the exact quantity and rounded once, half up, to the digits of
 * its currency; a total is the sum of its lines as they stand on paper. Currencies are never added to each other.
 */
public record Account(List<AmountLine> lines) {
    public static final BigDecimal MILLIS_OF_AN_HOUR = BigDecimal.valueOf(3_600_000);
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
    private static final int HOUR_DECIMALS = 3;

    public Account {
        lines = List.copyOf(lines);
    }

    /** Decimals of a currency; two where it has none of its own. */
    public static int digits(Currency currency) {
        int digits = currency.getDefaultFractionDigits();
        return digits < 0 ? 2 : digits;
    }

    /** Milliseconds as decimal hours for reading: 95 s are 0.026. */
    public static BigDecimal hours(long millis) {
        return BigDecimal.valueOf(millis).divide(MILLIS_OF_AN_HOUR, HOUR_DECIMALS, RoundingMode.HALF_UP);
    }

    /** Prices work; for each language pair by the card that names it most closely, of several in different currencies all. */
    public static Account of(Collection<Work> work, List<RateCard> cards) {
        List<AmountLine> lines = new ArrayList<>();
        for (RateCard card : cards) {
            List<AmountLine> ofCard = new ArrayList<>();
            for (Work each : work) {
                if (closest(each, card, cards)) {
                    card.entries().forEach(entry -> price(each, entry, card, ofCard));
                }
            }
            boolean any = work.stream().anyMatch(each -> closest(each, card, cards));
            if (any) {
                fixed(card, ofCard);
                wholeOf(card, ofCard);
            }
            lines.addAll(ofCard);
        }
        return new Account(lines);
    }

    private static boolean closest(Work work, RateCard card, List<RateCard> cards) {
        Optional<RateCard> best = cards.stream()
                .filter(each -> each.currency().equals(card.currency()))
                .filter(each -> each.isFor(work.sourceLanguage(), work.targetLanguage()))
                .max(Comparator.comparingInt(each -> each.closeness(work.sourceLanguage(), work.targetLanguage())));
        return best.filter(each -> each == card).isPresent();
    }

    private static void price(Work work, RateCard.Entry entry, RateCard card, List<AmountLine> lines) {
        if (entry.activity() != work.activity() || !entry.recipient().equals(work.recipient())) {
            return;
        }
        if (entry.unit() == RateCard.Unit.WORD) {
            work.words().forEach((band, words) -> {
                if (words > 0) {
                    BigDecimal quantity = BigDecimal.valueOf(words);
                    BigDecimal amount =
                            quantity.multiply(entry.amount(band)).setScale(card.digits(), RoundingMode.HALF_UP);
                    lines.add(
                            line(AmountLine.Kind.WORDS, work, entry, card, band, quantity, entry.amount(band), amount));
                }
            });
        } else if (entry.unit() == RateCard.Unit.HOUR) {
            price(work, entry, card).ifPresent(lines::add);
        }
    }

    /** By the hour; where the time is not known, by how fast is expected. */
    private static Optional<AmountLine> price(Work work, RateCard.Entry entry, RateCard card) {
        BigDecimal numerator = BigDecimal.valueOf(work.millis());
        BigDecimal denominator = MILLIS_OF_AN_HOUR;
        if (work.millis() == 0 && entry.wordsPerHour() > 0) {
            numerator = BigDecimal.valueOf(work.allWords());
            denominator = BigDecimal.valueOf(entry.wordsPerHour());
        }
        if (numerator.signum() == 0) {
            return Optional.empty();
        }
        // Divided last, so that the exact time is priced and not the hours that are shown.
        BigDecimal amount = numerator.multiply(entry.amount()).divide(denominator, card.digits(), RoundingMode.HALF_UP);
        BigDecimal hours = numerator.divide(denominator, HOUR_DECIMALS, RoundingMode.HALF_UP);
        return Optional.of(line(AmountLine.Kind.HOURS, work, entry, card, "", hours, entry.amount(), amount));
    }

    /** What is paid once, whatever the work. */
    private static void fixed(RateCard card, List<AmountLine> lines) {
        for (RateCard.Entry entry : card.entries()) {
            if (entry.unit() == RateCard.Unit.FIXED) {
                lines.add(new AmountLine(
                        AmountLine.Kind.FIXED,
                        entry.activity(),
                        card.source(),
                        card.target(),
                        entry.recipient(),
                        "",
                        BigDecimal.ONE,
                        entry.amount(),
                        entry.amount().setScale(card.digits(), RoundingMode.HALF_UP),
                        card.currency(),
                        entry.billable()));
            }
        }
    }

    /** Surcharges and discounts of what is billed, each of the sum above all of them; then what is missing to the minimum. */
    private static void wholeOf(RateCard card, List<AmountLine> lines) {
        BigDecimal subtotal = sum(lines, true);
        for (RateCard.Adjustment each : card.adjustments()) {
            BigDecimal amount = subtotal.multiply(each.percent()).divide(HUNDRED, card.digits(), RoundingMode.HALF_UP);
            lines.add(whole(AmountLine.Kind.PERCENT, card, each.name(), each.percent(), subtotal, amount));
        }
        BigDecimal missing = card.minimum().subtract(sum(lines, true));
        if (missing.signum() > 0 && card.minimum().signum() > 0) {
            lines.add(whole(
                    AmountLine.Kind.MINIMUM,
                    card,
                    "",
                    BigDecimal.ONE,
                    card.minimum(),
                    missing.setScale(card.digits(), RoundingMode.HALF_UP)));
        }
    }

    private static BigDecimal sum(List<AmountLine> lines, boolean billable) {
        return lines.stream()
                .filter(line -> line.billable() == billable)
                .map(AmountLine::amount)
                .reduce(BigDecimal.ZERO, BigDecimal::add);
    }

    private static AmountLine whole(
            AmountLine.Kind kind,
            RateCard card,
            String label,
            BigDecimal quantity,
            BigDecimal rate,
            BigDecimal amount) {
        return new AmountLine(
                kind, null, card.source(), card.target(), "", label, quantity, rate, amount, card.currency(), true);
    }

    private static AmountLine line(
            AmountLine.Kind kind,
            Work work,
            RateCard.Entry entry,
            RateCard card,
            String label,
            BigDecimal quantity,
            BigDecimal rate,
            BigDecimal amount) {
        return new AmountLine(
                kind,
                work.activity(),
                work.sourceLanguage(),
                work.targetLanguage(),
                work.recipient(),
                label,
                quantity,
                rate,
                amount,
                card.currency(),
                entry.billable());
    }

    /** The sum of what is billed, or of what is not, by currency code. */
    public Map<String, BigDecimal> totals(boolean billable) {
        Map<String, BigDecimal> totals = new LinkedHashMap<>();
        for (AmountLine line : lines) {
            if (line.billable() == billable) {
                totals.merge(line.currency().getCurrencyCode(), line.amount(), BigDecimal::add);
            }
        }
        return totals;
    }

    /** The same with more lines. */
    public Account with(List<AmountLine> more) {
        List<AmountLine> all = new ArrayList<>(lines);
        all.addAll(more);
        return new Account(all);
    }
}
