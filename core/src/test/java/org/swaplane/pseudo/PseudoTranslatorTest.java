package org.swaplane.pseudo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.content;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.content.Content;
import org.swaplane.placeholder.Placeholders;

class PseudoTranslatorTest {
    private final PseudoTranslator pseudo = new PseudoTranslator(new Placeholders());

    @Test
    void theTextIsLegibleLongerAndBracketed() {
        String text = pseudo.translate(Content.of("Winter timetable"), 0).plainText();

        assertThat(text).startsWith("[Ŵîñţéŕ ţîɱéţåƀļé").endsWith("]").hasSizeGreaterThan(24);
    }

    @Test
    void tagsStayWithTheirWords() {
        Content result = pseudo.translate(content("Press <1>Start</1> now"), 0);

        assertThat(result.tags()).isEqualTo(content("<1></1>").tags());
        assertThat(result.plainText()).contains("Šţåŕţ");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{name}",
                "%1$s",
                "${amount}",
                "{0,number}",
                "&nbsp;",
                "<b>",
                "ask@marramsound.example",
                "https://marramsound.example/a?b=c"
            })
    void whatAProgramReadsIsLeftAlone(String kept) {
        assertThat(pseudo.translate(Content.of("Show " + kept + " here"), 0).plainText())
                .contains(" " + kept + " ");
    }

    @Test
    void aTextWithoutLettersStaysAsItIs() {
        assertThat(pseudo.translate(Content.of("14:05 – 15:04"), 0)).isEqualTo(Content.of("14:05 – 15:04"));
    }

    @Property(tries = 200)
    void nothingOfTheTextIsLost(@ForAll @StringLength(max = 60) String text) {
        int length = text.codePointCount(0, text.length());
        String result = pseudo.translate(Content.of(text), 0).plainText();

        assertThat(result.codePointCount(0, result.length())).isGreaterThanOrEqualTo(length);
    }
}
