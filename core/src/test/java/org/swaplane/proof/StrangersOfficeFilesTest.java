package org.swaplane.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.document.Lock;
import org.swaplane.document.Segment;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.format.table.WorkbookRows;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Office files as other people's programs write them. */
class StrangersOfficeFilesTest {
    @TempDir
    private Path folder;

    private DryRunResult proven(Source source) throws IOException {
        return DryRun.withDefaults(FormatRegistry.ofInstalled())
                .run(
                        source,
                        FileOptions.ofLanguages("en-GB", "de-DE"),
                        folder.resolve("pseudo-" + source.name()),
                        Progress.NONE);
    }

    private static BilingualFile open(Source source) throws IOException {
        return FormatRegistry.ofInstalled().open(source, FileOptions.ofLanguages("en-GB", "de-DE"), Progress.NONE);
    }

    private static byte[] bytes(XSSFWorkbook workbook) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        workbook.write(out);
        return out.toByteArray();
    }

    private static byte[] demo(String name) throws IOException {
        try (InputStream in = StrangersOfficeFilesTest.class.getResourceAsStream("/org/swaplane/demo/" + name)) {
            return in.readAllBytes();
        }
    }

    /** The same package with entries under other names, and texts in them replaced. */
    private static byte[] repacked(byte[] zip, UnaryOperator<String> names, UnaryOperator<String> texts)
            throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip));
                ZipOutputStream to = new ZipOutputStream(out)) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                byte[] content = in.readAllBytes();
                to.putNextEntry(new ZipEntry(names.apply(entry.getName())));
                boolean xml =
                        entry.getName().endsWith(".xml") || entry.getName().endsWith(".rels");
                to.write(
                        xml
                                ? texts.apply(new String(content, StandardCharsets.UTF_8))
                                        .getBytes(StandardCharsets.UTF_8)
                                : content);
            }
        }
        return out.toByteArray();
    }

    @Test
    void aWorkbookOfTwentyThousandTextsIsProven() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (SXSSFWorkbook workbook = new SXSSFWorkbook(null, 100, false, true)) {
            Sheet sheet = workbook.createSheet("Crossings");
            for (int i = 0; i < 20_000; i++) {
                Row row = sheet.createRow(i);
                row.createCell(0).setCellValue("The ferry of crossing " + i + " calls at both piers.");
            }
            workbook.write(out);
        }

        DryRunResult result = proven(Source.of("crossings.xlsx", out.toByteArray()));

        assertThat(result.proofs())
                .filteredOn(proof -> proof.verdict() == Proof.Verdict.FAIL)
                .isEmpty();
    }

    @Test
    void aTargetThatIsAFormulaIsLockedAndTheRestIsProven() throws IOException {
        XSSFWorkbook workbook = new XSSFWorkbook();
        Sheet sheet = workbook.createSheet("Pairs");
        sheet.createRow(0).createCell(0).setCellValue("en");
        sheet.getRow(0).createCell(1).setCellValue("de");
        sheet.createRow(1).createCell(0).setCellValue("Ferry");
        sheet.getRow(1).createCell(1).setCellValue("Fähre");
        sheet.createRow(2).createCell(0).setCellValue("Ferry again");
        sheet.getRow(2).createCell(1).setCellFormula("B2");
        workbook.getCreationHelper().createFormulaEvaluator().evaluateAll();
        Source source = Source.of("pairs.xlsx", bytes(workbook));

        List<Segment> segments = open(source).document().segments();

        assertThat(segments).extracting(Segment::lock).containsExactly(Lock.NONE, Lock.STRUCTURE);
        assertThat(proven(source).verdict()).isNotEqualTo(Proof.Verdict.FAIL);
    }

    @Test
    void aDocumentWhoseMainPartHasAnotherNameIsRead() throws IOException {
        byte[] renamed = repacked(
                demo("leaflet.docx"),
                name -> name.replace("word/document.xml", "word/main.xml"),
                text -> text.replace("word/document.xml", "word/main.xml"));
        List<Segment> usual =
                open(Source.of("leaflet.docx", demo("leaflet.docx"))).document().segments();

        List<Segment> segments =
                open(Source.of("renamed.docx", renamed)).document().segments();

        assertThat(segments)
                .extracting(Segment::source)
                .isEqualTo(usual.stream().map(Segment::source).toList());
        assertThat(proven(Source.of("renamed.docx", renamed)).verdict()).isNotEqualTo(Proof.Verdict.FAIL);
    }

    @Test
    void aBombInsideAWorkbookGivesOneClearLine() throws IOException {
        XSSFWorkbook workbook = new XSSFWorkbook();
        workbook.createSheet("A").createRow(0).createCell(0).setCellValue("source");
        String zeros = "<si><t>" + "0".repeat(50_000_000) + "</t></si>";
        byte[] bomb = repacked(
                bytes(workbook),
                UnaryOperator.identity(),
                text -> text.contains("<sst") ? text.replace("<si>", zeros + "<si>") : text);

        assertThatThrownBy(() -> WorkbookRows.read(Source.of("bomb.xlsx", bomb)))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("bomb.xlsx")
                .hasMessageContaining("unpacks to far more")
                .hasMessageNotContaining("detected!");
    }

    @Test
    void aWorkbookOfAnotherDialectIsReadOrRefusedInWordsForPeople() throws IOException {
        XSSFWorkbook workbook = new XSSFWorkbook();
        workbook.createSheet("A").createRow(0).createCell(0).setCellValue("The ferry leaves.");
        byte[] strict = repacked(
                bytes(workbook),
                UnaryOperator.identity(),
                text -> text.replace(
                        "http://schemas.openxmlformats.org/spreadsheetml/2006/main",
                        "http://purl.oclc.org/ooxml/spreadsheetml/main"));

        assertThat(open(Source.of("strict.xlsx", strict)).document().segments())
                .extracting(segment -> segment.source().plainText())
                .containsExactly("The ferry leaves.");
        assertThatThrownBy(() -> WorkbookRows.read(Source.of("strict.xlsx", strict)))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageNotContaining("@")
                .hasMessageNotContaining("error:");
    }
}
