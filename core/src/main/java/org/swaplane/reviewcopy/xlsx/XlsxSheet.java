package org.swaplane.reviewcopy.xlsx;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.ElementText;
import org.swaplane.reviewcopy.Irregularity;

/** The cells of a sheet by row (from 1) and column (from 0). */
final class XlsxSheet {
    private static final Pattern REFERENCE = Pattern.compile("([A-Z]{1,3})(\\d{1,7})");
    private static final Pattern RANGE = Pattern.compile("([A-Z]{1,3}\\d{1,7}):([A-Z]{1,3})(\\d{1,7})");
    private static final int MOST_DIGITS = 7;
    private static final int MOST_LETTERS = 3;
    private static final int MOST_MERGED = 100_000;

    private final Map<Integer, Map<Integer, XlsxCell>> rows = new LinkedHashMap<>();
    private final XlsxStrings strings;
    private int row;

    XlsxSheet(byte[] part, XlsxStrings strings) throws XMLStreamException {
        this.strings = strings;
        XMLStreamReader2 xml = XlsxReader.open(part);
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "row" -> row = number(xml.getAttributeValue(null, "r"), row + 1);
                    case "c" -> readCell(xml);
                    case "mergeCell" -> merge(String.valueOf(xml.getAttributeValue(null, "ref")));
                    default -> {}
                }
            }
        }
    }

    Map<Integer, Map<Integer, XlsxCell>> rows() {
        return rows;
    }

    private static int number(String written, int otherwise) {
        if (written == null || written.isEmpty() || written.length() > MOST_DIGITS) {
            return otherwise;
        }
        int number = 0;
        for (int i = 0; i < written.length(); i++) {
            char c = written.charAt(i);
            if (c < '0' || c > '9') {
                return otherwise;
            }
            number = number * 10 + c - '0';
        }
        return number;
    }

    /** The column of a reference such as {@code C12}; -1 for none. */
    private static int columnOf(String reference) {
        int end = 0;
        while (end < reference.length() && reference.charAt(end) >= 'A' && reference.charAt(end) <= 'Z') {
            end++;
        }
        return end == 0 || end > MOST_LETTERS ? -1 : column(reference.substring(0, end));
    }

    /** {@code A} is 0. */
    static int column(String letters) {
        int column = 0;
        for (char letter : letters.toCharArray()) {
            column = column * 26 + letter - 'A' + 1;
        }
        return column - 1;
    }

    static String letters(int column) {
        String rest = column >= 26 ? letters(column / 26 - 1) : "";
        return rest + (char) ('A' + column % 26);
    }

    private void readCell(XMLStreamReader2 xml) throws XMLStreamException {
        Map<Integer, XlsxCell> cells = rows.computeIfAbsent(row, none -> new TreeMap<>());
        int named = columnOf(String.valueOf(xml.getAttributeValue(null, "r")));
        int last = cells.isEmpty() ? -1 : ((TreeMap<Integer, XlsxCell>) cells).lastKey();
        int column = named >= 0 ? named : last + 1;
        String type = String.valueOf(xml.getAttributeValue(null, "t"));
        int format = number(xml.getAttributeValue(null, "s"), 0);
        XlsxCell cell = XlsxCell.EMPTY;
        String value = "";
        boolean calculated = false;
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "v" -> value = ElementText.read(xml);
                    case "is" -> cell = XlsxStrings.rich(xml);
                    case "f" -> {
                        calculated = true;
                        xml.skipElement();
                    }
                    default -> depth++;
                }
            }
        }
        cell = switch (type) {
            case "inlineStr" -> cell;
            case "s" -> strings.get(value);
            case "str" -> new XlsxCell(XlsxText.read(value), Set.of());
            default -> typed(value);
        };
        if (strings.isStruck(format) && !cell.text().isEmpty()) {
            cell = XlsxCell.EMPTY.with(Irregularity.STRUCK);
        }
        cells.put(column, calculated ? cell.with(Irregularity.CALCULATED) : cell);
    }

    /** No text any more: of a whole number it is clear what was typed, of a fraction, a date or a time it is not. */
    private static XlsxCell typed(String value) {
        XlsxCell cell = new XlsxCell(value.strip(), Set.of());
        return cell.text().isEmpty() || cell.text().matches("-?\\d{1,15}") ? cell : cell.with(Irregularity.CALCULATED);
    }

    /** Marks all cells of a range as merged. */
    private void merge(String range) {
        Matcher ends = RANGE.matcher(range);
        if (!ends.matches()) {
            return;
        }
        Matcher first = REFERENCE.matcher(ends.group(1));
        if (!first.matches()) {
            return;
        }
        int marked = 0;
        for (int r = Integer.parseInt(first.group(2)); r <= Integer.parseInt(ends.group(3)); r++) {
            for (int c = column(first.group(1)); c <= column(ends.group(2)) && marked++ < MOST_MERGED; c++) {
                Map<Integer, XlsxCell> cells = rows.get(r);
                if (cells != null) {
                    cells.put(c, cells.getOrDefault(c, XlsxCell.EMPTY).with(Irregularity.MERGED));
                }
            }
        }
    }
}
