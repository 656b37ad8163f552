package org.swaplane.format.office;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.document.Problem;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.DocumentSample;
import org.swaplane.format.Extra;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Selection;

/**
 * A document of each kind with everything in it that can hold text; its parts lie unpacked in the test resources, and beside them what is
 * extracted. Run with {@code -Dgolden=renew} to write that anew.
 */
class OfficeGoldenTest {
    private static final Path FOLDER = Path.of("src/test/resources/office");

    private static DocumentSample sample(String kind, DocumentOptions options) throws IOException {
        Map<String, String> parts = new LinkedHashMap<>();
        Path root = FOLDER.resolve(kind);
        try (Stream<Path> files = Files.walk(root)) {
            for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                parts.put(root.relativize(file).toString().replace('\\', '/'), Files.readString(file));
            }
        }
        DocumentSample sample = OfficeSample.of("marram." + kind, parts);
        return sample.with(sample.options().with(options));
    }

    private static DocumentOptions with(Set<Extra> extras) {
        return DocumentOptions.DEFAULT.with(extras);
    }

    @ParameterizedTest
    @CsvSource({"docx, text", "docx, all", "xlsx, text", "xlsx, all", "pptx, text", "pptx, all"})
    void whatIsExtracted(String kind, String how) throws IOException {
        Set<Extra> extras = how.equals("all") ? EnumSet.allOf(Extra.class) : Set.of();
        Path golden = FOLDER.resolve(kind + '-' + how + ".txt");

        String extracted = String.join("\n", sample(kind, with(extras)).extracted()) + '\n';

        if (System.getProperty("golden", "").equals("renew")) {
            Files.writeString(golden, extracted);
        }
        assertThat(extracted).isEqualTo(Files.readString(golden));
    }

    @ParameterizedTest
    @CsvSource({"docx", "xlsx", "pptx"})
    void whatWasWrittenIsFoundAgain(String kind) throws IOException {
        DocumentSample sample = sample(kind, with(EnumSet.allOf(Extra.class)));

        byte[] written = sample.written(DocumentSample.translated(sample.open(), text -> text.replace('e', 'ë')));

        DocumentSample again = new DocumentSample(sample.name(), written, sample.options());
        assertThat(again.extracted())
                .isEqualTo(sample.extracted().stream()
                        .map(line -> line.substring(0, line.indexOf(": "))
                                + line.substring(line.indexOf(": ")).replace('e', 'ë'))
                        .toList());
        assertThat(sample.written(List.of())).isEqualTo(sample.bytes());
    }

    @Test
    void aTextIsReadIfOneOfItsCellsIsSelected() throws IOException {
        DocumentSample sample =
                sample("xlsx", DocumentOptions.DEFAULT.with(new Selection(List.of("/Fares & piers/B:C"))));

        assertThat(sample.extracted()).containsExactly("sharedStrings 2: Adults", "sheet1 1: Typed in");
    }

    @Test
    void theNameOfASheetThatAFormulaUsesStays() throws IOException {
        DocumentSample sample = sample("xlsx", with(Set.of(Extra.SHEET_NAMES)));

        assertThat(sample.open().document().problems())
                .extracting(Problem::message)
                .containsExactly("formulas use the name of the sheet \"Notes\", so it stays as it is");
        String written = part(sample, "xl/workbook.xml", "Preise: [alle] für Erwachsene und Kinder");
        assertThat(written).contains("name=\"Preise- -alle- für Erwachsene u\"");
    }

    @Test
    void theDocumentSaysItsNewLanguageAndFonts() throws IOException {
        DocumentOptions fonts = DocumentOptions.DEFAULT.withFonts(Map.of("Tidewater", "Sandbank"));

        assertThat(part(sample("docx", fonts), "word/styles.xml", "Wort"))
                .contains("w:ascii=\"Sandbank\" w:hAnsi=\"Sandbank\"")
                .contains("<w:lang w:val=\"de\" w:eastAsia=\"ja-JP\" w:bidi=\"he-IL\"/>");
        assertThat(part(sample("pptx", fonts), "ppt/slides/slide1.xml", "Wort"))
                .contains("<a:rPr lang=\"de\"><a:latin typeface=\"Sandbank\"/></a:rPr><a:t>Wort")
                .doesNotContain("Tidewater");
    }

    @Test
    void aDocumentInALanguageFromRightToLeftRunsThatWay() throws IOException {
        FileOptions arabic = FileOptions.ofLanguages("en", "ar");

        assertThat(part(sample("docx", DocumentOptions.DEFAULT).with(arabic), "word/document.xml", "نص"))
                .contains("<w:pPr><w:bidi/><w:jc w:val=\"left\"/></w:pPr><w:r><w:rPr><w:rtl/></w:rPr>")
                .contains("<w:p><w:pPr><w:bidi/></w:pPr><w:r>");
        assertThat(part(sample("pptx", DocumentOptions.DEFAULT).with(arabic), "ppt/slides/slide1.xml", "نص"))
                .contains("<a:pPr algn=\"r\" rtl=\"1\"/><a:r><a:rPr b=\"1\" lang=\"ar\"/><a:t>نص");
        assertThat(part(sample("xlsx", DocumentOptions.DEFAULT).with(arabic), "xl/worksheets/sheet1.xml", "نص"))
                .contains("<sheetView workbookViewId=\"0\" rightToLeft=\"1\"/>");
    }

    /** A part of the document with this in place of every text. */
    private static String part(DocumentSample sample, String name, String text) throws IOException {
        byte[] written = sample.written(DocumentSample.translated(sample.open(), any -> text));
        return OfficeSample.parts(written).get(name);
    }
}
