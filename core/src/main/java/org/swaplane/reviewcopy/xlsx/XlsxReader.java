package org.swaplane.reviewcopy.xlsx;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.ElementText;
import org.swaplane.format.SafeXml;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedCell;
import org.swaplane.reviewcopy.ReturnedTable;

/** Reads the sheets of a workbook, whatever program saved it: sorted, filtered, with columns of the reviewer's own. */
final class XlsxReader {
    private static final ReturnedCell NOTHING = ReturnedCell.of("");
    private static final String DRAWN = "xl/(?:drawings|charts)/[^/]*\\.xml";

    private final Map<String, byte[]> parts;
    private final ReturnedTable table;
    private final XlsxStrings strings;

    XlsxReader(Map<String, byte[]> parts, ReturnedTable table) throws XMLStreamException {
        this.parts = parts;
        this.table = table;
        this.strings = new XlsxStrings(parts.get("xl/sharedStrings.xml"), parts.get("xl/styles.xml"));
    }

    static XMLStreamReader2 open(byte[] part) throws XMLStreamException {
        return (XMLStreamReader2) SafeXml.factory().createXMLStreamReader(new ByteArrayInputStream(part));
    }

    void read() throws XMLStreamException {
        Map<String, String> sheets = sheets();
        for (Map.Entry<String, String> sheet : sheets.entrySet()) {
            byte[] part = parts.get(sheet.getValue());
            if (part == null) {
                continue;
            }
            XlsxSheet read = new XlsxSheet(part, strings);
            if (sheet.getKey().equals(XlsxWriter.HIDDEN_SHEET)) {
                readHidden(read.rows());
            } else {
                readRows(read.rows(), new XlsxComments(parts, sheet.getValue()).byCell());
            }
            read.besides().forEach(table::remark);
        }
        for (Map.Entry<String, byte[]> part : parts.entrySet()) {
            if (part.getKey().matches(DRAWN)) {
                readDrawing(part.getValue());
            }
        }
    }

    /** Paragraphs in shapes that lie over a sheet. */
    private void readDrawing(byte[] part) throws XMLStreamException {
        XMLStreamReader2 xml = open(part);
        StringBuilder paragraph = new StringBuilder();
        while (xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals("t")) {
                paragraph.append(ElementText.read(xml));
            } else if (event == XMLStreamConstants.END_ELEMENT
                    && xml.getLocalName().equals("p")) {
                table.remark(paragraph.toString());
                paragraph.setLength(0);
            }
        }
    }

    /** Names of the sheets and their parts, in the order of the workbook. */
    private Map<String, String> sheets() throws XMLStreamException {
        Map<String, String> targets = relations("xl/_rels/workbook.xml.rels", "xl/");
        Map<String, String> sheets = new LinkedHashMap<>();
        XMLStreamReader2 xml = open(parts.get("xl/workbook.xml"));
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("sheet")) {
                String id = "";
                for (int i = 0; i < xml.getAttributeCount(); i++) {
                    // The relation is of another namespace than the sheet's own number.
                    id = xml.getAttributeLocalName(i).equals("id") ? xml.getAttributeValue(i) : id;
                }
                sheets.put(xml.getAttributeValue(null, "name"), targets.getOrDefault(id, ""));
            }
        }
        return sheets;
    }

    private Map<String, String> relations(String part, String folder) throws XMLStreamException {
        return XlsxComments.relations(parts.get(part), folder);
    }

    private void readHidden(NavigableMap<Integer, NavigableMap<Integer, XlsxCell>> rows) {
        StringBuilder packed = new StringBuilder();
        rows.values().forEach(row -> row.values().forEach(cell -> {
            if (cell.text().startsWith("lane=")) {
                table.identity(cell.text());
            } else {
                packed.append(cell.text());
            }
        }));
        table.sent(packed.toString());
    }

    private void readRows(
            NavigableMap<Integer, NavigableMap<Integer, XlsxCell>> rows, Map<String, List<Remark>> comments) {
        Map<String, List<Remark>> left = new HashMap<>(comments);
        rows.forEach((number, cells) -> {
            int width = cells.isEmpty() ? 0 : Math.min(XlsxSheet.MOST_COLUMNS, cells.lastKey() + 1);
            List<ReturnedCell> row = new ArrayList<>();
            for (int at = 0; at < width; at++) {
                List<Remark> own = left.isEmpty() ? null : left.remove(XlsxSheet.letters(at) + number);
                XlsxCell cell = cells.getOrDefault(at, XlsxCell.EMPTY);
                boolean isNothing = own == null && cell.equals(XlsxCell.EMPTY);
                row.add(isNothing ? NOTHING : cell.returned(own == null ? List.of() : own));
            }
            table.row(row);
            // Far at the right stands no column of ours.
            cells.tailMap(XlsxSheet.MOST_COLUMNS).values().forEach(cell -> table.remark(cell.text()));
        });
        left.values().forEach(remarks -> remarks.forEach(table::remark));
    }
}
