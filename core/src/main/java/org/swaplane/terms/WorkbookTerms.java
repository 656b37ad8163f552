package org.swaplane.terms;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.apache.poi.ooxml.POIXMLException;
import org.apache.poi.openxml4j.exceptions.OpenXML4JRuntimeException;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;

/** Terms on the first sheet of a workbook. */
final class WorkbookTerms {
    private WorkbookTerms() {}

    static List<TermList.Entry> read(Source source) throws IOException {
        SafeZip.read(source, entry -> false); // refuses what is no package, or a hostile one
        DataFormatter formatter = new DataFormatter();
        List<List<String>> rows = new ArrayList<>();
        try (InputStream in = source.open();
                XSSFWorkbook workbook = new XSSFWorkbook(in)) {
            for (Row row : workbook.getSheetAt(0)) {
                List<String> cells = new ArrayList<>();
                for (int i = 0; i < row.getLastCellNum(); i++) {
                    cells.add(formatter.formatCellValue(row.getCell(i)));
                }
                rows.add(cells);
            }
        } catch (POIXMLException | OpenXML4JRuntimeException | IllegalArgumentException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(source.name(), 0, 0),
                    "the workbook cannot be read (" + e.getMessage() + ")",
                    "save it again as XLSX, or give a CSV file",
                    e);
        }
        return TermTable.entries(rows);
    }
}
