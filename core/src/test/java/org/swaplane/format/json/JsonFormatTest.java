package org.swaplane.format.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentSample;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Rewriting;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class JsonFormatTest {
    private static final String FILE = """
            {
              "quay": { "title" : "Leave at {time}. Be on time!", "seats": 40 },
              "list": ["One \\"two\\"", "", "<b>Go</b> on"],
              "number": "12"
            }
            """;

    @Test
    void stringsAreUnitsWithTheirPath() throws IOException {
        assertThat(DocumentSample.of("a.json", FILE).extracted())
                .containsExactly(
                        "/quay/title: Leave at ⟦1/⟧.",
                        "/quay/title@11: Be on time!",
                        "/list/0: One \"two\"",
                        "/list/2: ⟦1⟧Go⟦/1⟧ on");
    }

    @Test
    void onlyTheStringsChange() throws IOException {
        String written = DocumentSample.of("a.json", FILE).translated(text -> text.replace("time", "Zeit \\ \"x\""));

        assertThat(written).isEqualTo(FILE.replace("Be on time!", "Be on Zeit \\\\ \\\"x\\\"!"));
        assertThat(new ObjectMapper().readTree(written).at("/quay/title").asText())
                .isEqualTo("Leave at {time}. Be on Zeit \\ \"x\"!");
    }

    @Test
    void brokenJsonIsRefusedWithItsPlace() {
        assertThatThrownBy(() ->
                        DocumentSample.of("a.json", "{\n \"a\": \"b\",\n}").open())
                .isInstanceOf(CannotProceedException.class)
                .hasMessageStartingWith("a.json:3:");
        assertThatThrownBy(() -> DocumentSample.of("a.json", "[".repeat(10_000)).open())
                .isInstanceOf(CannotProceedException.class);
    }

    private static String branched(String file, String... targets) throws IOException {
        BilingualFile opened = FormatRegistry.ofInstalled()
                .open(
                        Source.of("a.json", file.getBytes(StandardCharsets.UTF_8)),
                        FileOptions.ofLanguages("en-GB", "de-DE"),
                        Progress.NONE);
        List<SegmentEdit> edits = new ArrayList<>();
        for (int i = 0; i < targets.length; i++) {
            if (!targets[i].isEmpty()) {
                edits.add(Rewriting.translated(i, targets[i]));
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        opened.write(edits, out, Progress.NONE);
        return out.toString(StandardCharsets.UTF_8);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            {"en": {"a": "One", "n": 1}, "fr": {"a": "Un"}}    | Eins |      | {"en": {"a": "One", "n": 1}, "fr": {"a": "Un"},"de": {"a": "Eins"}}
            {"en": {"a": "One"}, "de": {"a": "Ein"}}           | Eins |      | {"en": {"a": "One"}, "de": {"a": "Eins"}}
            {"en": {"a": "One", "b": "Two"}, "de": {}}         |      | Zwei | {"en": {"a": "One", "b": "Two"}, "de": { "b": "Zwei"}}
            {"en": {"a": "One", "b": "Two"}, "de": {"x": "y"}} | Eins | Zwei | {"en": {"a": "One", "b": "Two"}, "de": {"x": "y","a": "Eins", "b": "Zwei"}}
            {"t": {"en_GB": "One"}, "u": {"en_GB": "Two"}}     | Eins |      | {"t": {"en_GB": "One","de_DE": "Eins"}, "u": {"en_GB": "Two"}}
            {"en": {"l": ["One", "Two"]}, "de": {}}            |      | Zwei | {"en": {"l": ["One", "Two"]}, "de": {"l": ["", "Zwei"]}}
            """)
    void aFileOfSeveralLanguagesGetsTheTargetInItsBranch(String file, String first, String second, String written)
            throws IOException {
        assertThat(branched(file, first == null ? "" : first, second == null ? "" : second))
                .isEqualTo(written);
        assertThat(branched(file)).isEqualTo(file);
    }

    private static final String PIERS = "{n, plural, one {One pier of {n}} other {# piers}}";

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            {"en": "MESSAGE"}                               | Ein   | # Kais | {"en": "MESSAGE","de": "{n, plural, one {Ein} other {# Kais}}"}
            {"en": "MESSAGE", "de": ""}                     | Ein   |        | {"en": "MESSAGE", "de": "{n, plural, one {Ein} other {# piers}}"}
            {"en": "MESSAGE", "de": "{n,plural,one{A}other{B}}"} |  | Kais   | {"en": "MESSAGE", "de": "{n, plural, one {A} other {Kais}}"}
            {"en": "MESSAGE", "de": "{n,plural,other{B}}"}  | Kais  |        | {"en": "MESSAGE", "de": "Kais"}
            """)
    void eachVariantOfAMessageIsATextInABranchToo(String file, String first, String second, String written)
            throws IOException {
        String whole = file.replace("MESSAGE", PIERS);

        assertThat(branched(whole, first == null ? "" : first, second == null ? "" : second))
                .isEqualTo(written.replace("MESSAGE", PIERS));
        assertThat(branched(whole)).isEqualTo(whole);
    }

    @Test
    void namesThatOnlyLookLikeLanguagesMakeNoBranch() throws IOException {
        DocumentSample sample = DocumentSample.of("a.json", "{\"en\": \"One\", \"title\": \"Two\"}");

        assertThat(sample.extracted()).containsExactly("/en: One", "/title: Two");
    }
}
