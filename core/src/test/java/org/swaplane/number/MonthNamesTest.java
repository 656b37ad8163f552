package org.swaplane.number;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MonthNamesTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
            en | on 5 March 2027               | 3
            en | May 5th and 6 June            | 5 6
            en | the 5th of November           | 11
            en | You may take 5 bags.          | -
            en | We march 5 miles.             | -
            en | The ferry of March is full.   | -
            de | am 5. März 2027               | 3
            fr | le 1er mai                    | 5
            es | 3 de octubre de 2026          | 10
            ca | 11 d’agost                    | 8
            pl | 11 listopada                  | 11
            ru | 15 декабря 2026 года          | 12
            fi | 5. toukokuuta                 | 5
            hu | 2026. március 15-én           | 3
            tr | 5 Mart'ta                     | 3
            el | στις 5 Μαΐου                  | 5
            ja | 2026年7月8日                    | -
            """)
    void aNameBesideANumberIsThatOfADate(String language, String text, String months) {
        String found = MonthNames.of(language).inDates(text).stream()
                .map(named -> String.valueOf(named.month()))
                .collect(Collectors.joining(" "));

        assertThat(found).isEqualTo(months == null ? "" : months);
    }

    @Test
    void placesAreThoseInTheText() {
        String text = "from 5 March";

        assertThat(MonthNames.of("en").inDates(text))
                .containsExactly(new MonthNames.Named(text.indexOf("March"), text.length(), 3));
    }

    @ParameterizedTest
    @CsvSource({
        "ja, 2026年7月8日, 7, true",
        "ja, 2026年7月8日, 8, false",
        "zh, 12月, 2, false",
        "vi, ngày 5 tháng 4 năm 2026, 4, true",
        "vi, ngày 5 tháng 4 năm 2026, 5, false"
    })
    void someLanguagesNameMonthsWithDigits(String language, String text, int month, boolean named) {
        assertThat(MonthNames.of(language).isInWithDigits(text, month)).isEqualTo(named);
    }
}
