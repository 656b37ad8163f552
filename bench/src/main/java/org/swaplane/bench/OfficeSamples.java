package org.swaplane.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.poi.openxml4j.util.ZipSecureFile;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFRun;

/** Office documents of any size, in the manner of the demo. */
final class OfficeSamples {
    private static final int COLUMNS = 20;

    private OfficeSamples() {}

    /** Paragraphs of three sentences in four runs each. */
    static Path document(int paragraphs) throws IOException {
        ZipSecureFile.setMinInflateRatio(0);
        Path file = Files.createTempFile("swaplane-bench", ".docx");
        try (XWPFDocument document = new XWPFDocument();
                OutputStream out = Files.newOutputStream(file)) {
            for (int i = 0; i < paragraphs; i++) {
                XWPFParagraph paragraph = document.createParagraph();
                run(paragraph, "Ferry number " + i + " leaves from ", false);
                run(paragraph, "Gullwick", true);
                run(paragraph, " at " + i % 24 + ":30 with passengers, bicycles & luggage. ", false);
                run(paragraph, "Please be at the quay ten minutes before. Dogs travel free of charge.", false);
            }
            document.write(out);
        }
        return file;
    }

    private static void run(XWPFParagraph paragraph, String text, boolean bold) {
        XWPFRun run = paragraph.createRun();
        run.setText(text);
        run.setBold(bold);
    }

    /** Every other cell a number, the others texts, of which half are repeated. */
    static Path workbook(int cells) throws IOException {
        Path file = Files.createTempFile("swaplane-bench", ".xlsx");
        try (XSSFWorkbook workbook = new XSSFWorkbook();
                OutputStream out = Files.newOutputStream(file)) {
            XSSFSheet sheet = workbook.createSheet("Fares");
            for (int row = 0; row < cells / COLUMNS; row++) {
                Row line = sheet.createRow(row);
                for (int column = 0; column < COLUMNS; column++) {
                    if (column % 2 == 0) {
                        line.createCell(column).setCellValue(row * 1.5 + column);
                    } else {
                        int number = column % 4 == 1 ? row : column;
                        line.createCell(column).setCellValue("Crossing " + number + " to pier " + column);
                    }
                }
            }
            workbook.write(out);
        }
        return file;
    }
}
