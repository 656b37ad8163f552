package org.swaplane.format.table;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import javax.xml.parsers.ParserConfigurationException;
import org.apache.poi.ooxml.POIXMLException;
import org.apache.poi.openxml4j.exceptions.OpenXML4JException;
import org.apache.poi.openxml4j.exceptions.OpenXML4JRuntimeException;
import org.apache.poi.openxml4j.opc.OPCPackage;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.util.CellReference;
import org.apache.poi.util.XMLHelper;
import org.apache.poi.xssf.eventusermodel.ReadOnlySharedStringsTable;
import org.apache.poi.xssf.eventusermodel.XSSFReader;
import org.apache.poi.xssf.eventusermodel.XSSFSheetXMLHandler;
import org.apache.poi.xssf.usermodel.XSSFComment;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.XMLReader;

/**
 * The cells of a workbook's sheet as they are shown, read as a stream.
 *
 * @param name of the sheet
 * @param part of the package that holds it, such as {@code xl/worksheets/sheet1.xml}
 * @param rows those that hold something
 */
public record WorkbookRows(String name, String part, List<Line> rows) {
    /** A row; {@code number} counts from 1 as the workbook does. */
    public record Line(int number, List<String> cells) {
        /** The text of a column, counted from 0; empty where there is none. */
        String cell(int column) {
            return column < 0 || column >= cells.size() ? "" : cells.get(column);
        }
    }

    /** The first row that holds something decides whether a sheet is read on. */
    private static final class Rows implements XSSFSheetXMLHandler.SheetContentsHandler {
        private final Predicate<Line> goesOn;
        private final List<Line> lines = new ArrayList<>();
        private List<String> cells = new ArrayList<>();

        private Rows(Predicate<Line> goesOn) {
            this.goesOn = goesOn;
        }

        @Override
        public void startRow(int row) {
            cells = new ArrayList<>();
        }

        @Override
        public void cell(String reference, String value, XSSFComment comment) {
            int column = reference == null ? cells.size() : new CellReference(reference).getCol();
            while (cells.size() <= column) {
                cells.add("");
            }
            cells.set(column, value == null ? "" : value);
        }

        @Override
        public void endRow(int row) {
            if (cells.isEmpty()) {
                return;
            }
            lines.add(new Line(row + 1, List.copyOf(cells)));
            if (lines.size() == 1 && !goesOn.test(lines.get(0))) {
                throw new Enough();
            }
        }
    }

    /** Ends the reading of a sheet. */
    private static final class Enough extends RuntimeException {
        private Enough() {
            super("read no further", null, false, false);
        }
    }

    /**
     * Reads all sheets.
     *
     * @throws CannotProceedException when this is no workbook, or a broken or hostile one
     */
    public static List<WorkbookRows> read(Source source) throws IOException {
        return read(source, first -> true);
    }

    /** The first row of every sheet that holds something. */
    public static List<List<String>> firstRows(Source source) throws IOException {
        return read(source, first -> false).stream()
                .flatMap(sheet -> sheet.rows().stream())
                .map(Line::cells)
                .toList();
    }

    /** Reads those sheets whole whose first row is wanted, and of the others the first row. */
    static List<WorkbookRows> read(Source source, Predicate<Line> wanted) throws IOException {
        SafeZip.read(source, entry -> false); // refuses what is no package, or a hostile one
        List<WorkbookRows> sheets = new ArrayList<>();
        try (InputStream in = source.open();
                OPCPackage workbook = OPCPackage.open(in)) {
            XSSFReader reader = new XSSFReader(workbook);
            ReadOnlySharedStringsTable texts = new ReadOnlySharedStringsTable(workbook, false);
            XSSFReader.SheetIterator each = (XSSFReader.SheetIterator) reader.getSheetsData();
            while (each.hasNext()) {
                try (InputStream sheet = each.next()) {
                    Rows rows = new Rows(wanted);
                    XMLReader xml = XMLHelper.newXMLReader();
                    xml.setContentHandler(new XSSFSheetXMLHandler(
                            reader.getStylesTable(), null, texts, rows, new DataFormatter(), false));
                    parse(xml, sheet);
                    String part = each.getSheetPart().getPartName().getName().substring(1);
                    sheets.add(new WorkbookRows(each.getSheetName(), part, rows.lines));
                }
            }
            return sheets;
        } catch (POIXMLException
                | OpenXML4JException
                | OpenXML4JRuntimeException
                | SAXException
                | ParserConfigurationException
                | IllegalArgumentException
                | IndexOutOfBoundsException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(source.name(), 0, 0),
                    "the workbook cannot be read (" + e.getMessage() + ")",
                    "save it again as XLSX, or give a CSV file",
                    e);
        }
    }

    private static void parse(XMLReader xml, InputStream sheet) throws IOException, SAXException {
        try {
            xml.parse(new InputSource(sheet));
        } catch (Enough e) {
            // the first row said that the rest is not wanted
        }
    }
}
