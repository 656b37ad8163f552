package org.swaplane.format.delimited;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.document.Note;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.DocumentSample;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Rewriting;
import org.swaplane.format.Selection;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

class DelimitedFormatTest {
    private static final String TABLE = "id;Name;Text\nA1;\"Gull\"\"wick\";\"Open; now\"\nA2;Marram;Closed\n";

    private static DocumentSample choosing(String... patterns) {
        DocumentSample sample = DocumentSample.of("piers.csv", TABLE);
        return sample.with(sample.options().with(DocumentOptions.DEFAULT.with(new Selection(List.of(patterns)))));
    }

    @Test
    void everyCellBelowTheNamesIsAUnit() throws IOException {
        assertThat(choosing().extracted())
                .containsExactly("A2: A1", "B2: Gull\"wick", "C2: Open; now", "A3: A2", "B3: Marram", "C3: Closed");
    }

    @ParameterizedTest
    @CsvSource({"/Text, 'C2,C3'", "/B, 'B2,B3'", "-/id, 'B2,C2,B3,C3'", "/B:C, 'B2,C2,B3,C3'", "/*/3, 'A3,B3,C3'"})
    void columnsAndRowsAreChosen(String pattern, String keys) throws IOException {
        assertThat(choosing(pattern).extracted())
                .extracting(line -> line.substring(0, line.indexOf(':')))
                .containsExactly(keys.split(","));
    }

    @Test
    void aCellGetsQuotationMarksOnlyWhereItNeedsThem() throws IOException {
        assertThat(choosing("/Text").translated(text -> text.equals("Closed") ? "Zu; \"heute\"" : "Offen"))
                .isEqualTo(TABLE.replace("\"Open; now\"", "\"Offen\"").replace("Closed", "\"Zu; \"\"heute\"\"\""));
    }

    @Test
    void aTableWithoutNamesIsTextFromTheFirstRow() throws IOException {
        assertThat(DocumentSample.of("a.tsv", "Mind the gap.\tx\n").extracted())
                .containsExactly("A1: Mind the gap.", "B1: x");
    }

    @Test
    void aTableThatNamesSourceAndTargetIsBilingual() throws IOException {
        String table = "id,en-GB,de-DE,note\n1,See ⟦1⟧quay⟦/1⟧,\"Sieh ⟦1⟧Kai⟦/1⟧\",pier\n2,Go,,\nlonely\n";
        Source source = Source.of("pairs.csv", table.getBytes(StandardCharsets.UTF_8));
        BilingualFile file = FormatRegistry.ofInstalled().open(source, Progress.NONE);

        ByteArrayOutputStream out = new ByteArrayOutputStream();
        file.write(List.of(Rewriting.translated(1, "Geh, \"los\"")), out, Progress.NONE);

        assertThat(file.document().targetLanguage()).isEqualTo("de-DE");
        assertThat(file.document().segments())
                .extracting(Segment::state)
                .containsExactly(State.TRANSLATED, State.INITIAL);
        assertThat(file.document().segments().get(0).notes())
                .extracting(Note::text)
                .containsExactly("pier");
        assertThat(file.document().problems()).hasSize(1);
        assertThat(out.toString(StandardCharsets.UTF_8)).isEqualTo(table.replace("Go,,", "Go,\"Geh, \"\"los\"\"\","));
    }
}
