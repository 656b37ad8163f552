package org.swaplane.format.table;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.logging.Level;
import java.util.logging.Logger;
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
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;
import org.xml.sax.Attributes;
import org.xml.sax.ContentHandler;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.XMLReader;
import org.xml.sax.helpers.XMLFilterImpl;

/**
 * The cells of a workbook's sheet as they are shown, read as a stream.
 *
 * @param name of the sheet
 * @param part of the package that holds it, such as {@code xl/worksheets/sheet1.xml}
 * @param rows those that hold something
 */
public record WorkbookRows(String name, String part, List<Line> rows) {
    /**
     * A row.
     *
     * @param number counts from 1 as the workbook does
     * @param formulas columns, from 0, whose text is computed
     */
    public record Line(int number, List<String> cells, Set<Integer> formulas) {
        /** The text of a column, counted from 0; empty where there is none. */
        String cell(int column) {
            return column < 0 || column >= cells.size() ? "" : cells.get(column);
        }
    }

    /** What the library logs of a broken workbook it throws as well; kept, since a logger that nobody holds forgets its level. */
    private static final Logger LIBRARY = Logger.getLogger("org.apache.poi");

    static {
        LIBRARY.setLevel(Level.OFF);
    }

    /** The first row that holds something decides whether a sheet is read on. */
    private static final class Rows implements XSSFSheetXMLHandler.SheetContentsHandler {
        private final Predicate<Line> goesOn;
        private final List<Line> lines = new ArrayList<>();
        private List<String> cells = new ArrayList<>();
        private Set<Integer> formulas = new HashSet<>();

        private Rows(Predicate<Line> goesOn) {
            this.goesOn = goesOn;
        }

        @Override
        public void startRow(int row) {
            cells = new ArrayList<>();
            formulas = new HashSet<>();
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
            lines.add(new Line(row + 1, List.copyOf(cells), Set.copyOf(formulas)));
            if (lines.size() == 1 && !goesOn.test(lines.get(0))) {
                throw new Enough();
            }
        }
    }

    /** Tells which cells are formulas, which those who only see texts are not told. */
    private static final class Formulas extends XMLFilterImpl {
        private final Rows rows;
        private String cell;
        private int column = -1;

        private Formulas(Rows rows, ContentHandler cells) {
            this.rows = rows;
            setContentHandler(cells);
        }

        @Override
        public void startElement(String uri, String name, String qualified, Attributes attributes) throws SAXException {
            if (name.equals("row")) {
                column = -1;
            } else if (name.equals("c")) {
                cell = attributes.getValue("r");
                column = cell == null ? column + 1 : new CellReference(cell).getCol();
            }
            super.startElement(uri, name, qualified, attributes);
            if (name.equals("f")) {
                rows.formulas.add(column);
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
                    xml.setContentHandler(new Formulas(
                            rows,
                            new XSSFSheetXMLHandler(
                                    reader.getStylesTable(), null, texts, rows, new DataFormatter(), false)));
                    parse(xml, sheet);
                    String part = each.getSheetPart().getPartName().getName().substring(1);
                    sheets.add(new WorkbookRows(each.getSheetName(), part, rows.lines));
                }
            }
            return sheets;
        } catch (IOException e) {
            Optional<CannotProceedException> refusal = refusal(source, e);
            if (refusal.isPresent()) {
                throw refusal.get();
            }
            throw e;
        } catch (POIXMLException
                | OpenXML4JException
                | OpenXML4JRuntimeException
                | SAXException
                | ParserConfigurationException
                | IllegalArgumentException
                | IndexOutOfBoundsException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(source.name(), 0, 0),
                    Phrase.of("problem.workbook-unreadable", Reason.of(e)),
                    e);
        }
    }

    /** The library tells what it cannot read by errors of input and output, in words for programmers. */
    private static Optional<CannotProceedException> refusal(Source source, IOException e) {
        String message = String.valueOf(e.getMessage());
        CannotProceedException.Place place = new CannotProceedException.Place(source.name(), 0, 0);
        if (message.contains("Zip bomb") || message.contains("exceed")) {
            return Optional.of(new CannotProceedException(place, Phrase.of("problem.workbook-bomb"), e));
        }
        if (message.contains("not a") || message.contains("namespace")) {
            return Optional.of(new CannotProceedException(place, Phrase.of("problem.workbook-dialect"), e));
        }
        return Optional.empty();
    }

    private static void parse(XMLReader xml, InputStream sheet) throws IOException, SAXException {
        try {
            xml.parse(new InputSource(sheet));
        } catch (Enough e) {
            // the first row said that the rest is not wanted
        }
    }
}
