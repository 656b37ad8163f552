package org.swaplane.content;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.content;

import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TagNotationTest {
    private static final Content SOURCE = content("Press <1>Start</1> or <2/> now");

    @Test
    void numbersCountInSourceOrderAndStayInTheTarget() {
        Content target = content("<2/> oder <1>Start</1>");

        assertThat(TagNotation.write(SOURCE, SOURCE)).isEqualTo("Press ⟦1⟧Start⟦/1⟧ or ⟦2/⟧ now");
        assertThat(TagNotation.write(target, SOURCE)).isEqualTo("⟦2/⟧ oder ⟦1⟧Start⟦/1⟧");
    }

    @Test
    void aTagThatTheSourceDoesNotHaveGetsANumberOfItsOwn() {
        assertThat(TagNotation.write(content("x<9/>"), SOURCE)).isEqualTo("x⟦3/⟧");
    }

    @Test
    void theNthRepetitionOfAnIdBelongsToTheNthInTheTarget() {
        Content source = content("<1/> a <1/>");

        assertThat(TagNotation.write(source, source)).isEqualTo("⟦1/⟧ a ⟦2/⟧");
        assertThat(TagNotation.read("⟦1/⟧ b ⟦2/⟧", source).content()).isEqualTo(content("<1/> b <1/>"));
    }

    @Test
    void literalBracketsAreDoubled() {
        Content literal = Content.of("a ⟦1⟧ b");

        assertThat(TagNotation.write(literal, literal)).isEqualTo("a ⟦⟦1⟧⟧ b");
        assertThat(TagNotation.read("a ⟦⟦1⟧⟧ b", SOURCE).content()).isEqualTo(literal);
    }

    @ParameterizedTest
    @ValueSource(strings = {"[1]", "⟦ 1 ⟧", "⟦1", "1⟧", "{1}", "⟦1]"})
    void nearMissesAreDamagesAndNotText(String written) {
        TagNotation.Reading reading = TagNotation.read("Drücken " + written + "Start⟦/1⟧ oder ⟦2/⟧", SOURCE);

        assertThat(reading.damages()).isNotEmpty();
    }

    @Test
    void aPlaceInTheWrittenFormIsAPlaceInTheText() {
        String written = "a ⟦1⟧b⟦⟦ ⟦9/⟧c";

        assertThat(TagNotation.textBefore(written, written.indexOf('b'), SOURCE))
                .isEqualTo(2);
        assertThat(TagNotation.textBefore(written, written.indexOf('9'), SOURCE))
                .isEqualTo("a b⟦ ⟦".length());
        assertThat(TagNotation.textBefore(written, written.length(), SOURCE))
                .isEqualTo(
                        TagNotation.read(written, SOURCE).content().plainText().length());
    }

    @Test
    void aDamagedTagCanBeMended() {
        TagNotation.Reading reading = TagNotation.read("[1]Start[/1] oder [2]", SOURCE);

        assertThat(reading.damages()).hasSize(3);
        assertThat(reading.content()).isEqualTo(Content.of("[1]Start[/1] oder [2]"));
        assertThat(reading.repaired()).isEqualTo(content("<1>Start</1> oder <2/>"));
    }

    @Test
    void aTagThatTheSourceDoesNotHaveIsADamageToo() {
        TagNotation.Reading reading = TagNotation.read("⟦7/⟧ neu", SOURCE);

        assertThat(reading.damages()).extracting(TagNotation.Damage::written).containsExactly("⟦7/⟧");
        assertThat(reading.damages().get(0).meant()).isEmpty();
    }

    @Test
    void bracketedNumbersThatTheSourceHoldsAreText() {
        Content source = content("See note [1] on <1>page</1>");

        TagNotation.Reading reading = TagNotation.read("Siehe Anmerkung [1] auf ⟦1⟧Seite⟦/1⟧", source);

        assertThat(reading.damages()).isEmpty();
        assertThat(reading.content()).isEqualTo(content("Siehe Anmerkung [1] auf <1>Seite</1>"));
    }

    @Test
    void bracketedNumbersAreTextWhereTheSourceHasNoSuchTag() {
        assertThat(TagNotation.read("Kapitel [12]", SOURCE).damages()).isEmpty();
    }

    @Property(tries = 300)
    void whateverIsWrittenIsReadAgain(@ForAll("contents") Content target) {
        Content source = content("<1>a</1><2/><3>b</3>");

        assertThat(TagNotation.read(TagNotation.write(target, source), source).content())
                .isEqualTo(target);
    }

    @Property(tries = 300)
    void noTextIsTooStrangeToRead(@ForAll("strangeTexts") String text) {
        assertThat(TagNotation.read(text, SOURCE).content()).isNotNull();
    }

    @Provide
    Arbitrary<Content> contents() {
        Arbitrary<Run> tag = Arbitraries.of(tags());
        Arbitrary<Run> text = Arbitraries.of("Wort", " ", "⟦", "⟧⟧", "⟦2/⟧", "ä€船🚢", "\n", "<b>")
                .map(Text::new);
        return Arbitraries.oneOf(tag, text)
                .list()
                .ofMaxSize(8)
                .map(Content::new)
                .filter(TagNotationTest::hasEachTagOnce);
    }

    private static boolean hasEachTagOnce(Content content) {
        return content.tags().stream().distinct().count() == content.tags().size();
    }

    private static List<Run> tags() {
        return List.copyOf(content("<1></1><2/><3></3>").tags());
    }

    @Provide
    Arbitrary<String> strangeTexts() {
        return Arbitraries.strings().withChars("⟦⟧[]{}/1239 \n").ofMaxLength(30);
    }
}
