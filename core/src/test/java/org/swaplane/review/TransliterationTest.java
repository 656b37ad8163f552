package org.swaplane.review;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TransliterationTest {
    @ParameterizedTest
    @CsvSource({
        "ru-RU, parom, паром",
        "uk, more, море",
        "el-GR, plio, πλιο",
        "ar, bab, بَب",
        "hi, nadi, नदि",
        "ko-KR, han, 한",
        "ja-JP, fune, ふね"
    })
    void latinLettersBecomeThoseOfTheLanguage(String language, String typed, String written) {
        assertThat(Transliteration.of(language).orElseThrow().written(typed)).isEqualTo(written);
    }

    @ParameterizedTest
    @ValueSource(strings = {"de-DE", "en", "", "zz"})
    void latinLanguagesAreTypedAsTheyAre(String language) {
        assertThat(Transliteration.of(language)).isEmpty();
    }
}
