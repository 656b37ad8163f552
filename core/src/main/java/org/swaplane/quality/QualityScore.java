package org.swaplane.quality;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * The score of what was evaluated: 100 × (1 − penalty points / words), which may be below 0.
 *
 * @param words of the sources that were evaluated
 * @param score rounded to four decimals for reading; empty without words
 * @param passed whether the exact score reaches the pass mark, no error is of a failing severity, and no limit is exceeded
 * @param byCategory by categories without their types, those that occur, in the scheme's order
 * @param bySeverity those that occur, in the scheme's order
 */
public record QualityScore(
        long words,
        BigDecimal penalty,
        Optional<BigDecimal> score,
        boolean passed,
        Map<String, Tally> byCategory,
        Map<String, Tally> bySeverity) {
    private static final int DECIMALS = 4;
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    /** How many errors, and what they weigh. */
    public record Tally(int count, BigDecimal penalty) {
        private static final Tally NONE = new Tally(0, BigDecimal.ZERO);

        private Tally plus(BigDecimal weight) {
            return new Tally(count + 1, penalty.add(weight));
        }
    }

    /** Counts errors whose categories and severities are those of the scheme. */
    public static QualityScore of(long words, Collection<Judgement> errors, QualityScheme scheme) {
        Map<String, Tally> byCategory = new LinkedHashMap<>();
        scheme.categories().forEach(category -> byCategory.put(category.id(), Tally.NONE));
        Map<String, Tally> bySeverity = new LinkedHashMap<>();
        scheme.severities().keySet().forEach(severity -> bySeverity.put(severity, Tally.NONE));
        BigDecimal penalty = BigDecimal.ZERO;
        for (Judgement error : errors) {
            BigDecimal weight = scheme.severities().get(error.severity());
            penalty = penalty.add(weight);
            byCategory.computeIfPresent(error.top(), (id, tally) -> tally.plus(weight));
            bySeverity.computeIfPresent(error.severity(), (id, tally) -> tally.plus(weight));
        }
        // Compared without dividing, so that nothing is lost by rounding.
        BigDecimal hundredfold = HUNDRED.multiply(BigDecimal.valueOf(words).subtract(penalty));
        boolean reached = words == 0
                ? penalty.signum() == 0
                : hundredfold.compareTo(scheme.passMark().multiply(BigDecimal.valueOf(words))) >= 0;
        boolean passed = reached
                && scheme.failing().stream()
                        .noneMatch(each -> bySeverity.get(each).count() > 0)
                && scheme.limits().entrySet().stream()
                        .noneMatch(limit -> count(limit.getKey(), byCategory, bySeverity) > limit.getValue());
        Optional<BigDecimal> score = words == 0
                ? Optional.empty()
                : Optional.of(hundredfold.divide(BigDecimal.valueOf(words), DECIMALS, RoundingMode.HALF_UP));
        return new QualityScore(words, penalty, score, passed, occurring(byCategory), occurring(bySeverity));
    }

    private static int count(String id, Map<String, Tally> byCategory, Map<String, Tally> bySeverity) {
        return byCategory
                .getOrDefault(id, bySeverity.getOrDefault(id, Tally.NONE))
                .count();
    }

    private static Map<String, Tally> occurring(Map<String, Tally> tallies) {
        tallies.values().removeIf(tally -> tally.count() == 0);
        return Collections.unmodifiableMap(tallies);
    }
}
