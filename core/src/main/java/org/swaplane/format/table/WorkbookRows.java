package org.swaplane.format.table;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.apache.poi.ooxml.POIXMLException;
import org.apache.poi.openxml4j.exceptions.OpenXML4JRuntimeException;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;

/**
 * The cells of a workbook's sheet as they are shown.
 *
 * @param name of the sheet
 * @param rows those that hold something
 */
public record WorkbookRows(String name, List<Line> rows) {
    /** A row; {@code number} counts from 1 as the workbook does. */
    public record Line(int number, List<String> cells) {
        /** The text of a column, counted from 0; empty where there is none. */
        String cell(int column) {
            return column < 0 || column >= cells.size() ? "" : cells.get(column);
        }
    }

    /**
     * Reads all sheets.
     *
     * @throws CannotProceedException when this is no workbook, or a broken or hostile one
     */
    public static List<WorkbookRows> read(Source source) throws IOException {
        SafeZip.read(source, entry -> false); // refuses what is no package, or a hostile one
        DataFormatter formatter = new DataFormatter();
        List<WorkbookRows> sheets = new ArrayList<>();
        try (InputStream in = source.open();
                XSSFWorkbook workbook = new XSSFWorkbook(in)) {
            for (Sheet sheet : workbook) {
                List<Line> rows = new ArrayList<>();
                for (Row row : sheet) {
                    List<String> cells = new ArrayList<>();
                    for (int i = 0; i < row.getLastCellNum(); i++) {
                        cells.add(formatter.formatCellValue(row.getCell(i)));
                    }
                    rows.add(new Line(row.getRowNum() + 1, cells));
                }
                sheets.add(new WorkbookRows(sheet.getSheetName(), rows));
            }
            return sheets;
        } catch (POIXMLException | OpenXML4JRuntimeException | IllegalArgumentException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(source.name(), 0, 0),
                    "the workbook cannot be read (" + e.getMessage() + ")",
                    "save it again as XLSX, or give a CSV file",
                    e);
        }
    }
}
