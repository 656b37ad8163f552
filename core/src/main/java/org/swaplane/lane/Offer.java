package org.swaplane.lane;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.Optional;
import org.swaplane.rates.Account;
import org.swaplane.rates.AmountLine;

/**
 * What was offered before the work.
 *
 * @param at when, as ISO 8601 writes it
 */
public record Offer(String at, List<AmountLine> lines) {
    private static final ObjectMapper JSON =
            new ObjectMapper().enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS);

    public Account account() {
        return new Account(lines);
    }

    String toJson() {
        try {
            return JSON.writeValueAsString(this);
        } catch (JsonProcessingException e) {
            throw new AssertionError("values only", e);
        }
    }

    /** Reads what {@link #toJson} wrote; empty for nothing. */
    static Optional<Offer> parse(String json) {
        if (json.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(JSON.readValue(json, Offer.class));
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("the lane's offer", e);
        }
    }
}
