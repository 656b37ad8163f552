package org.swaplane.desktop.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LanguageNamesTest {
    @ParameterizedTest
    @CsvSource({
        "german, de-DE",
        "fren, fr-FR",
        "de-at, de-AT",
        "Brazil, pt-BR",
        "japan, ja-JP",
        "ar,ar",
        "german (aus, de-AT",
        "english (united k, en-GB"
    })
    void theLanguageThatIsMostlyMeantComesFirst(String typed, String code) {
        assertThat(LanguageNames.matching(typed, List.of(), 5)).startsWith(code);
    }

    @Test
    void whatWasChosenLastComesBeforeEverythingElse() {
        assertThat(LanguageNames.matching("german", List.of("de-CH"), 3)).startsWith("de-CH", "de-DE");
    }

    @Test
    void aLanguageIsNamedWithItsCode() {
        assertThat(LanguageNames.withCode("de-DE")).isEqualTo("German (Germany) (de-DE)");
        assertThat(LanguageNames.withCode("x-ferry")).contains("x-ferry");
    }
}
