package org.swaplane.quality;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AgreementTest {
    /** The textbook tables: how often both said yes, only the first, only the second, neither. */
    @ParameterizedTest
    @CsvSource({"20, 5, 10, 15, 0.4", "45, 15, 25, 15, 0.1304", "25, 35, 5, 35, 0.2593", "10, 0, 0, 10, 1"})
    void kappaOfKnownTables(int both, int first, int second, int neither, double kappa) {
        List<String> one = new ArrayList<>();
        List<String> other = new ArrayList<>();
        add(one, other, both, "yes", "yes");
        add(one, other, first, "yes", "no");
        add(one, other, second, "no", "yes");
        add(one, other, neither, "no", "no");

        Agreement agreement = Agreement.of(one, other);

        assertThat(agreement.kappa().orElseThrow()).isCloseTo(kappa, within(0.00005));
        assertThat(agreement.observed()).isCloseTo((both + neither) / (double) one.size(), within(1e-12));
    }

    private static void add(List<String> one, List<String> other, int times, String first, String second) {
        for (int i = 0; i < times; i++) {
            one.add(first);
            other.add(second);
        }
    }

    @Test
    void whereBothAlwaysSayTheSameThereIsNoKappa() {
        assertThat(Agreement.of(List.of("no", "no"), List.of("no", "no")).kappa())
                .isEmpty();
        assertThat(Agreement.of(List.of(), List.of()).kappa()).isEmpty();
    }

    @Test
    void lessThanChanceIsBelowZero() {
        assertThat(Agreement.of(List.of("a", "b"), List.of("b", "a")).kappa()).contains(-1.0);
    }
}
