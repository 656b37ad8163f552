package org.swaplane.placeholder;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;

class PlaceholderTagsTest {
    private final PlaceholderTags tags = new PlaceholderTags(new Placeholders());

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{count} seats, %1$s | ⟦1/⟧ seats, ⟦2/⟧",
                "<b>Go</b> now<br/> | ⟦1⟧Go⟦/1⟧ now⟦2/⟧",
                "<b>One <i>two</i></b> | ⟦1⟧One ⟦2⟧two⟦/2⟧⟦/1⟧",
                "open <b>only | open ⟦1/⟧only",
                "</i>closed only | ⟦1/⟧closed only",
                "{name} and {name} | ⟦1/⟧ and ⟦2/⟧",
                "5 % discount | 5 % discount"
            })
    void placeholdersAreTagsAndElementsArePairs(String text, String expected) {
        Content content = tags.tagged(text);

        assertThat(TagNotation.write(content, content)).isEqualTo(expected);
    }

    @Property
    void nothingOfTheTextIsLost(@ForAll("texts") String text) {
        assertThat(tags.tagged(text).withCodes()).isEqualTo(text);
    }

    @Provide
    Arbitrary<String> texts() {
        return Arbitraries.of(
                        "a ", "{n}", "%s", "<b>", "</b>", "<i>", "</i>", "<br/>", "{{x}}", "${y}", "&amp;", "<", ">",
                        "%")
                .list()
                .ofMaxSize(8)
                .map(pieces -> String.join("", pieces));
    }
}
