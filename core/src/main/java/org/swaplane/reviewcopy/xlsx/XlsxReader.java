package org.swaplane.reviewcopy.xlsx;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.SafeXml;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedCell;
import org.swaplane.reviewcopy.ReturnedTable;

/** Reads the sheets of a workbook, whatever program saved it: sorted, filtered, with columns of the reviewer's own. */
final class XlsxReader {
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
            Map<Integer, Map<Integer, XlsxCell>> rows = new XlsxSheet(part, strings).rows();
            if (sheet.getKey().equals(XlsxWriter.HIDDEN_SHEET)) {
                readHidden(rows);
            } else {
                readRows(rows, new XlsxComments(parts, sheet.getValue()).byCell());
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

    private void readHidden(Map<Integer, Map<Integer, XlsxCell>> rows) {
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

    private void readRows(Map<Integer, Map<Integer, XlsxCell>> rows, Map<String, List<Remark>> comments) {
        Map<Integer, Map<Integer, XlsxCell>> all = new TreeMap<>(rows);
        Map<String, List<Remark>> left = new HashMap<>(comments);
        all.forEach((number, cells) -> {
            int width = cells.keySet().stream().mapToInt(at -> at + 1).max().orElse(0);
            List<ReturnedCell> row = new ArrayList<>();
            for (int at = 0; at < width; at++) {
                String reference = XlsxSheet.letters(at) + number;
                List<Remark> own = left.getOrDefault(reference, List.of());
                left.remove(reference);
                row.add(cells.getOrDefault(at, XlsxCell.EMPTY).returned(own));
            }
            table.row(row);
        });
        left.values().forEach(remarks -> remarks.forEach(table::remark));
    }
}
