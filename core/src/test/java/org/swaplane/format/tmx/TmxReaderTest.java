package org.swaplane.format.tmx;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Rewriting;
import org.swaplane.task.CannotProceedException;

class TmxReaderTest {
    private static Rewriting memory(String sourceLanguage, String units) {
        return Rewriting.of("<!DOCTYPE tmx SYSTEM \"tmx14.dtd\">\n<tmx version='1.4'><header srclang='" + sourceLanguage
                + "'/><body>\n" + units + "</body></tmx>");
    }

    private static String variant(String language, String segment) {
        return "<tuv xml:lang='" + language + "'><seg>" + segment + "</seg></tuv>";
    }

    @Test
    void everyVariantButTheSourceIsASegmentInItsLanguage() throws IOException {
        BilingualDocument document = memory(
                        "en",
                        "<tu tuid='a'>" + variant("de-DE", "Anleger") + variant("en-GB", "Pier")
                                + variant("de-AT", "Steg") + "</tu>")
                .document();

        assertThat(document.segments())
                .extracting(segment -> segment.key() + " " + segment.source().plainText() + " "
                        + segment.target().plainText())
                .containsExactly("a/de-DE Pier Anleger", "a/de-AT Pier Steg");
        assertThat(document.parts())
                .extracting(Part::sourceLanguage, Part::targetLanguage)
                .containsExactly(tuple("en-GB", "de-DE"), tuple("en-GB", "de-AT"));
    }

    @Test
    void anyVariantMayBeTheSourceWhereTheHeaderSaysSo() throws IOException {
        assertThat(memory("*all*", "<tu>" + variant("de", "Steg") + variant("en", "Pier") + "</tu>")
                        .document()
                        .segments()
                        .get(0)
                        .source()
                        .plainText())
                .isEqualTo("Steg");
    }

    @Test
    void theLanguageAttributeOfOlderVersionsIsRead() throws IOException {
        Rewriting old = Rewriting.of("<tmx version='1.1'><header srclang='en'/><body><tu>"
                + "<tuv lang='en'><seg>Pier</seg></tuv><tuv lang='de'><seg>Steg</seg></tuv></tu></body></tmx>");

        assertThat(old.document().targetLanguage()).isEqualTo("de");
    }

    @Test
    void codesAreLinkedByXAndElseByTheirPlace() throws IOException {
        Segment segment = memory(
                        "en",
                        "<tu>"
                                + variant("en", "<bpt i='1' x='7'>b</bpt>a<ept i='1'>/b</ept><ph>p</ph><ph>q</ph>")
                                + variant("de", "<ph>p</ph><bpt i='2' x='7'>b</bpt>a<ept i='2'>/b</ept><ph>q</ph>")
                                + "</tu>")
                .document()
                .segments()
                .get(0);

        assertThat(TagNotation.write(segment.target(), segment.source())).isEqualTo("⟦2/⟧⟦1⟧a⟦/1⟧⟦3/⟧");
    }

    @Test
    void aMissingVariantIsPutInBehindTheOthers() throws IOException {
        Rewriting memory = memory(
                "en",
                "<tu>" + variant("en", "One") + variant("de", "Eins") + "</tu>\n<tu>\n  " + variant("en", "Two")
                        + "\n</tu>");

        assertThat(memory.document().segments())
                .extracting(Segment::state)
                .containsExactly(State.TRANSLATED, State.INITIAL);
        assertThat(memory.write(Rewriting.translated(1, "Zwei")))
                .contains("<seg>Two</seg></tuv>\n  <tuv xml:lang=\"de\"><seg>Zwei</seg></tuv>\n</tu>");
    }

    @Test
    void aMemoryWithoutAnyTargetTakesTheLanguageThatTheLaneKnows() throws IOException {
        Rewriting memory = memory("en", "<tu>" + variant("en", "One") + "</tu>");

        assertThatThrownBy(() -> memory.write(Rewriting.translated(0, "Eins")))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("unit 1");
        assertThat(memory.with(FileOptions.ofLanguages("", "nl")).write(Rewriting.translated(0, "Een")))
                .contains("<tuv xml:lang=\"nl\"><seg>Een</seg></tuv></tu>");
    }

    @Test
    void whatIsOddIsListed() throws IOException {
        BilingualDocument document = memory(
                        "en",
                        "<tu tuid='a'>" + variant("de", "x") + "</tu>" + "<tu tuid='b'>" + variant("en", "x")
                                + variant("d_e", "y") + "<tuv xml:lang='fr'/></tu>")
                .document();

        assertThat(document.problems())
                .extracting(problem -> problem.message())
                .isEqualTo(List.of(
                        "unit a has no variant in en and is left out",
                        "\"d_e\" is not a language code: codes have hyphens",
                        "the variant fr of unit b has no seg and is left out"));
    }
}
