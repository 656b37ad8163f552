package org.swaplane.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ConversionsTest {
    @ParameterizedTest
    @CsvSource({
        "1-2,45293",
        "1-2,02. Jan",
        "1-2,2-Jan",
        "3/4,03.04.2026",
        "007,7",
        "true,TRUE",
        "TRUE,1",
        "1E5,100000",
        "1234567890123456,1.23457E+15",
        "10.12,10. Dez"
    })
    void whatASpreadsheetMakesOfATextIsDoubtful(String sent, String returned) {
        assertThat(Conversions.isLike(sent, returned)).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"12,13", "Deck 3,Deck 4", "1-2,1–2", "true,wahr", "007,Agent 7", "Kai,Anleger", "5.5,5.6"})
    void whatAPersonWritesIsNot(String sent, String returned) {
        assertThat(Conversions.isLike(sent, returned)).isFalse();
    }
}
