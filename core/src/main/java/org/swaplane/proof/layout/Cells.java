package org.swaplane.proof.layout;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.format.ElementText;

/** Texts in cells that do not wrap and have a neighbour to the right, so that what is beyond the column is cut off. */
final class Cells {
    private static final double USUAL_WIDTH = 8.43;

    private final List<String> strings = new ArrayList<>();
    private final Set<Integer> wrapping = new HashSet<>();
    private final Map<String, String> found = new LinkedHashMap<>();
    private final TreeMap<Integer, Double> widths = new TreeMap<>();
    private double usual = USUAL_WIDTH;
    private String before = "";
    private String beforeText = "";

    Map<String, String> found() {
        return found;
    }

    void readStrings(XMLStreamReader xml) throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        boolean shown = true;
        while (xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals("si")) {
                text.setLength(0);
            } else if (event == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("t")
                    && shown) {
                text.append(ElementText.read(xml));
            } else if (event == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("rPh")) {
                shown = false;
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                shown |= xml.getLocalName().equals("rPh");
                if (xml.getLocalName().equals("si")) {
                    strings.add(text.toString());
                }
            }
        }
    }

    void readStyles(XMLStreamReader xml) throws XMLStreamException {
        boolean inCells = false;
        int style = -1;
        while (xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "cellXfs" -> inCells = true;
                    case "xf" -> style += inCells ? 1 : 0;
                    case "alignment" -> {
                        if (inCells && (Overflow.isOn(xml, "wrapText") || Overflow.isOn(xml, "shrinkToFit"))) {
                            wrapping.add(style);
                        }
                    }
                    default -> {} // colours, fonts and numbers
                }
            } else if (event == XMLStreamConstants.END_ELEMENT
                    && xml.getLocalName().equals("cellXfs")) {
                inCells = false;
            }
        }
    }

    void readSheet(String part, XMLStreamReader xml) throws XMLStreamException {
        widths.clear();
        usual = USUAL_WIDTH;
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "sheetFormatPr" -> usual = Overflow.number(xml, "defaultColWidth", usual);
                    case "col" -> {
                        int first = (int) Overflow.number(xml, "min", 1);
                        widths.put(first, Overflow.number(xml, "width", usual));
                        widths.putIfAbsent((int) Overflow.number(xml, "max", first) + 1, usual);
                    }
                    case "row" -> before = "";
                    case "c" -> readCell(part, xml);
                    default -> {} // formulas and figures
                }
            }
        }
    }

    /** A cell with anything in it cuts off the text that reaches into it from the left. */
    private void readCell(String part, XMLStreamReader xml) throws XMLStreamException {
        String place = String.valueOf(xml.getAttributeValue(null, "r"));
        String type = String.valueOf(xml.getAttributeValue(null, "t"));
        int style = (int) Overflow.number(xml, "s", 0);
        String value = "";
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                depth++;
                if (xml.getLocalName().equals("v") || xml.getLocalName().equals("t")) {
                    value += ElementText.read(xml);
                    depth--;
                }
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            }
        }
        if (!value.isEmpty() && !before.isEmpty() && column(place) == column(before) + 1) {
            found.put(part + " " + before, beforeText);
        }
        String text = type.equals("s") ? string(value) : type.equals("inlineStr") ? value : "";
        boolean tooLong = text.length() > width(column(place)) && !wrapping.contains(style) && !text.contains("\n");
        before = tooLong ? place : "";
        beforeText = text;
    }

    private String string(String index) {
        int number = index.matches("\\d{1,9}") ? Integer.parseInt(index) : strings.size();
        return number < strings.size() ? strings.get(number) : "";
    }

    private double width(int column) {
        Map.Entry<Integer, Double> entry = widths.floorEntry(column);
        return entry == null ? usual : entry.getValue();
    }

    /** 1 for A. */
    private static int column(String place) {
        int column = 0;
        for (int i = 0; i < place.length() && place.charAt(i) >= 'A'; i++) {
            column = column * 26 + place.charAt(i) - 'A' + 1;
        }
        return column;
    }
}
