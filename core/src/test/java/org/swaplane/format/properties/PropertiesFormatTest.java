package org.swaplane.format.properties;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.Properties;
import org.junit.jupiter.api.Test;
import org.swaplane.document.Note;
import org.swaplane.format.DocumentSample;

class PropertiesFormatTest {
    private static final String BUNDLE = """
            # Marram Sound Ferries
            ! shown on the quay
            board.title = Board \\
                    here
            board.left : {0} of {1} seats aren''t taken
            board.plain=It's windy
            board.number=42
            path\\ name=C:\\\\ferry\\tnow
            """;

    private static Properties loaded(String bundle) throws IOException {
        Properties properties = new Properties();
        properties.load(new StringReader(bundle));
        return properties;
    }

    @Test
    void valuesAreUnitsWithTheirKeysAndCommentsAsNotes() throws IOException {
        DocumentSample sample = DocumentSample.of("a.properties", BUNDLE);

        assertThat(sample.extracted())
                .containsExactly(
                        "board.title: Board here",
                        "board.left: ⟦1/⟧ of ⟦2/⟧ seats aren't taken",
                        "board.plain: It's windy",
                        "path name: C:\\ferry\tnow");
        assertThat(sample.open().document().segments().get(0).notes())
                .extracting(Note::text)
                .containsExactly("Marram Sound Ferries", "shown on the quay");
    }

    @Test
    void theTargetBundleIsWhatAProgramReads() throws IOException {
        String written = DocumentSample.of("a.properties", BUNDLE)
                .translated(text -> text.replace("aren't", "isn't").replace("Board", "Einstieg ü"));

        assertThat(loaded(written).getProperty("board.title")).isEqualTo("Einstieg ü here");
        assertThat(loaded(written).getProperty("board.left")).isEqualTo("{0} of {1} seats isn''t taken");
        assertThat(loaded(written).getProperty("path name")).isEqualTo("C:\\ferry\tnow");
        assertThat(written).contains("! shown on the quay\nboard.title = Einstieg ü here\nboard.left : ");
    }

    @Test
    void aFileInAsciiStaysInAscii() throws IOException {
        assertThat(DocumentSample.of("a.properties", "a=caf\\u00e9\n").translated(text -> "Ü" + text))
                .isEqualTo("a=\\u00DCcaf\\u00E9\n");
    }

    @Test
    void whatLatinOneLacksIsWrittenByNumber() throws IOException {
        DocumentSample latin = DocumentSample.of("a.properties", "a=Überfahrt\n", StandardCharsets.ISO_8859_1);

        byte[] written = latin.written(DocumentSample.translated(latin.open(), text -> text + " 3 €"));

        assertThat(latin.open().document().encoding()).isEqualTo("ISO-8859-1");
        assertThat(new String(written, StandardCharsets.ISO_8859_1)).isEqualTo("a=Überfahrt 3 \\u20AC\n");
    }
}
