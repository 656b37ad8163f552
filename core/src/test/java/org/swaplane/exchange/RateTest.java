package org.swaplane.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RateTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0,11 EUR/word|0.11 EUR/word",
                " 38 usd / hour |38 USD/hour",
                "0.105GBP/Word|0.105 GBP/word",
            })
    void isReadInTheWritingOfPeople(String written, String kept) {
        assertThat(Rate.parse(written)).get().hasToString(kept);
        assertThat(Rate.parse(kept)).isEqualTo(Rate.parse(written));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "0.11",
                "0.11 EUR",
                "EUR/word",
                "-1 EUR/word",
                "1.000,50 EUR/word",
                "1 XQX/word",
                "1 EUR/page"
            })
    void whatIsNoneIsNotGuessed(String written) {
        assertThat(Rate.parse(written)).isEmpty();
    }
}
