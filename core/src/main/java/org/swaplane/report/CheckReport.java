package org.swaplane.report;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.VerticalAlignment;
import org.apache.poi.ss.util.CellRangeAddress;
import org.apache.poi.xssf.streaming.SXSSFSheet;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;
import org.swaplane.check.Finding;
import org.swaplane.wording.Wording;

/**
 * What the checks found, for people who have no Swap Lane: as HTML and as a workbook.
 *
 * @param title what was checked
 * @param segments how many segments were looked at
 */
public record CheckReport(String title, int segments, List<Line> lines) {
    private static final List<String> HEADS =
            List.of("file", "segment", "check", "severity", "message", "source", "target", "suggestion", "aside");
    private static final int[] WIDTHS = {24, 10, 20, 12, 44, 60, 60, 60, 40};
    private static final int CHARACTER = 256;
    /** A cell holds no more (ECMA-376, part 1, section 18.3.1.96). */
    private static final int LONGEST_CELL = 32_767;

    /**
     * One finding.
     *
     * @param aside why it was set aside and by whom; empty for an open one
     */
    public record Line(
            String file, int number, Finding finding, String source, String target, String suggestion, String aside) {}

    public CheckReport {
        lines = List.copyOf(lines);
    }

    public String html() throws IOException {
        Map<String, Object> model = new LinkedHashMap<>();
        model.put("title", title);
        model.put("segments", segments);
        model.put(
                "open",
                lines.stream()
                        .filter(line -> line.aside().isEmpty())
                        .map(CheckReport::entry)
                        .toList());
        model.put(
                "aside",
                lines.stream()
                        .filter(line -> !line.aside().isEmpty())
                        .map(CheckReport::entry)
                        .toList());
        return HtmlReport.render("checks", model);
    }

    private static Map<String, Object> entry(Line line) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("file", line.file());
        entry.put("number", line.number());
        entry.put("check", check(line));
        entry.put("severity", severity(line));
        entry.put("message", line.finding().message());
        entry.put("source", MarkedText.pieces(line.source(), line.finding().source()));
        entry.put("target", MarkedText.pieces(line.target(), line.finding().target()));
        entry.put("aside", line.aside());
        return entry;
    }

    private static String check(Line line) {
        return Wording.text("check-name." + line.finding().check());
    }

    private static String severity(Line line) {
        return Wording.text("severity." + line.finding().severity().name().toLowerCase(java.util.Locale.ROOT));
    }

    /** Writes a workbook with one row for each finding, to be sorted and filtered. */
    public void writeWorkbook(OutputStream out) throws IOException {
        try (SXSSFWorkbook workbook = new SXSSFWorkbook()) {
            SXSSFSheet sheet = workbook.createSheet(Wording.text("report.checks.sheet"));
            CellStyle head = workbook.createCellStyle();
            Font bold = workbook.createFont();
            bold.setBold(true);
            head.setFont(bold);
            CellStyle text = workbook.createCellStyle();
            text.setWrapText(true);
            text.setVerticalAlignment(VerticalAlignment.TOP);
            for (int i = 0; i < WIDTHS.length; i++) {
                sheet.setColumnWidth(i, WIDTHS[i] * CHARACTER);
            }
            fill(
                    sheet.createRow(0),
                    HEADS.stream()
                            .map(each -> Wording.text("report.checks." + each))
                            .toList(),
                    head);
            int at = 1;
            for (Line line : lines) {
                fill(sheet.createRow(at++), cells(line), text);
            }
            sheet.createFreezePane(0, 1);
            sheet.setAutoFilter(new CellRangeAddress(0, Math.max(0, at - 1), 0, HEADS.size() - 1));
            workbook.write(out);
        }
    }

    private static List<String> cells(Line line) {
        List<String> cells = new ArrayList<>();
        cells.add(line.file());
        cells.add(String.valueOf(line.number()));
        cells.add(check(line));
        cells.add(severity(line));
        cells.add(line.finding().message());
        cells.add(line.source());
        cells.add(line.target());
        cells.add(line.suggestion());
        cells.add(line.aside());
        return cells;
    }

    private static void fill(Row row, List<String> cells, CellStyle style) {
        for (int i = 0; i < cells.size(); i++) {
            String text = cells.get(i);
            var cell = row.createCell(i);
            cell.setCellValue(text.length() > LONGEST_CELL ? text.substring(0, LONGEST_CELL) : text);
            cell.setCellStyle(style);
        }
    }
}
