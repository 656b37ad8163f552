package org.swaplane.terms;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;

/** Terms from one language into another as a table with a head: delimited text or a workbook, as {@link TermListReader} reads them. */
public final class NewTermTable {
    private NewTermTable() {}

    /** {@code source} and {@code target} are codes of the languages, which head their columns. */
    public static void writeCsv(List<Term> terms, String source, String target, OutputStream out) throws IOException {
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        CSVPrinter printer = new CSVPrinter(writer, CSVFormat.RFC4180);
        printer.printRecord(head(source, target));
        for (Term term : terms) {
            printer.printRecord(row(term));
        }
        printer.flush();
    }

    public static void writeXlsx(List<Term> terms, String source, String target, OutputStream out) throws IOException {
        try (SXSSFWorkbook book = new SXSSFWorkbook()) {
            Sheet sheet = book.createSheet();
            write(head(source, target), sheet.createRow(0));
            for (int i = 0; i < terms.size(); i++) {
                write(row(terms.get(i)), sheet.createRow(i + 1));
            }
            book.write(out);
        }
    }

    private static void write(List<String> cells, Row row) {
        for (int i = 0; i < cells.size(); i++) {
            row.createCell(i).setCellValue(cells.get(i));
        }
    }

    private static List<String> head(String source, String target) {
        return List.of(source, target, "forbidden", "definition");
    }

    private static List<String> row(Term term) {
        return List.of(
                term.source(),
                String.join("; ", term.preferred()),
                String.join("; ", term.forbidden()),
                term.explanation().replace("\n", " "));
    }
}
