package org.swaplane.quality;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How far two reviewers agree about the same segments, beyond what chance would give: Cohen's kappa (1960).
 *
 * @param observed share of the segments about which they agree
 * @param expected share about which two who judge at random, each as often as before, would agree
 * @param kappa empty where it is not defined: both gave one and the same verdict everywhere
 */
public record Agreement(int segments, double observed, double expected, Optional<Double> kappa) {
    /** The verdicts of both, segment by segment; equal texts are equal verdicts. */
    public static Agreement of(List<String> one, List<String> other) {
        if (one.size() != other.size()) {
            throw new IllegalArgumentException(one.size() + " verdicts against " + other.size());
        }
        int all = one.size();
        if (all == 0) {
            return new Agreement(0, 0, 0, Optional.empty());
        }
        Map<String, Integer> ofOne = new HashMap<>();
        Map<String, Integer> ofOther = new HashMap<>();
        int same = 0;
        for (int i = 0; i < all; i++) {
            ofOne.merge(one.get(i), 1, Integer::sum);
            ofOther.merge(other.get(i), 1, Integer::sum);
            same += one.get(i).equals(other.get(i)) ? 1 : 0;
        }
        long byChance = 0;
        for (Map.Entry<String, Integer> each : ofOne.entrySet()) {
            byChance += (long) each.getValue() * ofOther.getOrDefault(each.getKey(), 0);
        }
        long square = (long) all * all;
        Optional<Double> kappa = byChance == square
                ? Optional.empty()
                : Optional.of((double) ((long) same * all - byChance) / (square - byChance));
        return new Agreement(all, (double) same / all, (double) byChance / square, kappa);
    }
}
