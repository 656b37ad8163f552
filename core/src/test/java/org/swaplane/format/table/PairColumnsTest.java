package org.swaplane.format.table;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PairColumnsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "English;German|0|1|en|de",
                "Quelle;Ziel|0|1|''|''",
                "Source (en);Translation (de)|0|1|en|de",
                "Englisch;Deutsch|0|1|en|de",
                "id;Anglais;Français|1|2|en|fr",
                "Key;en-GB;de-DE;comment|1|2|en-GB|de-DE",
                "英語;日本語|0|1|en|ja",
                "Исходный текст;Перевод|0|1|''|''",
                "ID;Source text;Target text (pl)|1|2|''|pl",
                "source_en;target_de|0|1|en|de"
            })
    void aFirstRowThatNamesBothIsRecognised(String row, int source, int target, String from, String to) {
        PairColumns columns = PairColumns.of(List.of(row.split(";")));

        assertThat(columns.named()).isTrue();
        assertThat(List.of(columns.source(), columns.target())).containsExactly(source, target);
        assertThat(List.of(columns.sourceLanguage(), columns.targetLanguage())).containsExactly(from, to);
    }

    @ParameterizedTest
    @CsvSource({"Name;Price", "English;Englisch", "The ferry;Die Fähre", "Pier;Time;Fare", "English;Maths"})
    void textsAndOtherNamesAreNoPair(String row) {
        assertThat(PairColumns.of(List.of(row.split(";"))).named()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"English;Remark,English", "Key;Translation,Translation"})
    void aSingleColumnThatCouldBeHalfOfAPairIsSaid(String row, String column) {
        assertThat(PairColumns.doubtful(List.of(row.split(";")))).contains(column);
    }
}
