package org.swaplane.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CompletionTest {
    @ParameterizedTest
    @CsvSource({
        "Die Fä, Fä",
        "Die F, ''",
        "'Die Fähre ', ''",
        "'', ''",
        "E-Ma, E-Ma",
        "um 14:05, 05",
        "naïf’s, naïf’s",
        "Нов, Нов"
    })
    void theWordThatIsBegunStandsBeforeTheCaret(String before, String begun) {
        assertThat(Completion.begun(before)).isEqualTo(begun);
    }

    @Test
    void termsComeFirstThenWordsInTheOrderOfTheirTexts() {
        List<String> found = Completion.of(
                "fä",
                List.of("Fährhafen am Kai", "Anleger"),
                List.of("Die Fähre nach Gullwick", "Fährt die Fähre? Fädeln"),
                10);

        assertThat(found).containsExactly("Fährhafen am Kai", "Fähre", "Fährt", "Fädeln");
    }

    @Test
    void aWordThatIsWholeIsNotOfferedAgainAndTheListIsShort() {
        assertThat(Completion.of("Fähre", List.of(), List.of("Fähre Fähren"), 5))
                .containsExactly("Fähren");
        assertThat(Completion.of("a", List.of(), List.of("ab ac ad ae"), 2)).hasSize(2);
        assertThat(Completion.of("", List.of("Fähre"), List.of(), 5)).isEmpty();
    }
}
