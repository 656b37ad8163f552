package org.swaplane.report;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** The tables of a report, one after the other, as comma-separated values (RFC 4180). */
final class CsvReport {
    private CsvReport() {}

    static void write(Report report, OutputStream out) throws IOException {
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        CSVPrinter printer = new CSVPrinter(writer, CSVFormat.RFC4180);
        for (Report.Section section : report.sections()) {
            if (!section.heads().isEmpty()) {
                printer.printRecord(section.heads());
                for (List<Cell> row : section.rows()) {
                    printer.printRecord(row.stream().map(CsvReport::plain).toList());
                }
            }
        }
        printer.flush();
    }

    /** Numbers as programs read them, whatever the language. */
    private static String plain(Cell cell) {
        return cell.number().map(BigDecimal::toPlainString).orElseGet(cell::text);
    }
}
