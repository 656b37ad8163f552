package org.swaplane.review;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;

class FormattingTest {
    @ParameterizedTest
    @CsvSource({
        "<b>, b, BOLD",
        "'<g id=\"1\" ctype=\"bold\">', bold, BOLD",
        "<w:rPr><w:b/></w:rPr>, b, BOLD",
        "'<pc id=\"1\" type=\"fmt\" subType=\"xlf:i\">', '', ITALIC",
        "<strong>, '', BOLD",
        "*, emphasis, ITALIC",
        "<u>, u, UNDERLINE"
    })
    void theFormatIsToldByWhatTheTagStandsFor(String code, String label, Formatting format) {
        Tag open = new Tag(Tag.Kind.OPEN, "g:1", code, label);
        Tag close = new Tag(Tag.Kind.CLOSE, "g:1", "x", label);
        Content source = Content.of(open, new Text("Pier"), close);

        assertThat(format.missing(source, Content.of("Anleger"))).containsExactly(open, close);
        assertThat(format.missing(source, source)).isEmpty();
        for (Formatting other : Formatting.values()) {
            if (other != format) {
                assertThat(other.missing(source, Content.EMPTY)).isEmpty();
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"<a href=\"/boats\">, a", "<bpt id=\"1\">, ''"})
    void otherTagsAreNoFormats(String code, String label) {
        Content source =
                Content.of(new Tag(Tag.Kind.OPEN, "a:1", code, label), new Tag(Tag.Kind.CLOSE, "a:1", "</a>", label));

        for (Formatting format : Formatting.values()) {
            assertThat(format.missing(source, Content.EMPTY)).isEmpty();
        }
    }
}
