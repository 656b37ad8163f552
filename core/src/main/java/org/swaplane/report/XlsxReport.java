package org.swaplane.report;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.VerticalAlignment;
import org.apache.poi.ss.util.CellRangeAddress;
import org.apache.poi.ss.util.CellReference;
import org.apache.poi.ss.util.WorkbookUtil;
import org.apache.poi.xssf.streaming.SXSSFSheet;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;
import org.swaplane.wording.Wording;

/** A workbook with a sheet for each table, to be sorted and filtered, and one that says what it is about. */
final class XlsxReport {
    private static final int CHARACTER = 256;
    private static final int NARROWEST = 10;
    private static final int WIDEST = 60;
    private static final int ROWS_MEASURED = 200;
    /** A cell holds no more (ECMA-376, part 1, section 18.3.1.96). */
    private static final int LONGEST_CELL = 32_767;

    private final SXSSFWorkbook workbook;
    private final CellStyle head;
    private final CellStyle text;
    private final Map<Integer, CellStyle> numbers = new HashMap<>();

    private XlsxReport(SXSSFWorkbook workbook) {
        this.workbook = workbook;
        head = workbook.createCellStyle();
        Font bold = workbook.createFont();
        bold.setBold(true);
        head.setFont(bold);
        text = workbook.createCellStyle();
        text.setWrapText(true);
        text.setVerticalAlignment(VerticalAlignment.TOP);
    }

    static void write(Report report, OutputStream out) throws IOException {
        try (SXSSFWorkbook workbook = new SXSSFWorkbook()) {
            XlsxReport writer = new XlsxReport(workbook);
            report.sections().stream()
                    .filter(section -> !section.heads().isEmpty())
                    .forEach(writer::addTable);
            writer.addAbout(report);
            workbook.write(out);
        }
    }

    private void addTable(Report.Section section) {
        SXSSFSheet sheet = sheet(section.heading());
        List<String> heads = section.heads();
        Row first = sheet.createRow(0);
        for (int i = 0; i < heads.size(); i++) {
            fill(first, i, Cell.of(heads.get(i)), head);
            sheet.setColumnWidth(i, width(section, i) * CHARACTER);
        }
        int at = 1;
        for (List<Cell> cells : section.rows()) {
            Row row = sheet.createRow(at++);
            for (int i = 0; i < cells.size(); i++) {
                fill(row, i, cells.get(i), text);
            }
        }
        sheet.createFreezePane(0, 1);
        // On paper, all columns stand on one page.
        sheet.setFitToPage(true);
        sheet.getPrintSetup().setFitWidth((short) 1);
        sheet.getPrintSetup().setFitHeight((short) 0);
        sheet.getPrintSetup().setLandscape(true);
        sheet.setAutoFilter(new CellRangeAddress(0, Math.max(0, at - 1), 0, heads.size() - 1));
        addSums(sheet, section.sums(), at);
        section.chart().filter(chart -> !chart.isEmpty()).ifPresent(chart -> new XlsxChart(workbook, chart)
                .place(sheet.getSheetName(), heads.size() + 1));
    }

    /** What stands below a column is a formula, so that it stays right when somebody corrects a number. */
    private void addSums(SXSSFSheet sheet, List<Cell> sums, int rows) {
        if (sums.isEmpty()) {
            return;
        }
        Row row = sheet.createRow(rows);
        for (int i = 0; i < sums.size(); i++) {
            fill(row, i, sums.get(i), head);
            if (sums.get(i).number().isPresent() && rows > 1) {
                String column = CellReference.convertNumToColString(i);
                row.getCell(i).setCellFormula("SUM(" + column + "2:" + column + rows + ")");
                row.getCell(i).setCellValue(sums.get(i).number().get().doubleValue());
            }
        }
    }

    private static int width(Report.Section section, int column) {
        int longest = section.rows().stream()
                .limit(ROWS_MEASURED)
                .mapToInt(row -> row.get(column).text().length())
                .max()
                .orElse(0);
        // The filter's button takes room beside the head.
        int wanted = Math.max(longest, section.heads().get(column).length() + 3);
        return Math.max(NARROWEST, Math.min(WIDEST, wanted));
    }

    private void addAbout(Report report) {
        SXSSFSheet sheet = sheet(Wording.text("report.about"));
        sheet.setColumnWidth(0, WIDEST / 2 * CHARACTER);
        sheet.setColumnWidth(1, WIDEST * CHARACTER);
        int at = 0;
        fill(sheet.createRow(at++), 0, Cell.of(report.title()), head);
        for (String line : report.lines()) {
            fill(sheet.createRow(at++), 0, Cell.of(line), null);
        }
        for (Report.Fact fact : report.facts()) {
            Row row = sheet.createRow(at++);
            fill(row, 0, Cell.of(fact.label()), head);
            fill(row, 1, fact.cell(), text);
        }
        for (Report.Section section : report.sections()) {
            if (!section.lines().isEmpty() || !section.items().isEmpty()) {
                fill(sheet.createRow(at++), 0, Cell.of(section.heading()), head);
            }
            for (String line : section.lines()) {
                fill(sheet.createRow(at++), 0, Cell.of(line), null);
            }
            for (String item : section.items()) {
                fill(sheet.createRow(at++), 0, Cell.of(item), null);
            }
        }
    }

    private SXSSFSheet sheet(String name) {
        String safe = WorkbookUtil.createSafeSheetName(name.isEmpty() ? Wording.text("report.table") : name);
        String free = safe;
        for (int i = 2; workbook.getSheet(free) != null; i++) {
            String number = " " + i;
            free = safe.substring(0, Math.min(safe.length(), 31 - number.length())) + number;
        }
        return workbook.createSheet(free);
    }

    private CellStyle numberStyle(int decimals) {
        return numbers.computeIfAbsent(Math.max(0, decimals), scale -> {
            CellStyle style = workbook.createCellStyle();
            style.setVerticalAlignment(VerticalAlignment.TOP);
            style.setDataFormat(
                    workbook.createDataFormat().getFormat(scale == 0 ? "#,##0" : "#,##0." + "0".repeat(scale)));
            return style;
        });
    }

    private void fill(Row row, int column, Cell value, CellStyle style) {
        var cell = row.createCell(column);
        if (value.number().isPresent()) {
            BigDecimal number = value.number().get();
            cell.setCellValue(number.doubleValue());
            cell.setCellStyle(numberStyle(number.scale()));
            return;
        } else {
            String written = value.text();
            cell.setCellValue(written.length() > LONGEST_CELL ? written.substring(0, LONGEST_CELL) : written);
        }
        if (style != null) {
            cell.setCellStyle(style);
        }
    }
}
