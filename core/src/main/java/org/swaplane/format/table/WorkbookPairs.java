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
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.About;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;

/**
 * Source and target side by side on the sheets of a workbook, in tag notation. The first row of a sheet names the columns as in
 * {@link DelimitedText}; other sheets are left out. Only read: a workbook that shall come back goes out as a review copy.
 */
public final class WorkbookPairs {
    private WorkbookPairs() {}

    /**
     * Reads the pairs of all sheets that have some.
     *
     * @throws CannotProceedException when the workbook is broken, or no sheet names a source and a target
     */
    public static BilingualDocument read(Source source) throws IOException {
        SafeZip.read(source, entry -> false); // refuses what is no package, or a hostile one
        List<Part> parts = new ArrayList<>();
        List<Segment> segments = new ArrayList<>();
        try (InputStream in = source.open();
                XSSFWorkbook workbook = new XSSFWorkbook(in)) {
            for (Sheet sheet : workbook) {
                read(sheet, parts, segments);
            }
        } catch (POIXMLException | OpenXML4JRuntimeException | IllegalArgumentException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(source.name(), 0, 0),
                    "the workbook cannot be read (" + e.getMessage() + ")",
                    "save it again as XLSX, or give a CSV file",
                    e);
        }
        if (parts.isEmpty()) {
            throw new CannotProceedException(
                    source.name(),
                    "no sheet names a source and a target in its first row",
                    "write the codes of the two languages above their columns, such as en and de");
        }
        return new BilingualDocument("xlsx", "UTF-8", parts, segments, List.of(), List.of());
    }

    private static void read(Sheet sheet, List<Part> parts, List<Segment> segments) {
        Row head = sheet.getRow(sheet.getFirstRowNum());
        PairColumns columns = head == null ? PairColumns.UNNAMED : PairColumns.of(cells(head));
        if (!columns.named()) {
            return;
        }
        parts.add(new Part(sheet.getSheetName(), columns.sourceLanguage(), columns.targetLanguage(), List.of()));
        for (Row row : sheet) {
            List<String> cells = cells(row);
            String written = cell(cells, columns.source());
            if (row.getRowNum() == head.getRowNum() || written.isBlank()) {
                continue;
            }
            Content source = TagNotation.readSource(written);
            Content target =
                    TagNotation.read(cell(cells, columns.target()), source).content();
            String note = cell(cells, columns.note());
            String key = sheet.getSheetName() + '/' + (row.getRowNum() + 1);
            segments.add(new Segment(
                    key,
                    parts.size() - 1,
                    key,
                    source,
                    target,
                    target.isEmpty() ? State.INITIAL : State.TRANSLATED,
                    "",
                    Lock.NONE,
                    note.isBlank() ? About.NOTHING : About.ofNotes(List.of(new Note(note, "")))));
        }
    }

    private static String cell(List<String> cells, int column) {
        return column < 0 || column >= cells.size() ? "" : cells.get(column);
    }

    private static List<String> cells(Row row) {
        DataFormatter formatter = new DataFormatter();
        List<String> cells = new ArrayList<>();
        for (int i = 0; i < row.getLastCellNum(); i++) {
            cells.add(formatter.formatCellValue(row.getCell(i)));
        }
        return cells;
    }
}
