package org.swaplane.format.markdown;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.DocumentSample;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Selection;

class MarkdownFormatTest {
    private static final String PAGE = """
            ---
            title: "The \\"Gull\\""
            summary: Two piers
            layout: page
            ---
            # Timetable *summer*

            Leaves at `14:05` from [the **quay**](quay.md "map").
            Be on time.

            > A quotation
            > of two lines

            * item
              1. inner {count}

            | Pier | Fare |
            |------|-----:|
            | Gullwick | ![A ferry](f.png) 4.20 |

            ```
            not text
            ```
            <div>not text</div>
            """;

    @Test
    void blocksAreUnitsAndMarksAreTags() throws IOException {
        assertThat(DocumentSample.of("a.md", PAGE).extracted())
                .containsExactly(
                        "title: The \"Gull\"",
                        "summary: Two piers",
                        "heading 1: Timetable ⟦1⟧summer⟦/1⟧",
                        "paragraph 1: Leaves at ⟦1/⟧ from ⟦2⟧the ⟦3⟧quay⟦/3⟧⟦/2⟧.",
                        "paragraph 1@26: Be on time.",
                        "paragraph 1 tip 1: map",
                        "paragraph 2: A quotation of two lines",
                        "paragraph 3: item",
                        "paragraph 4: inner ⟦1/⟧",
                        "cell 1: Pier",
                        "cell 2: Fare",
                        "cell 3: Gullwick",
                        "cell 4: ⟦1⟧A ferry⟦/1⟧ 4.20");
    }

    @Test
    void onlyTextChanges() throws IOException {
        String written = DocumentSample.of("a.md", PAGE).translated(text -> text.replace("item", "Punkt"));

        assertThat(written).contains("* Punkt\n").contains("(quay.md \"map\")").endsWith("<div>not text</div>\n");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            5 * 6 [x] `y`  | 5 \\* 6 \\[x\\] \\`y\\`
            # no heading   | \\# no heading
            1. no list     | 1\\. no list
            - no list      | \\- no list
            x_y_z _a_      | x_y_z \\_a\\_
            a <1> &amp c   | a <1> &amp c
            """)
    void textIsNeverReadAsAMark(String translation, String written) throws IOException {
        DocumentSample sample = DocumentSample.of("a.md", "Word\n");

        assertThat(sample.translated(text -> translation)).isEqualTo(written + "\n");
        assertThat(DocumentSample.of("a.md", written + "\n").extracted())
                .containsExactly("paragraph 1: " + translation);
    }

    @Test
    void tipsOfLinksAndPicturesAreUnits() throws IOException {
        DocumentSample page = DocumentSample.of(
                "a.md",
                "Go [there](quay.md 'the \"map\"') or ![A](a.png (pier \\) two)) [on][1].\n\n[1]: b.md \"the ferry\"\n");

        assertThat(page.extracted())
                .containsExactly(
                        "paragraph 1: Go ⟦1⟧there⟦/1⟧ or ⟦2⟧A⟦/2⟧ ⟦3⟧on⟦/3⟧.",
                        "paragraph 1 tip 1: the \"map\"",
                        "paragraph 1 tip 2: pier ) two",
                        "definition 1 tip: the ferry");
        assertThat(page.translated(text -> text.replace("the ", "la 'x' ")))
                .isEqualTo(
                        "Go [there](quay.md 'la \\'x\\' \"map\"') or ![A](a.png (pier \\) two)) [on][1].\n\n[1]: b.md \"la 'x' ferry\"\n");
    }

    @Test
    void valuesOfTheFrontMatterCanBeChosen() throws IOException {
        DocumentSample sample = DocumentSample.of("a.md", PAGE);
        FileOptions options = sample.options().with(DocumentOptions.DEFAULT.with(new Selection(List.of("/layout"))));

        assertThat(sample.with(options).extracted()).startsWith("layout: page", "heading 1: Timetable ⟦1⟧summer⟦/1⟧");
        assertThat(DocumentSample.of("a.md", "---\ntitle: Pier\n---\n").translated(text -> "# Steg: 'neu'"))
                .isEqualTo("---\ntitle: \"# Steg: 'neu'\"\n---\n");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"One \\\nTwo", "One\\\nTwo", "One  \nTwo", "> One \\\n> Two", "| One  | Two |\n|---|---|\n"})
    void spacesBeforeALineBreakAndAroundACellStay(String text) throws IOException {
        DocumentSample sample = DocumentSample.of("a.md", text);

        String written = new String(
                sample.written(DocumentSample.translated(sample.open(), each -> each.toUpperCase(Locale.ROOT))),
                StandardCharsets.UTF_8);

        assertThat(written).isEqualTo(text.toUpperCase(Locale.ROOT));
    }
}
