package org.swaplane.report;

import java.io.Flushable;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * Comma-separated values (RFC 4180) that people open in a spreadsheet program. A text that the program would take for a formula gets an
 * apostrophe in front, which shows that it is a text; numbers are numbers.
 */
public final class CsvTable implements Flushable {
    private static final String BEGINNINGS = "=+-@\t\r＝＋－＠";

    private final CSVPrinter printer;

    public CsvTable(OutputStream out) throws IOException {
        printer = new CSVPrinter(new OutputStreamWriter(out, StandardCharsets.UTF_8), CSVFormat.RFC4180);
    }

    /** Writes a row of texts and numbers. */
    public void row(List<?> cells) throws IOException {
        printer.printRecord(cells.stream().map(CsvTable::safe).toList());
    }

    /** A number as a cell, without an exponent; what begins with its sign is no formula. */
    static Object number(BigDecimal number) {
        return new StringBuilder(number.toPlainString());
    }

    private static Object safe(Object cell) {
        boolean isFormula = cell instanceof String text && !text.isEmpty() && BEGINNINGS.indexOf(text.charAt(0)) >= 0;
        return isFormula ? "'" + cell : cell;
    }

    @Override
    public void flush() throws IOException {
        printer.flush();
    }
}
