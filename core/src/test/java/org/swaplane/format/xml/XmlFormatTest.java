package org.swaplane.format.xml;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.swaplane.document.Problem;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.DocumentSample;
import org.swaplane.format.Selection;
import org.swaplane.task.CannotProceedException;

class XmlFormatTest {
    private static final String PAGE = """
            <page xmlns:its="http://www.w3.org/2005/11/its" xmlns:h="urn:x">
              <its:rules version="2.0">
                <its:translateRule selector="//code" translate="no"/>
                <its:translateRule selector="//menu/@label" translate="yes"/>
                <its:withinTextRule selector="//footnote" withinText="nested"/>
                <its:locNoteRule selector="//h:title"><its:locNote>Short!</its:locNote></its:locNoteRule>
                <its:translateRule selector="//[" translate="no"/>
              </its:rules>
              <h:title>The &lt;3 Gull</h:title>
              <para>Press <code>F1</code> or <b>call</b><footnote>Free of <i>charge</i>.</footnote>
                 now.</para>
              <menu label='Piers &amp; quays' id="m1"/>
              <code>x = 1</code>
              <group its:translate="no"><para>Marram</para></group>
            </page>
            """;

    private static DocumentSample choosing(String... patterns) {
        DocumentSample sample = DocumentSample.of("page.xml", PAGE);
        return sample.with(sample.options().with(DocumentOptions.DEFAULT.with(new Selection(List.of(patterns)))));
    }

    @Test
    void rulesSayWhatIsText() throws IOException {
        assertThat(choosing().extracted())
                .containsExactly(
                        "h:title 1: The <3 Gull",
                        "para 1: Press ⟦1/⟧ or ⟦2⟧call⟦/2⟧⟦3/⟧ now.",
                        "footnote 1: Free of ⟦1⟧charge⟦/1⟧.",
                        "menu/label 1: Piers & quays");
        assertThat(choosing().open().document().segments().get(0).notes())
                .extracting(note -> note.text())
                .containsExactly("Short!");
    }

    @Test
    void rulesOfAFileOfTheirOwnHoldAndThoseInTheDocumentWin() throws IOException {
        String rules = "<its:rules xmlns:its='http://www.w3.org/2005/11/its' xmlns:head='urn:x' version='2.0'>"
                + "<its:translateRule selector='//head:title' translate='no'/>"
                + "<its:translateRule selector='//code' translate='yes'/></its:rules>";
        DocumentSample sample = choosing();

        assertThat(sample.with(sample.options().with(DocumentOptions.DEFAULT.withItsRules(rules)))
                        .extracted())
                .containsExactly(
                        "para 1: Press ⟦1/⟧ or ⟦2⟧call⟦/2⟧⟦3/⟧ now.",
                        "footnote 1: Free of ⟦1⟧charge⟦/1⟧.",
                        "menu/label 1: Piers & quays");
    }

    @Test
    void aBrokenSelectorIsListedAndTheOtherRulesHold() throws IOException {
        assertThat(choosing().open().document().problems())
                .extracting(Problem::message)
                .containsExactly("the selector \"//[\" of a rule cannot be read; the rule is left out");
    }

    @Test
    void elementsAndAttributesCanBePointedAt() throws IOException {
        assertThat(choosing("/page/h:title", "/page/menu/@id").extracted())
                .containsExactly("h:title 1: The <3 Gull", "menu/label 1: Piers & quays", "menu/id 1: m1");
    }

    @Test
    void onlyTextChanges() throws IOException {
        String written =
                choosing().translated(text -> text.replace("Piers", "Pier's").replace("charge", "Kosten"));

        assertThat(written)
                .contains("label='Pier&apos;s &amp; quays' id=\"m1\"")
                .contains("<footnote>Free of <i>Kosten</i>.</footnote>")
                .contains("<group its:translate=\"no\"><para>Marram</para></group>");
    }

    @Test
    void anAttributeMayHoldTheOtherQuotationMark() throws IOException {
        String file = "<a><b t=\"a 'b' c\" u='d \"e\" f'/></a>";
        DocumentSample sample = DocumentSample.of("a.xml", file);
        DocumentSample both = sample.with(
                sample.options().with(DocumentOptions.DEFAULT.with(new Selection(List.of("/a/b/@t", "/a/b/@u")))));

        assertThat(both.extracted()).containsExactly("b/t 1: a 'b' c", "b/u 1: d \"e\" f");
        assertThat(both.translated(text -> text.replace("c", "x").replace("f", "y")))
                .isEqualTo("<a><b t=\"a 'b' x\" u='d &quot;e&quot; y'/></a>");
    }

    @Test
    void attributesOfElementsWithinTextAreTextsInTheirTags() throws IOException {
        String file = "<a><p>See <img alt=\"the quay\"/> and <b alt='it'>go</b>.</p></a>";
        DocumentSample sample = DocumentSample.of("a.xml", file);
        DocumentSample chosen = sample.with(
                sample.options().with(DocumentOptions.DEFAULT.with(new Selection(List.of("/a/p", "/**/@alt")))));

        assertThat(chosen.extracted())
                .containsExactly("p 1: See ⟦1/⟧ and ⟦2⟧go⟦/2⟧.", "img/alt 1: the quay", "b/alt 1: it");
        assertThat(chosen.translated(
                        text -> text.replace("quay", "Kai").replace("it", "es").replace("See", "Sieh")))
                .isEqualTo(file.replace("quay", "Kai").replace("'it'", "'es'").replace("See", "Sieh"));
    }

    @Test
    void brokenAndHostileFilesAreRefused() {
        assertThatThrownBy(() -> DocumentSample.of("a.xml", "<a><b></a>").open())
                .isInstanceOf(CannotProceedException.class)
                .hasMessageStartingWith("a.xml:1:");
        assertThatThrownBy(
                        () -> DocumentSample.of("a.xml", "<a>".repeat(10_000)).open())
                .isInstanceOf(CannotProceedException.class);
    }

    @Test
    void aSelectorThatSearchesWithinASearchWithinASearchIsListedAsBroken() throws IOException {
        String rules = "<its:rules xmlns:its='http://www.w3.org/2005/11/its' version='2.0'>"
                + "<its:translateRule selector='//*[//*[//*[//*[//*]]]]' translate='no'/>"
                + "<its:translateRule selector='//para[.//code]' translate='no'/></its:rules>";
        DocumentSample sample = choosing();
        DocumentSample ruled = sample.with(sample.options().with(DocumentOptions.DEFAULT.withItsRules(rules)));

        assertThat(ruled.open().document().problems())
                .extracting(Problem::message)
                .anyMatch(message -> message.contains("//*[//*[//*[//*[//*]]]]"));
        assertThat(ruled.extracted()).noneMatch(line -> line.startsWith("para 1: Press"));
    }
}
