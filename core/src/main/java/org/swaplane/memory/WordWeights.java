package org.swaplane.memory;

import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * How much a word counts by its band.
 *
 * @param percents whole percents of a new word; a band that is not named counts in full
 */
public record WordWeights(Map<WordAnalysis.Band, Integer> percents) {
    private static final int FULL = 100;

    public WordWeights {
        percents = new EnumMap<>(percents);
    }

    /** Every word counts in full. */
    public static final WordWeights NONE = new WordWeights(new EnumMap<>(WordAnalysis.Band.class));

    /** Reads {@code context=0 repetition=10 95-99=30} with bands as {@link WordAnalysis.Band#word} names them; empty for what is not so. */
    public static Optional<WordWeights> parse(String written) {
        Map<WordAnalysis.Band, Integer> percents = new EnumMap<>(WordAnalysis.Band.class);
        for (String each : written.strip().split("[\\s,;]+")) {
            if (each.isEmpty()) {
                continue;
            }
            String[] parts = each.split("=", 2);
            Optional<WordAnalysis.Band> band = Stream.of(WordAnalysis.Band.values())
                    .filter(WordAnalysis.Band::isWork)
                    .filter(one -> one.word().equalsIgnoreCase(parts[0]))
                    .findFirst();
            if (band.isEmpty() || parts.length < 2 || !parts[1].matches("\\d{1,3}%?")) {
                return Optional.empty();
            }
            percents.put(band.get(), Integer.valueOf(parts[1].replace("%", "")));
        }
        return Optional.of(new WordWeights(percents));
    }

    /** Words of all bands of work by these weights; exact, as percents are whole. */
    public BigDecimal of(Map<WordAnalysis.Band, WordAnalysis.Amount> amounts) {
        long hundredths = 0;
        for (WordAnalysis.Band band : WordAnalysis.Band.values()) {
            if (band.isWork()) {
                hundredths += (long) amounts.getOrDefault(band, WordAnalysis.Amount.NOTHING)
                                .words()
                        * percents.getOrDefault(band, FULL);
            }
        }
        return BigDecimal.valueOf(hundredths, 2);
    }

    /** As {@link #parse} reads it. */
    @Override
    public String toString() {
        return percents.entrySet().stream()
                .map(each -> each.getKey().word() + '=' + each.getValue())
                .collect(Collectors.joining(" "));
    }
}
