package org.swaplane.pseudo;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;

/**
 * How a lane pseudo-translates.
 *
 * @param script which letters stand for those of the source
 * @param growth by how much a text grows, in percent of its characters; {@link #BY_LENGTH} for the usual shares, short texts growing most
 * @param begin stands before every text
 * @param end stands behind every text
 * @param numbered whether every text carries the number of its segment, so that one that was cut off or doubled can be traced
 * @param addresses whether web and e-mail addresses stay as they are
 * @param accessKeys whether the letter behind an {@code &} stays as it is
 */
public record PseudoSettings(
        PseudoScript script,
        int growth,
        String begin,
        String end,
        boolean numbered,
        boolean addresses,
        boolean accessKeys) {
    public static final int BY_LENGTH = -1;
    public static final PseudoSettings DEFAULT =
            new PseudoSettings(PseudoScript.ACCENTED, BY_LENGTH, "[", "]", false, true, true);

    private static final ObjectMapper JSON = new ObjectMapper();

    public PseudoSettings {
        growth = Math.max(BY_LENGTH, Math.min(growth, 1000));
    }

    /** Characters that a text of so many gains; the shares are those that layouts are usually asked to allow for. */
    int added(int length) {
        double share = growth >= 0
                ? growth / 100.0
                : length <= 10 ? 1.0 : length <= 20 ? 0.8 : length <= 50 ? 0.5 : length <= 70 ? 0.4 : 0.3;
        return (int) Math.ceil(length * share);
    }

    /** For the lane's database. */
    public String toJson() {
        try {
            return JSON.writeValueAsString(this);
        } catch (JsonProcessingException e) {
            throw new AssertionError("a record of plain values can be written", e);
        }
    }

    /** Reads what {@link #toJson} wrote; the default for nothing. */
    public static PseudoSettings ofJson(String json) {
        try {
            return json.isEmpty() ? DEFAULT : JSON.readValue(json, PseudoSettings.class);
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("the lane holds damaged settings: " + json, e);
        }
    }
}
