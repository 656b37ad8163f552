package org.swaplane.desktop.text;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IsolatesTest {
    @ParameterizedTest
    @CsvSource({
        "بقي %d أماكن, بقي [%d] أماكن",
        "الساعة 10:30 من الرصيف 3, الساعة [10:30] من الرصيف 3",
        "بقي {count} أماكن, بقي [{count}] أماكن",
        "انظر https://marram.example/info الآن, انظر [https://marram.example/info] الآن",
        "خصم 15 % اليوم, خصم 15 % اليوم"
    })
    void whatKeepsItsOrderStandsBetweenMarks(String text, String shown) {
        String marked = Isolates.apply(text, Isolates.of(text));

        assertThat(marked.replaceFirst("\u200E", "[").replaceFirst("\u200E", "]"))
                .isEqualTo(shown);
        assertThat(marked.replace("\u200E", "")).isEqualTo(text);
    }

    @Test
    void wordsAreTheWholeText() {
        assertThat(Words.of("تغادر العبارة  10:30 ")).containsExactly("تغادر ", "العبارة  ", "10:30 ");
        assertThat(Words.of(" a")).containsExactly(" ", "a");
        assertThat(Words.of("")).containsExactly("");
    }
}
