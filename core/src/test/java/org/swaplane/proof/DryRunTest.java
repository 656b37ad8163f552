package org.swaplane.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.demo.DemoLane;
import org.swaplane.document.BilingualDocument;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.DocumentSample;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Head;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Selection;
import org.swaplane.format.Source;
import org.swaplane.format.office.OfficeSample;
import org.swaplane.format.xliff12.Xliff12Format;
import org.swaplane.task.Progress;

class DryRunTest {
    @TempDir
    private Path folder;

    /** XLIFF 1.2 with a writer that spoils what it writes. */
    private record FaultyFormat(UnaryOperator<String> fault) implements BilingualFormat {
        @Override
        public String id() {
            return "faulty";
        }

        @Override
        public boolean recognises(Head head) {
            return true;
        }

        @Override
        public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
            BilingualFile sound = new Xliff12Format().read(source, options, progress);
            return new BilingualFile() {
                @Override
                public BilingualDocument document() {
                    return sound.document();
                }

                @Override
                public void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException {
                    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
                    sound.write(edits, bytes, progress);
                    out.write(
                            fault.apply(bytes.toString(StandardCharsets.UTF_8)).getBytes(StandardCharsets.UTF_8));
                }
            };
        }
    }

    private DryRunResult run(FormatRegistry formats) throws IOException {
        Source source = Source.of(DemoLane.FILE, DemoLane.file());
        return DryRun.withDefaults(formats).run(source, FileOptions.NONE, folder.resolve("pseudo.xlf"), Progress.NONE);
    }

    private List<String> failedWith(UnaryOperator<String> fault) throws IOException {
        return run(new FormatRegistry(List.of(new FaultyFormat(fault)))).proofs().stream()
                .filter(proof -> proof.verdict() == Proof.Verdict.FAIL)
                .map(Proof::id)
                .toList();
    }

    @Test
    void everyProofHoldsForASoundFile() throws IOException {
        DryRunResult result = run(FormatRegistry.ofInstalled());

        assertThat(found(result)).isEmpty();
        assertThat(result.proofs()).hasSize(9);
        assertThat(folder).isDirectoryNotContaining("glob:**.tmp");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            a.po   | msgid "Go {name}"%nmsgstr ""%n%nmsgid "Stay"%nmsgstr "Bleib"%n
            a.json | {"en": {"a": "Go {name}", "b": "Stay"}, "de": {"b": "Bleib"}}
            a.csv  | en,de,note%nGo {name},,x%nStay,Bleib,%n
            """)
    void bilingualFilesThatAreNoXmlAreProvenToo(String name, String text) throws IOException {
        Source source = Source.of(name, text.replace("%n", "\n").getBytes(StandardCharsets.UTF_8));

        DryRunResult result = DryRun.withDefaults(FormatRegistry.ofInstalled())
                .run(source, FileOptions.ofLanguages("en", "de"), folder.resolve("pseudo"), Progress.NONE);

        assertThat(result.proofs()).allMatch(proof -> proof.verdict() == Proof.Verdict.PASS);
    }

    @Test
    void lockedSegmentsStayAsTheyAre() throws IOException {
        DryRunResult result = run(FormatRegistry.ofInstalled());

        assertThat(result.pseudo().segments())
                .filteredOn(segment -> segment.locked())
                .extracting(segment -> segment.target().plainText())
                .containsExactly("GBP", "Marram Sound Ferries", "Version 4.12.0");
    }

    @Test
    void aWriterThatChangesWhiteSpaceIsFound() throws IOException {
        assertThat(failedWith(text -> text.replace("<body>\n", "<body>\n\n"))).contains("identity");
    }

    @Test
    void aWriterThatDropsTagsIsFound() throws IOException {
        assertThat(failedWith(text -> text.replaceAll("<x id=\"2\"[^>]*/>(?=[^<]*\\]</target>)", "")))
                .contains("survival");
    }

    @Test
    void aWriterThatDropsForeignAttributesIsFound() throws IOException {
        assertThat(failedWith(text -> text.contains("[Ţîɱé") ? text.replace(" h:screen=\"fares-7\"", "") : text))
                .containsExactly("return");
    }

    @Test
    void aWriterThatCannotWriteIsAFailureAndNoCrash() throws IOException {
        assertThat(failedWith(text -> text.contains("[Ţîɱé") ? "<xliff" : text)).containsExactly("survival");
    }

    private DryRunResult prove(DocumentSample sample) throws IOException {
        return DryRun.withDefaults(FormatRegistry.ofInstalled())
                .run(
                        Source.of(sample.name(), sample.bytes()),
                        sample.options(),
                        folder.resolve(sample.name()),
                        Progress.NONE);
    }

    private static DocumentSample in(String language, String name, String text, Charset charset) {
        DocumentSample sample = DocumentSample.of(name, text, charset);
        return sample.with(sample.options().inLanguages("en", language));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            a.html       | <p>Open</p><script>let m = "Your ferry is late"; q(".a .b")</script> | reach: script: in a script: Your ferry is late
            a.html       | <p data-tip="Book your seat">Open</p>                               | reach: p/data-tip: in an attribute: Book your seat
            a.html       | <style>p::after { content: "New here"; font: "My Font" }</style><p>A b</p> | reach: style: in a style: New here
            a.html       | <p>Deck</p><img src="map.png" width="40" height="30">                  | pictures: map.png: img, 40 × 30 pixels
            a.xml        | <deck><seat label="Mind the step">Row</seat></deck>                  | reach: 1 seat/label: in an attribute: Mind the step
            a.md         | The pier.%n%n![plan](plan.png)                                          | pictures: plan.png: 3
            a.properties | a=Two  spaces                                                         | structure: a: two spaces in a row: Two  spaces
            a.txt        | A wоrd of two scripts.                                           | structure: 1: a word of two scripts: A wоrd of two scripts.
            a.json       | {"a": "Go {0}", "b": "Stay {0}", "c": "Run %s"}                       | structure: /c: placeholders in another style than the rest of the file: Run ⟦1/⟧
            """)
    void aPlantedFaultIsFoundByItsProof(String name, String text, String expected) throws IOException {
        DryRunResult result = prove(in("de", name, text.replace("%n", "\n"), StandardCharsets.UTF_8));

        assertThat(found(result)).containsExactly(expected);
        assertThat(result.verdict()).isEqualTo(Proof.Verdict.WARN);
    }

    private static List<String> found(DryRunResult result) {
        return result.proofs().stream()
                .filter(proof -> proof.verdict() != Proof.Verdict.PASS)
                .flatMap(proof ->
                        proof.details().stream().map(each -> proof.id() + ": " + each.where() + ": " + each.text()))
                .toList();
    }

    @Test
    void textThatARuleLeavesOutIsFound() throws IOException {
        DocumentSample sample = in("de", "a.json", "{\"a\": \"Go\", \"b\": \"Left out here\"}", StandardCharsets.UTF_8);

        DryRunResult result =
                prove(sample.with(sample.options().with(DocumentOptions.DEFAULT.with(new Selection(List.of("-/b"))))));

        assertThat(found(result)).containsExactly("reach: /b: left out by a rule: Left out here");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            a.txt  | Café on deck. | FAIL | windows-1252 lacks Ą ą Ć ć Ę ę Ł ł Ń ń Ś ś Ź ź Ż ż (pl)
            a.xlf  | XLIFF         | WARN | windows-1252 lacks Ą ą Ć ć Ę ę Ł ł Ń ń Ś ś Ź ź Ż ż (pl)
            """)
    void anEncodingWithoutTheLettersOfTheTargetIsFound(String name, String text, Proof.Verdict verdict, String words)
            throws IOException {
        String xliff = "<?xml version='1.0' encoding='windows-1252'?><xliff version='1.2'><file source-language='en'"
                + " target-language='pl' original='a' datatype='plaintext'><body><trans-unit id='1'><source>Café</source>"
                + "</trans-unit></body></file></xliff>";

        DryRunResult result = prove(in("pl", name, text.replace("XLIFF", xliff), Charset.forName("windows-1252")));

        assertThat(result.verdict()).isEqualTo(verdict);
        assertThat(found(result)).containsExactly("characters: : " + words);
    }

    @Test
    void aTextDocumentWithPicturesFieldsAndHiddenTextIsLookedThrough() throws IOException {
        String field =
                "<w:r><w:fldChar w:fldCharType='begin'/></w:r><w:r><w:instrText> IF 1 = 1 \"Gate is open\" \\* MERGEFORMAT"
                        + "</w:instrText></w:r><w:r><w:fldChar w:fldCharType='separate'/></w:r>"
                        + OfficeSample.run("", "7")
                        + "<w:r><w:fldChar w:fldCharType='end'/></w:r>";
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put("[Content_Types].xml", "<Types/>");
        parts.put(
                "word/header1.xml",
                "<w:hdr xmlns:w='http://schemas.openxmlformats.org/wordprocessingml/2006/main'><w:p><w:r><w:txbxContent><w:p>"
                        + OfficeSample.run("", "A box on top") + "</w:p></w:txbxContent></w:r></w:p></w:hdr>");
        parts.put(
                "word/document.xml",
                OfficeSample.documentPart("<w:p>" + OfficeSample.run("", "The quay is ") + field + "</w:p><w:p>"
                        + OfficeSample.run("<w:vanish/>", "Not shown") + "</w:p>"));
        parts.put(
                "word/_rels/document.xml.rels",
                "<Relationships><Relationship Id='1' Target='media/map.png'/></Relationships>");
        parts.put("word/media/map.png", "no real picture");

        DryRunResult result = prove(OfficeSample.of("leaflet.docx", parts));

        assertThat(found(result))
                .containsExactly(
                        "reach: word/document.xml: in a field or formula: Gate is open",
                        "pictures: word/media/map.png: word/document.xml, 15 bytes");
        assertThat(result.unreached())
                .extracting(each -> each.kind() + " " + each.text())
                .containsExactlyInAnyOrder("FIELD_CODE Gate is open", "HIDDEN Not shown");
    }

    @Test
    void textThatOutgrowsItsLimitItsColumnOrItsBoxIsFound() throws IOException {
        String cells =
                "<worksheet xmlns='http://schemas.openxmlformats.org/spreadsheetml/2006/main'><cols><col min='1' max='1' width='12'/></cols><sheetData><row r='1'>"
                        + "<c r='A1' t='inlineStr'><is><t>Car deck</t></is></c><c r='B1'><v>7</v></c></row><row r='2'>"
                        + "<c r='A2' t='inlineStr'><is><t>Car deck</t></is></c></row></sheetData></worksheet>";
        Map<String, String> workbook = new LinkedHashMap<>();
        workbook.put("[Content_Types].xml", "<Types/>");
        workbook.put("xl/workbook.xml", "<workbook><sheets/></workbook>");
        workbook.put("xl/worksheets/sheet1.xml", cells);
        String shape =
                "<p:sp><p:spPr><a:xfrm><a:ext cx='1270000' cy='254000'/></a:xfrm></p:spPr><p:txBody><a:bodyPr/><a:p>"
                        + "<a:r><a:rPr sz='1200'/><a:t>Car deck</a:t></a:r></a:p></p:txBody></p:sp>";
        Map<String, String> slides = new LinkedHashMap<>();
        slides.put("[Content_Types].xml", "<Types/>");
        slides.put(
                "ppt/slides/slide1.xml",
                "<p:sld xmlns:p='urn:p' xmlns:a='http://schemas.openxmlformats.org/drawingml/2006/main'><p:cSld><p:spTree>"
                        + shape + shape.replace("<a:bodyPr/>", "<a:bodyPr><a:spAutoFit/></a:bodyPr>")
                        + "</p:spTree></p:cSld></p:sld>");

        assertThat(found(prove(OfficeSample.of("fares.xlsx", workbook))))
                .containsExactly("growth: xl/worksheets/sheet1.xml A1: wider than its column: [Çåŕ ðéçķ ~~~~~~~]");
        assertThat(found(prove(OfficeSample.of("talk.pptx", slides))))
                .containsExactly("growth: ppt/slides/slide1.xml 1: more than its box holds: [Çåŕ ðéçķ ~~~~~~~]");
        assertThat(found(prove(in(
                        "de",
                        "a.xlf",
                        "<xliff version='1.2'><file source-language='en' target-language='de' original='a' datatype='x'><body>"
                                + "<trans-unit id='1' maxwidth='10' size-unit='char'><source>Car deck</source></trans-unit></body></file></xliff>",
                        StandardCharsets.UTF_8))))
                .containsExactly("growth: a/1: 18 characters of at most 10: Car deck");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            a.html       | <html lang="en"><head><title>The quay</title></head><body><p class="big box">Open <b>now</b>.</p><pre>  a  b</pre></body></html>
            b.html       | <html lang="en"><head><meta charset="windows-1252"></head><body><p>See <b title="The tip">here</b> &copy; now</p></body></html>
            a.json       | {"id": "quay-7", "a": "Open {name} now", "n": [1, "See https://quay.example"]}
            a.properties | # A note of two words%na=Open\u00e9 {0}%nb=It''s {1}%n
            a.md         | ---%ntitle: The quay%n---%n# Head%n%nText with `some code here` and [a link][1].%n%n```%nlet some code = 1%n```%n%n[1]: https://quay.example "The tip"%n
            a.txt        | The quay is open.%n%nCome in.%n
            a.srt        | 1%n00:00:01,000 --> 00:00:02,000%nThe quay%nis open.%n
            a.csv        | en,de,note%nOpen the quay,,x%n
            a.xml        | <deck><seat code="a-1">The <b>upper</b> row</seat></deck>
            a.po         | msgid "Open %s now"%nmsgstr ""%n
            strings.xml  | <resources><string name="a">Open %1$s</string><string name="b" translatable="false">Not this one</string></resources>
            """)
    void aSoundFilePassesEveryProof(String name, String text) throws IOException {
        DryRunResult result = prove(in("de", name, text.replace("%n", "\n"), StandardCharsets.UTF_8));

        assertThat(found(result)).isEmpty();
        assertThat(result.verdict()).isEqualTo(Proof.Verdict.PASS);
    }
}
