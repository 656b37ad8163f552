package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.junit.jupiter.api.Test;

class MessageTest {
    private static final String CART =
            "Hi {name}, {count, plural, =0 {it''s empty} one {# ferry} other {{who, select, m {his} other {their}} # ferries}}!";

    private static DocumentSample json(String message) {
        return DocumentSample.of("a.json", "{\"cart\": \"" + message + "\"}");
    }

    @Test
    void everyVariantIsAUnitAndArgumentsAreTags() throws IOException {
        assertThat(json(CART).extracted())
                .containsExactly(
                        "/cart: Hi ⟦1/⟧, ⟦2/⟧!",
                        "/cart count==0: it's empty",
                        "/cart count=one: ⟦1/⟧ ferry",
                        "/cart count=other: ⟦1/⟧ ⟦2/⟧ ferries",
                        "/cart count=other who=m: his",
                        "/cart count=other who=other: their");
    }

    @Test
    void aVariantIsWrittenInItsPlaceAtAnyDepth() throws IOException {
        String written = json(CART).translated(text -> text.replace("their", "ihre")
                .replace("ferry", "'Fähre'")
                .replace("Hi", "{Hallo}"));

        assertThat(written)
                .isEqualTo("{\"cart\": \"'{'Hallo'}' {name}, {count, plural, =0 {it's empty} one {# 'Fähre''}"
                        + " other {{who, select, m {his} other {ihre}} # ferries}}!\"}");
        assertThat(json(written.substring(10, written.length() - 2)).extracted())
                .contains("/cart: {Hallo} ⟦1/⟧, ⟦2/⟧!", "/cart count=one: ⟦1/⟧ 'Fähre'");
    }

    @Test
    void aMessageThatIsOnlyVariantsHasNoUnitOfItsOwn() throws IOException {
        DocumentSample sample =
                DocumentSample.of("a.properties", "ferries={0, plural, one {one ferry} other {# ferries don''t}}\n");

        assertThat(sample.extracted())
                .containsExactly("ferries 0=one: one ferry", "ferries 0=other: ⟦1/⟧ ferries don't");
        assertThat(sample.translated(text -> text.replace("one ferry", "'ne Fähre")))
                .isEqualTo("ferries={0, plural, one {''ne Fähre} other {# ferries don''t}}\n");
    }

    @Test
    void aBrokenMessageIsText() throws IOException {
        assertThat(json("{n, plural, one {x}").extracted()).hasSize(1);
    }
}
