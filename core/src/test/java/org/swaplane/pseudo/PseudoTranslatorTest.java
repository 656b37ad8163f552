package org.swaplane.pseudo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.content;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
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

    private static String translated(PseudoSettings settings, Charset charset, String text) {
        return new PseudoTranslator(new Placeholders(), settings, charset)
                .translate(Content.of(text), 37)
                .plainText();
    }

    private static PseudoSettings settings(PseudoScript script, int growth) {
        return new PseudoSettings(script, growth, "<", ">", false, true, true);
    }

    @ParameterizedTest
    @CsvSource({
        "ACCENTED, Pier 3 of {name}, <Þîéŕ 3 öƒ {name}>",
        "LOOK_ALIKE, Pier 3, <Ріег 3>",
        "WIDE, Pier 3, <Ｐｉｅｒ 3>",
        "RIGHT_TO_LEFT, Pier 3, <סחהפ 3>",
        "ACCENTED, Причал, <П̇р̇и̇ч̇а̇л̇>"
    })
    void lettersAreReplacedByThoseOfTheScript(PseudoScript script, String text, String expected) {
        assertThat(translated(settings(script, 0), StandardCharsets.UTF_8, text))
                .isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({"100, 20", "50, 15", "0, 10"})
    void aTextGrowsByAFixedShare(int growth, int length) {
        assertThat(translated(settings(PseudoScript.ACCENTED, growth), StandardCharsets.UTF_8, "ten signs."))
                .hasSize(length + 2);
    }

    @Test
    void whatTheEncodingLacksIsNotUsed() {
        Charset western = Charset.forName("windows-1252");

        String text = translated(settings(PseudoScript.ACCENTED, 50), western, "Gangway");

        assertThat(western.newEncoder().canEncode(text)).isTrue();
        assertThat(text).startsWith("<Gåñgwåý");
    }

    @Test
    void eachTextCanCarryItsNumber() {
        PseudoSettings numbered = new PseudoSettings(PseudoScript.ACCENTED, 0, "[", "]", true, true, true);

        assertThat(translated(numbered, StandardCharsets.UTF_8, "Go")).isEqualTo("[12·Ĝö]");
    }

    @ParameterizedTest
    @CsvSource({"true, [&Fîļé öƒ a@b.example]", "false, [&Ƒîļé öƒ å@ƀ.éẋåɱþļé]"})
    void addressesAndAccessKeysStayIfTheyShall(boolean stay, String expected) {
        PseudoSettings settings = new PseudoSettings(PseudoScript.ACCENTED, 0, "[", "]", false, stay, stay);

        assertThat(translated(settings, StandardCharsets.UTF_8, "&File of a@b.example"))
                .isEqualTo(expected);
    }

    @Test
    void theSyntaxOfAMessageStaysAndItsVariantsAreTranslated() {
        String message = "{n, plural, one {One {gate}} other {# gates of {m, select, a {deck A} other {it}}}}";

        assertThat(translated(settings(PseudoScript.ACCENTED, 0), StandardCharsets.UTF_8, message))
                .isEqualTo("<{n, plural, one {Öñé {gate}} other {# ĝåţéš öƒ {m, select, a {ðéçķ Å} other {îţ}}}}>");
    }

    @Test
    void whatIsAddedStandsInsideTheTagsOfTheWordsBesideIt() {
        Content result = pseudo.translate(content("<1>Start</1> and <2>end</2>"), 0);

        assertThat(result.runs().get(0)).isInstanceOf(Tag.class);
        assertThat(result.runs().get(result.runs().size() - 1)).isInstanceOf(Tag.class);
    }

    @Test
    void noSpacesAreDoubled() {
        assertThat(translated(settings(PseudoScript.ACCENTED, 100), StandardCharsets.UTF_8, "Pier "))
                .isEqualTo("<Þîéŕ ~~~~> ");
    }
}
