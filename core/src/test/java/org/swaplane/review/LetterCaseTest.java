package org.swaplane.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LetterCaseTest {
    @ParameterizedTest
    @CsvSource({
        "en, ferry pier, Ferry Pier, FERRY PIER",
        "tr, izmir, İzmir, İZMİR",
        "nl, ijsland, IJsland, IJSLAND",
        "el, φέρι, Φέρι, ΦΕΡΙ",
        "de, straße, Straße, STRASSE"
    })
    void caseChangesByTheRulesOfTheLanguage(String language, String small, String titled, String capitals) {
        Locale locale = Locale.forLanguageTag(language);

        assertThat(LetterCase.next(small, locale)).isEqualTo(titled);
        assertThat(LetterCase.next(titled, locale)).isEqualTo(capitals);
        assertThat(LetterCase.next("mIXed", locale)).isEqualTo("mIXed".toLowerCase(locale));
    }

    @ParameterizedTest
    @CsvSource({"en, FERRY, ferry", "en, 12, 12", "ja, 桟橋, 桟橋"})
    void afterCapitalsComeSmallLetters(String language, String words, String next) {
        assertThat(LetterCase.next(words, Locale.forLanguageTag(language))).isEqualTo(next);
    }
}
