package org.swaplane.document;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LanguageCodeTest {
    @ParameterizedTest
    @ValueSource(
            strings = {"", "de", "de-DE", "zh-Hant-TW", "es-419", "gsw", "sr-Latn", "qaa", "und", "fil-PH", "x-private"
            })
    void codesThatFilesMayHaveAreRight(String code) {
        assertThat(LanguageCode.fault(code)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"de_DE", "german", "xq", "d", "de--DE", "e n"})
    void othersAreSaidToBeNone(String code) {
        assertThat(LanguageCode.fault(code)).contains("\"" + code + "\"");
    }
}
