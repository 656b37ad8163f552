package org.swaplane.rates;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.math.BigDecimal;
import java.util.Collections;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.swaplane.effort.Activity;
import org.swaplane.task.CannotProceedException;

/**
 * What was agreed with a client for a language pair, in one currency.
 *
 * @param source language that it is for, as BCP 47 has it; empty for every one, and one without a region is for all its regions
 * @param target likewise
 * @param minimum the least that is billed together; 0 for none
 */
public record RateCard(
        String name,
        String client,
        String source,
        String target,
        Currency currency,
        List<Entry> entries,
        BigDecimal minimum,
        List<Adjustment> adjustments) {
    private static final ObjectMapper JSON =
            new ObjectMapper().enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS);

    /** What is paid for. */
    public enum Unit {
        WORD,
        HOUR,
        FIXED
    }

    /**
     * One rate.
     *
     * @param recipient whose work it is for; empty for one's own
     * @param amount per unit
     * @param byBand other amounts per word, by the name of a band
     * @param billable whether the client pays it; what is not is a cost
     * @param wordsPerHour how fast is expected, for offers by the hour; 0 where nothing is said
     */
    public record Entry(
            Activity activity,
            String recipient,
            Unit unit,
            BigDecimal amount,
            Map<String, BigDecimal> byBand,
            boolean billable,
            int wordsPerHour) {
        public Entry {
            recipient = recipient == null ? "" : recipient;
            byBand = byBand == null ? Map.of() : Collections.unmodifiableMap(new LinkedHashMap<>(byBand));
        }

        /** Per word of a band. */
        public BigDecimal amount(String band) {
            return byBand.getOrDefault(band, amount);
        }
    }

    /**
     * What is added to all that is billed, or taken off.
     *
     * @param percent below 0 for a discount
     */
    public record Adjustment(String name, BigDecimal percent) {}

    public RateCard {
        name = Objects.requireNonNullElse(name, "");
        client = Objects.requireNonNullElse(client, "");
        source = Objects.requireNonNullElse(source, "");
        target = Objects.requireNonNullElse(target, "");
        entries = entries == null ? List.of() : List.copyOf(entries);
        minimum = Objects.requireNonNullElse(minimum, BigDecimal.ZERO);
        adjustments = adjustments == null ? List.of() : List.copyOf(adjustments);
    }

    /** Decimals of the currency; two where the currency has none of its own. */
    public int digits() {
        return Account.digits(currency);
    }

    /** Whether it is for work between these languages. */
    public boolean isFor(String from, String to) {
        return LanguageMatch.of(source, from).isPresent()
                && LanguageMatch.of(target, to).isPresent();
    }

    /** How closely it names these languages, which it is for: of several cards the closest is taken, the target first. */
    int closeness(String from, String to) {
        int classes = LanguageMatch.values().length;
        return LanguageMatch.of(target, to).map(Enum::ordinal).orElse(0) * classes
                + LanguageMatch.of(source, from).map(Enum::ordinal).orElse(0);
    }

    public static String toJson(List<RateCard> cards) {
        try {
            return JSON.writeValueAsString(cards);
        } catch (JsonProcessingException e) {
            throw new AssertionError("values only", e);
        }
    }

    /**
     * Reads what {@link #toJson} wrote; none where there is nothing.
     *
     * @throws CannotProceedException when it is something else
     */
    public static List<RateCard> parse(String json) {
        if (json.isBlank()) {
            return List.of();
        }
        try {
            List<RateCard> cards = JSON.readValue(json, new TypeReference<>() {});
            if (cards.stream().anyMatch(card -> card == null || !card.isComplete())) {
                throw new CannotProceedException("", "problem.rate-cards", "currency");
            }
            return cards;
        } catch (JsonProcessingException e) {
            throw new CannotProceedException(
                    "",
                    "problem.rate-cards",
                    e.getOriginalMessage().lines().findFirst().orElse(""));
        }
    }

    private boolean isComplete() {
        return currency != null
                && minimum.signum() >= 0
                && adjustments.stream().allMatch(each -> each.percent() != null)
                && entries.stream()
                        .allMatch(each -> each.activity() != null
                                && each.unit() != null
                                && each.amount() != null
                                && each.amount().signum() >= 0);
    }
}
