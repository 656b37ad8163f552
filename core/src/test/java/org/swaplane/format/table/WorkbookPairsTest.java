package org.swaplane.format.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.StringLength;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class WorkbookPairsTest {
    private static final String SHEET = "xl/worksheets/sheet1.xml";

    /** A sheet of fares with these rows of id, English, German and a price; null is a cell that is not there. */
    private static byte[] workbook(String[]... rows) throws IOException {
        try (XSSFWorkbook workbook = new XSSFWorkbook();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            XSSFSheet sheet = workbook.createSheet("Fares & piers");
            for (int i = 0; i < rows.length; i++) {
                Row row = sheet.createRow(i);
                for (int column = 0; column < rows[i].length; column++) {
                    if (rows[i][column] != null) {
                        row.createCell(column).setCellValue(rows[i][column]);
                    }
                }
            }
            workbook.createSheet("Notes").createRow(0).createCell(0).setCellValue("Nothing to translate");
            workbook.write(out);
            return out.toByteArray();
        }
    }

    private static byte[] fares() throws IOException {
        return workbook(
                new String[] {"id", "en-GB", "de-DE", "price"},
                new String[] {"bike", "Bicycle", "Rad", "3"},
                new String[] {"dog", "Dog", null, "0"},
                new String[] {"cat", "Cat"});
    }

    private static BilingualFile open(byte[] bytes) throws IOException {
        return FormatRegistry.ofInstalled().open(Source.of("fares.xlsx", bytes), Progress.NONE);
    }

    private static byte[] written(byte[] bytes, SegmentEdit... edits) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        open(bytes).write(List.of(edits), out, Progress.NONE);
        return out.toByteArray();
    }

    private static SegmentEdit edit(int segment, String target) {
        return new SegmentEdit(segment, Content.of(target), State.TRANSLATED);
    }

    private static List<String> targets(byte[] bytes) throws IOException {
        return open(bytes).document().segments().stream()
                .map(Segment::target)
                .map(Content::plainText)
                .toList();
    }

    private static Map<String, String> entries(byte[] file) throws IOException {
        Map<String, String> entries = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                entries.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        return entries;
    }

    @Test
    void sheetsThatNameTwoLanguagesAreBilingual() throws IOException {
        BilingualFile file = open(fares());

        assertThat(file.document().targetLanguage()).isEqualTo("de-DE");
        assertThat(file.document().segments())
                .extracting(
                        Segment::key,
                        segment -> segment.source().plainText(),
                        segment -> segment.target().plainText(),
                        Segment::state)
                .containsExactly(
                        tuple("Fares & piers/2", "Bicycle", "Rad", State.TRANSLATED),
                        tuple("Fares & piers/3", "Dog", "", State.INITIAL),
                        tuple("Fares & piers/4", "Cat", "", State.INITIAL));
    }

    @Test
    void aWorkbookThatNamesNoneIsADocument() throws IOException {
        assertThat(open(workbook(new String[] {"Pier", "Gullwick"}, new String[] {"1", "Open"})))
                .isInstanceOf(DocumentFile.class);
    }

    @Test
    void withoutAChangeItIsTheSameToTheByte() throws IOException {
        byte[] fares = fares(); // each one that is made tells its own time

        assertThat(written(fares, edit(0, "Rad"))).isEqualTo(fares);
    }

    @Test
    void onlyTheCellsOfChangedTargetsChange() throws IOException {
        byte[] before = fares();

        byte[] after = written(before, edit(0, "Fahrrad"));

        assertThat(targets(after)).containsExactly("Fahrrad", "", "");
        Map<String, String> left = entries(before);
        String sheet = left.remove(SHEET);
        Map<String, String> right = entries(after);
        assertThat(right.remove(SHEET))
                .isEqualTo(sheet.replaceFirst(
                        "<c r=\"C2\" t=\"s\" s=\"0\"><v>\\d+</v></c>",
                        "<c r=\"C2\" s=\"0\" t=\"inlineStr\"><is><t xml:space=\"preserve\">Fahrrad</t></is></c>"));
        assertThat(right).isEqualTo(left);
    }

    @Test
    void aCellThatWasNotThereStandsInItsPlace() throws IOException {
        byte[] after = written(fares(), edit(1, "Hund"), edit(2, "Katze"));

        assertThat(targets(after)).containsExactly("Rad", "Hund", "Katze");
        assertThat(entries(after).get(SHEET).replaceAll("<[^c][^>]*>|</?c[^ ][^>]*>", ""))
                .containsSubsequence("r=\"B3\"", "r=\"C3\"", "r=\"D3\"", "r=\"B4\"", "r=\"C4\"");
    }

    @Property(tries = 60)
    void everyTargetIsReadAgainAsItWasWritten(@ForAll @StringLength(min = 1, max = 12) String any) throws IOException {
        String target = any.replaceAll("[^\\P{C}\\n]|[\\uFFFE\\uFFFF⟦⟧]", "") + "_x0041_ <&>\" ä😀.";

        assertThat(targets(written(fares(), edit(1, target)))).containsExactly("Rad", target, "");
    }

    @Test
    void aTargetThatIsAFormulaIsNotLost() throws IOException {
        byte[] bytes;
        try (XSSFWorkbook workbook = new XSSFWorkbook(new ByteArrayInputStream(fares()));
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            workbook.getSheetAt(0).getRow(1).getCell(2).setCellFormula("B2");
            workbook.write(out);
            bytes = out.toByteArray();
        }

        assertThatThrownBy(() -> written(bytes, edit(0, "Fahrrad")))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("C2")
                .hasMessageContaining("formula");
    }
}
