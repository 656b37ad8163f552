package org.swaplane.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SpelledNumberTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            de | 4       | Vier Boote, die vierte Fahrt, Viertel     | 3
            de | 1       | eine Kabine                               | 1
            en | 24      | in twenty-four or twenty four hours       | 2
            en | 1000000 | one million seats                         | 1
            fr | 80      | quatre-vingts                             | 1
            pl | 2       | dwóch kapitanów                           | 1
            cs | 1       | u jednoho mola                            | 1
            uk | 3       | трьох суден                               | 1
            ar | 2       | راكبان                                    | 1
            zh | 3       | 三天                                       | 1
            zh | 1       | 一般统一                                    | 0
            zh | 1       | 第一                                       | 1
            zh | 12      | 十二小时                                    | 1
            ja | 2       | 二つ                                       | 1
            ko | 2       | 승객 두 명                                  | 1
            ko | 2       | 이 배                                      | 0
            ko | 5       | 오류                                       | 0
            en | 17500   | seventeen thousand five hundred           | 0
            """)
    void wordsThatSayANumberAreCounted(String language, String value, String text, int count) {
        assertThat(SpelledNumber.count(text, value, language)).isEqualTo(count);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            en | 1 | 1 ticket               | fr | un billet                | 1
            en | 1 | a number from 1        | fr | un nombre à partir de    | 0
            en | 1 | a number from 1        | ru | один номер               | 1
            en | 1 | one of 1               | ru | один из                  | 0
            de | 1 | 1 Karte für eine Person | en | one ticket for a person | 1
            de | 1 | eine Karte, 1 Person   | ru | один билет               | 1
            en | 0 | 0 results              | de | Keine Treffer            | 1
            en | 0 | 0 for no limit         | fr | pour aucune limite       | 0
            en | 2 | two of 2               | de | zwei von zwei            | 1
            """)
    void onlyWordsWithoutACounterpartAreLeft(
            String here, String value, String text, String there, String other, int surplus) {
        UnmatchedNumbers one = new UnmatchedNumbers(text, here, List.of());
        UnmatchedNumbers two = new UnmatchedNumbers(other, there, List.of());

        assertThat(SpelledNumber.surplus(one, two, value)).isEqualTo(surplus);
    }
}
