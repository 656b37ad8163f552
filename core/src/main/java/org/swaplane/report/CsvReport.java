package org.swaplane.report;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;

/** The tables of a report, one after the other, as comma-separated values. */
final class CsvReport {
    private CsvReport() {}

    static void write(Report report, OutputStream out) throws IOException {
        CsvTable table = new CsvTable(out);
        for (Report.Section section : report.sections()) {
            if (!section.heads().isEmpty()) {
                table.row(section.heads());
                for (List<Cell> row : section.rows()) {
                    table.row(row.stream().map(CsvReport::plain).toList());
                }
            }
        }
        table.flush();
    }

    /** Numbers as programs read them, whatever the language: printed they have no exponent. */
    private static Object plain(Cell cell) {
        return cell.number().<Object>map(CsvTable::number).orElseGet(cell::text);
    }
}
