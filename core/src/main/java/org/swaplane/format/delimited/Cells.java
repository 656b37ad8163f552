package org.swaplane.format.delimited;

import java.util.ArrayList;
import java.util.List;

/** Splits a table into its cells and says where each stands (RFC 4180; other separators than the comma too). */
final class Cells {
    private final String text;
    private final char separator;
    private int at;

    /**
     * A cell.
     *
     * @param start where its value begins in the text, behind a quotation mark
     * @param end where the value ends
     */
    record Cell(int start, int end, boolean quoted, String value) {}

    Cells(String text, char separator) {
        this.text = text;
        this.separator = separator;
    }

    boolean hasRow() {
        return at < text.length();
    }

    /** The next row; a line break in quotation marks is part of a value. */
    List<Cell> row() {
        List<Cell> cells = new ArrayList<>();
        do {
            cells.add(cell());
        } while (at < text.length() && text.charAt(at++) == separator);
        if (at < text.length() && text.charAt(at - 1) == '\r' && text.charAt(at) == '\n') {
            at++;
        }
        return cells;
    }

    private Cell cell() {
        if (at < text.length() && text.charAt(at) == '"') {
            return quoted();
        }
        int start = at;
        while (at < text.length() && !endsCell(text.charAt(at))) {
            at++;
        }
        return new Cell(start, at, false, text.substring(start, at));
    }

    private Cell quoted() {
        int start = at + 1;
        int end = text.indexOf('"', start);
        while (end >= 0 && end + 1 < text.length() && text.charAt(end + 1) == '"') {
            end = text.indexOf('"', end + 2);
        }
        end = end < 0 ? text.length() : end;
        at = end;
        // What stands between the closing mark and the separator is nobody's.
        while (at < text.length() && !endsCell(text.charAt(at))) {
            at++;
        }
        return new Cell(start, end, true, text.substring(start, end).replace("\"\"", "\""));
    }

    private boolean endsCell(char c) {
        return c == separator || c == '\r' || c == '\n';
    }
}
