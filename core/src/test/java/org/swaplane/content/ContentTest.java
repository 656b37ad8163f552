package org.swaplane.content;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.content;

import org.junit.jupiter.api.Test;

class ContentTest {
    @Test
    void neighbouringTextsAreOneAndEmptyOnesVanish() {
        Content content = Content.of(new Text("a"), new Text(""), new Text("b"));

        assertThat(content.runs()).containsExactly(new Text("ab"));
    }

    @Test
    void tagsCountForNothingInThePlainText() {
        assertThat(content("<1>bold</1> and <2/>").plainText()).isEqualTo("bold and ");
    }

    @Test
    void tagsAreTheSameHoweverTheFileWritesThem() {
        Tag one = new Tag(Tag.Kind.OPEN, "g:1", "<g id='1'>", "bold");
        Tag other = new Tag(Tag.Kind.OPEN, "g:1", "<g id=\"1\">", "");

        assertThat(Content.of(one).sameAs(Content.of(other))).isTrue();
        assertThat(Content.of(one)).isNotEqualTo(Content.of(other));
    }

    @Test
    void replacedTextKeepsTheTagsAroundIt() {
        assertThat(content("at <1>15:04</1> sharp").replaceText(3, 8, "14:05"))
                .isEqualTo(content("at <1>14:05</1> sharp"));
    }

    @Test
    void replacedTextThatHoldsATagKeepsIt() {
        assertThat(content("12<1/>34").replaceText(0, 4, "99").tags()).hasSize(1);
        assertThat(content("12<1/>34").replaceText(0, 4, "99").plainText()).isEqualTo("99");
    }

    @Test
    void textCanBePutAtTheEnd() {
        assertThat(content("abc").replaceText(3, 3, "!")).isEqualTo(content("abc!"));
        assertThat(Content.EMPTY.replaceText(0, 0, "x")).isEqualTo(content("x"));
    }
}
