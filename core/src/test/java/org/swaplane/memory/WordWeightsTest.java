package org.swaplane.memory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.memory.WordAnalysis.Amount;
import org.swaplane.memory.WordAnalysis.Band;

class WordWeightsTest {
    private static final Map<Band, Amount> AMOUNTS = Map.of(
            Band.CONTEXT, new Amount(2, 15, 80),
            Band.FROM_95, new Amount(1, 7, 40),
            Band.NONE, new Amount(4, 33, 200),
            Band.LOCKED, new Amount(3, 50, 300));

    @Test
    void wordsCountByTheirBandAndLockedOnesNotAtAll() {
        WordWeights weights = WordWeights.parse("context=0, 95-99=33%").orElseThrow();

        // 15 x 0 + 7 x 0.33 + 33
        assertThat(weights.of(AMOUNTS)).isEqualByComparingTo("35.31");
        assertThat(WordWeights.NONE.of(AMOUNTS)).isEqualByComparingTo("55");
        assertThat(WordWeights.parse(weights.toString())).contains(weights);
    }

    @ParameterizedTest
    @ValueSource(strings = {"context", "context=x", "context=-1", "locked=10", "80-90=5", "context=1000"})
    void whatIsNoTableIsNotGuessed(String written) {
        assertThat(WordWeights.parse(written)).isEmpty();
    }
}
