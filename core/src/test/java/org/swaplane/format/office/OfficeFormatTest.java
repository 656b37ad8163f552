package org.swaplane.format.office;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.swaplane.format.office.OfficeSample.document;
import static org.swaplane.format.office.OfficeSample.documentPart;
import static org.swaplane.format.office.OfficeSample.parts;
import static org.swaplane.format.office.OfficeSample.run;

import java.io.IOException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Tag;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.DocumentFile.WrittenUnit;
import org.swaplane.format.DocumentSample;
import org.swaplane.format.FileOptions;
import org.swaplane.format.SegmentEdit;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.task.CannotProceedException;

class OfficeFormatTest {
    private static final String FIELD =
            "<w:r><w:fldChar w:fldCharType=\"begin\"/></w:r><w:r><w:instrText> PAGEREF x </w:instrText></w:r>"
                    + "<w:r><w:fldChar w:fldCharType=\"separate\"/></w:r>" + run("", "seven")
                    + "<w:r><w:fldChar w:fldCharType=\"end\"/></w:r>";
    private static final String BOX =
            "<w:r><mc:AlternateContent><mc:Choice><w:txbxContent><w:p>" + run("", "In the box")
                    + "</w:p><w:p>" + run("<w:i/>", "Below")
                    + "</w:p></w:txbxContent></mc:Choice><mc:Fallback><w:txbxContent><w:p>"
                    + run("", "In the box") + "</w:p></w:txbxContent></mc:Fallback></mc:AlternateContent></w:r>";
    private static final List<String> PIECES = List.of(
            run("", "The quay. "),
            run("<w:b/>", "Now"),
            run("<w:b/><w:lang w:val=\"en\"/>", " bold"),
            "<w:r><w:tab/><w:t>tab</w:t><w:br/></w:r>",
            "<w:bookmarkStart w:id=\"1\"/>",
            "<w:hyperlink>" + run("<w:u/>", "link") + "</w:hyperlink>",
            "<w:ins w:id=\"1\">" + run("", "new") + "</w:ins>",
            "<w:del w:id=\"2\"><w:r><w:delText>old</w:delText></w:r></w:del>",
            "<w:sdt><w:sdtPr><w:alias/></w:sdtPr><w:sdtContent>" + run("", "control") + "</w:sdtContent></w:sdt>",
            "</w:p><w:p>",
            FIELD,
            BOX);

    private static DocumentSample paragraph(String runs) throws IOException {
        return document("<w:p><w:pPr><w:jc/></w:pPr>" + runs + "</w:p>");
    }

    private static List<String> extracted(String runs) throws IOException {
        List<String> all = paragraph(runs).extracted();
        return all.subList(0, all.size() - 1).stream()
                .map(line -> line.substring(line.indexOf(": ") + 2))
                .toList();
    }

    @Test
    void runsThatLookAlikeAreOneTextAndOthersArePairs() throws IOException {
        String runs = run("", "Go to ") + "<w:proofErr/>" + run("<w:b/>", "Gull") + run("<w:b/><w:noProof/>", "wick")
                + run("<w:lang/>", " now");

        assertThat(extracted(runs)).containsExactly("Go to ⟦1⟧Gullwick⟦/1⟧ now");
        assertThat(paragraph(runs).open().document().segments().get(0).source().tags())
                .extracting(Tag::label)
                .containsExactly("b", "");
    }

    @Test
    void propertiesAreReadAsXmlWhateverTheirPrefixesQuotesAndOrder() throws IOException {
        String other = "xmlns:x='http://schemas.openxmlformats.org/wordprocessingml/2006/main'";
        String hidden = "<x:r " + other + "><x:rPr><x:b/><x:vanish x:val='1'/></x:rPr><x:t>unseen</x:t></x:r>";
        String seen = "<x:r " + other + "><x:rPr><x:vanish x:val = 'false'/></x:rPr><x:t>seen</x:t></x:r>";
        String once = run("<w:rPrChange><w:rPr><w:vanish/></w:rPr></w:rPrChange>", "once hidden");
        String field = "<x:r " + other + "><x:fldChar x:fldCharType='begin'/></x:r>";

        assertThat(extracted(run("", "Is it ") + hidden + run("", "here"))).containsExactly("Is it ⟦1/⟧here");
        assertThat(extracted(seen)).containsExactly("seen");
        assertThat(extracted(once)).containsExactly("once hidden");
        assertThat(extracted(run("", "Page ") + field + FIELD.substring(FIELD.indexOf("</w:r>") + 6)))
                .containsExactly("Page ⟦1/⟧seven");
        assertThat(extracted(run("<w:rtl w:val='0'/>", "Gull") + run("<w:lang w:val = 'en'/>", "wick")))
                .containsExactly("Gullwick");
    }

    @Test
    void breaksLinksFieldsAndControlsAreTags() throws IOException {
        assertThat(extracted(run("", "Page ") + FIELD + run("", ".") + "<w:r><w:br/></w:r>" + "<w:hyperlink>"
                        + run("", "More") + "</w:hyperlink>" + run("", "!")))
                .containsExactly("Page ⟦1/⟧seven⟦2/⟧.⟦3/⟧⟦4⟧More⟦/4⟧!");
        assertThat(extracted("<w:r><w:br/></w:r>" + run("", "Alone") + "<w:bookmarkEnd/>"))
                .containsExactly("Alone");
    }

    @Test
    void theTextOfABoxIsAUnitOfItsOwn() throws IOException {
        String runs = run("", "Before ") + BOX + run("", " after");

        assertThat(extracted(runs)).containsExactly("Before ⟦1/⟧ after", "In the box", "Below");
        String written = parts(paragraph(runs)
                        .written(DocumentSample.translated(
                                paragraph(runs).open(), text -> text.replace("Below", "Unten"))))
                .get("word/document.xml");
        assertThat(written)
                .contains("<w:rPr><w:i/></w:rPr><w:t xml:space=\"preserve\">Unten</w:t>")
                .contains("Before ")
                .contains(" after");
    }

    @Test
    void trackedChangesAreReadAsAcceptedAndSaid() throws IOException {
        DocumentSample sample = paragraph(run("", "Old ") + PIECES.get(6) + PIECES.get(7));

        assertThat(sample.extracted()).first().asString().endsWith(": Old new");
        assertThat(sample.open().document().problems()).hasSize(1);
    }

    @Test
    void onlyPartsWithChangesAreWrittenAnew() throws IOException {
        DocumentSample sample = document("<w:p>" + run("", "Stay") + "</w:p><w:p>"
                + run("<w:b/>", "Go & see").replace("&", "&amp;") + "</w:p>");
        List<SegmentEdit> edits = DocumentSample.translated(sample.open(), text -> text.replace("Go", "Los <"));

        Map<String, String> written = parts(sample.written(List.of(edits.get(1))));

        Map<String, String> expected = new LinkedHashMap<>(parts(sample.bytes()));
        expected.put(
                "word/document.xml",
                documentPart(
                        "<w:p>" + run("", "Stay") + "</w:p><w:p>" + run("<w:b/>", "Los &lt; &amp; see") + "</w:p>"));
        assertThat(written).isEqualTo(expected);
    }

    @Test
    void cellsAndSlidesHaveTheirText() throws IOException {
        String sheet = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
        DocumentSample cells = OfficeSample.of(
                "fares.xlsx",
                Map.of(
                        "xl/sharedStrings.xml",
                        "<sst xmlns=\"" + sheet
                                + "\"><si><t>Adults</t></si><si><t>42</t></si><si><r><t>Half </t></r><r><rPr><b/></rPr><t>fare</t></r></si></sst>"));
        DocumentSample slides = OfficeSample.of(
                "talk.pptx",
                Map.of(
                        "ppt/slides/slide1.xml",
                        "<s xmlns:a=\"http://schemas.openxmlformats.org/drawingml/2006/main\"><a:p><a:r><a:rPr lang=\"en-GB\" b=\"1\"/><a:t>Title</a:t></a:r><a:endParaRPr/></a:p></s>"));

        assertThat(cells.extracted()).containsExactly("sharedStrings 1: Adults", "sharedStrings 3: Half ⟦1⟧fare⟦/1⟧");
        assertThat(parts(cells.written(DocumentSample.translated(cells.open(), text -> text.toUpperCase(Locale.ROOT))))
                        .get("xl/sharedStrings.xml"))
                .contains("<si><t xml:space=\"preserve\">ADULTS</t></si><si><t>42</t></si>")
                .contains("<r><rPr><b/></rPr><t xml:space=\"preserve\">FARE</t></r>");
        assertThat(slides.extracted()).containsExactly("slide1 1: Title");
        assertThat(parts(slides.written(DocumentSample.translated(slides.open(), text -> "Titel")))
                        .get("ppt/slides/slide1.xml"))
                .contains("<a:p><a:r><a:rPr b=\"1\" lang=\"de\"/><a:t>Titel</a:t></a:r><a:endParaRPr/></a:p>");
    }

    @Test
    void aDiagramAsItWasDrawnLastGetsTheTextsOfItsData() throws IOException {
        String drawn =
                "<d xmlns:a=\"http://schemas.openxmlformats.org/drawingml/2006/main\"><a:p><a:r>%s<a:t>%s</a:t></a:r></a:p></d>";
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put("ppt/slides/slide1.xml", drawn.formatted("", "Piers"));
        parts.put("ppt/diagrams/data1.xml", drawn.formatted("<a:rPr lang=\"en\"/>", "Board"));
        parts.put("ppt/diagrams/drawing1.xml", drawn.formatted("<a:rPr sz=\"9\"/>", "Board"));
        DocumentSample talk = OfficeSample.of("talk.pptx", parts);

        assertThat(talk.extracted()).containsExactly("slide1 1: Piers", "data1 1: Board");
        assertThat(parts(talk.written(DocumentSample.translated(talk.open(), text -> "Einsteigen"))))
                .extractingByKey("ppt/diagrams/drawing1.xml")
                .asString()
                .contains("<a:t>Einsteigen</a:t>");
    }

    @Property(tries = 150)
    void whateverAParagraphHoldsItComesBackAsItWasWritten(@ForAll("paragraphs") DocumentSample sample)
            throws IOException {
        DocumentSample whole = sample.with(FileOptions.ofLanguages("en", "de").with(SegmentationRules.BY_PARAGRAPH));
        DocumentFile before = whole.open();
        List<SegmentEdit> edits = DocumentSample.translated(before, text -> text.toUpperCase(Locale.ROOT) + "x");

        DocumentFile after = new DocumentSample(sample.name(), whole.written(edits), whole.options()).open();

        assertThat(whole.written(List.of())).isEqualTo(sample.bytes());
        assertThat(after.units(List.of()))
                .extracting(WrittenUnit::written)
                .isEqualTo(
                        before.units(edits).stream().map(WrittenUnit::written).toList());
    }

    @Provide
    Arbitrary<DocumentSample> paragraphs() {
        return Arbitraries.of(PIECES).list().ofMinSize(1).ofMaxSize(7).map(pieces -> {
            try {
                return paragraph(String.join("", pieces));
            } catch (IOException e) {
                throw new AssertionError(e);
            }
        });
    }

    @Test
    void hostilePackagesAreRefused() throws IOException {
        byte[] sound = paragraph(run("", "x")).bytes();
        DocumentSample cut = new DocumentSample("cut.docx", Arrays.copyOf(sound, sound.length / 2), FileOptions.NONE);
        DocumentSample binary =
                new DocumentSample("old.docx", new byte[] {(byte) 0xD0, (byte) 0xCF, 0x11}, FileOptions.NONE);
        DocumentSample bomb = OfficeSample.of(
                "bomb.docx",
                Map.of(
                        "word/document.xml",
                        "<!DOCTYPE x [<!ENTITY a 'aaaa'>]><w:document xmlns:w='x'>&a;</w:document>"));
        DocumentSample none = OfficeSample.of("none.docx", Map.of("../../etc/x.xml", "<x/>"));

        for (DocumentSample sample : List.of(cut, binary, bomb, none)) {
            assertThatThrownBy(sample::open)
                    .isInstanceOf(CannotProceedException.class)
                    .hasMessageStartingWith(sample.name());
        }
    }
}
