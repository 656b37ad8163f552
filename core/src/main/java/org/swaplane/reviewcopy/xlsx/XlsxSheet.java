package org.swaplane.reviewcopy.xlsx;

import java.util.ArrayList;
import java.util.List;
import java.util.NavigableMap;
import java.util.Optional;
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
    private static final Pattern RANGE = Pattern.compile("([A-Z]{1,3})(\\d{1,7}):([A-Z]{1,3})(\\d{1,7})");
    private static final Pattern WHOLE = Pattern.compile("-?[0-9]{1,15}");
    /** Page numbers and formats in headers and footers (ECMA-376, part 1, section 18.3.1.46). */
    private static final Pattern FIELD = Pattern.compile("&(?:\"[^\"]*\"|K[0-9A-Fa-f]{6}|\\d+|[A-Za-z])");

    private static final int MOST_DIGITS = 7;
    private static final int MOST_LETTERS = 3;
    private static final int MOST_MERGED = 100_000;
    /** Columns beyond are no part of a table that people read. */
    static final int MOST_COLUMNS = 100;

    private final NavigableMap<Integer, NavigableMap<Integer, XlsxCell>> rows = new TreeMap<>();
    private final List<String> besides = new ArrayList<>();
    private final XlsxStrings strings;
    private int row;
    private int merged;

    XlsxSheet(byte[] part, XlsxStrings strings) throws XMLStreamException {
        this.strings = strings;
        XMLStreamReader2 xml = XlsxReader.open(part);
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "row" -> row = number(xml.getAttributeValue(null, "r"), row + 1);
                    case "c" -> readCell(xml);
                    case "mergeCell" -> merge(String.valueOf(xml.getAttributeValue(null, "ref")));
                    case "oddHeader", "oddFooter", "evenHeader", "evenFooter", "firstHeader", "firstFooter" ->
                        besides.add(FIELD.matcher(ElementText.read(xml)).replaceAll(" "));
                    default -> {}
                }
            }
        }
    }

    /** In their order, which is that of their numbers. */
    NavigableMap<Integer, NavigableMap<Integer, XlsxCell>> rows() {
        return rows;
    }

    /** What stands at the edges of its pages when it is printed. */
    List<String> besides() {
        return besides;
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
        NavigableMap<Integer, XlsxCell> cells = rows.computeIfAbsent(row, none -> new TreeMap<>());
        int named = columnOf(String.valueOf(xml.getAttributeValue(null, "r")));
        int last = cells.isEmpty() ? -1 : cells.lastKey();
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
            case "b" -> converted(value.strip().equals("1") ? "TRUE" : "FALSE");
            case "e" -> converted(value.strip());
            default -> numeric(value.strip(), format);
        };
        if (strings.isStruck(format) && !cell.text().isEmpty()) {
            cell = XlsxCell.EMPTY.with(Irregularity.STRUCK);
        }
        cells.put(column, calculated ? cell.with(Irregularity.CALCULATED) : cell);
    }

    private static XlsxCell converted(String text) {
        return new XlsxCell(text, Set.of(Irregularity.CALCULATED));
    }

    /** No text any more: a number, or a date that is stored as one; read as it is shown. */
    private XlsxCell numeric(String value, int format) {
        if (value.isEmpty()) {
            return XlsxCell.EMPTY;
        }
        boolean isWhole = WHOLE.matcher(value).matches();
        Optional<String> shown = strings.shown(value, format);
        boolean isPlain = isWhole && (shown.isEmpty() || shown.get().equals(value));
        return isPlain ? new XlsxCell(value, Set.of(Irregularity.NUMBER)) : converted(shown.orElse(value));
    }

    /** Marks all cells of a range as merged, as far as the sheet has rows there. */
    private void merge(String range) {
        Matcher ends = RANGE.matcher(range);
        if (!ends.matches()) {
            return;
        }
        int top = Integer.parseInt(ends.group(2));
        int left = column(ends.group(1));
        int right = Math.min(column(ends.group(3)), left + MOST_COLUMNS);
        int bottom = Math.max(top, Integer.parseInt(ends.group(4)));
        for (NavigableMap<Integer, XlsxCell> cells :
                rows.subMap(top, true, bottom, true).values()) {
            for (int c = left; c <= right && merged < MOST_MERGED; c++) {
                cells.put(c, cells.getOrDefault(c, XlsxCell.EMPTY).with(Irregularity.MERGED));
                merged++;
            }
        }
    }
}
