package org.swaplane.reviewcopy.xlsx;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.apache.poi.ss.usermodel.BuiltinFormats;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.ElementText;
import org.swaplane.reviewcopy.Irregularity;

/** The shared strings of a workbook, and which of its cell formats strike their text through. */
final class XlsxStrings {
    private final List<XlsxCell> strings = new ArrayList<>();
    private final List<Boolean> struckFonts = new ArrayList<>();
    private final List<Integer> fontOfFormat = new ArrayList<>();
    private final List<Integer> numberOfFormat = new ArrayList<>();
    private final Map<Integer, String> numberFormats = new HashMap<>();
    private final DataFormatter formatter = new DataFormatter(Locale.ROOT);

    /** Both parts may be missing. */
    XlsxStrings(byte[] sharedStrings, byte[] styles) throws XMLStreamException {
        if (sharedStrings != null) {
            XMLStreamReader2 xml = XlsxReader.open(sharedStrings);
            while (xml.hasNext()) {
                if (xml.next() == XMLStreamConstants.START_ELEMENT
                        && xml.getLocalName().equals("si")) {
                    strings.add(rich(xml));
                }
            }
        }
        if (styles != null) {
            readStyles(XlsxReader.open(styles));
        }
    }

    XlsxCell get(String index) {
        try {
            return strings.get(Integer.parseInt(index.strip()));
        } catch (NumberFormatException | IndexOutOfBoundsException e) {
            return XlsxCell.EMPTY;
        }
    }

    /** Whether all text of cells with this format is struck through. */
    boolean isStruck(int format) {
        return format < fontOfFormat.size()
                && fontOfFormat.get(format) < struckFonts.size()
                && struckFonts.get(fontOfFormat.get(format));
    }

    /** How a number is shown in cells with this format; empty where it is shown as it is. */
    Optional<String> shown(String value, int format) {
        int number = format < numberOfFormat.size() ? numberOfFormat.get(format) : 0;
        if (number == 0) {
            return Optional.empty();
        }
        String code =
                numberFormats.containsKey(number) ? numberFormats.get(number) : BuiltinFormats.getBuiltinFormat(number);
        try {
            return code == null
                    ? Optional.empty()
                    : Optional.of(formatter.formatRawCellContents(Double.parseDouble(value), number, code));
        } catch (IllegalArgumentException e) {
            // A format that nobody can read shows nothing better than the number.
            return Optional.empty();
        }
    }

    /** Text in runs, from the start tag of the element that holds it to its end; struck runs are left out. */
    static XlsxCell rich(XMLStreamReader2 xml) throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        Set<Irregularity> odd = EnumSet.noneOf(Irregularity.class);
        boolean struck = false;
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "t" -> {
                        String read = XlsxText.read(ElementText.read(xml));
                        text.append(struck ? "" : read);
                    }
                    case "rPh" -> xml.skipElement();
                    default -> {
                        depth++;
                        if (xml.getLocalName().equals("r")) {
                            struck = false;
                        } else if (xml.getLocalName().equals("strike") && isOn(xml)) {
                            struck = true;
                            odd.add(Irregularity.STRUCK);
                        }
                    }
                }
            }
        }
        return new XlsxCell(text.toString(), odd);
    }

    private static boolean isOn(XMLStreamReader2 xml) {
        String value = xml.getAttributeValue(null, "val");
        return value == null || !value.equals("0") && !value.equals("false");
    }

    private void readStyles(XMLStreamReader2 xml) throws XMLStreamException {
        boolean inFonts = false;
        boolean inFormats = false;
        boolean inDifferences = false;
        while (xml.hasNext()) {
            int event = xml.next();
            boolean starts = event == XMLStreamConstants.START_ELEMENT;
            if (!starts && event != XMLStreamConstants.END_ELEMENT) {
                continue;
            }
            switch (xml.getLocalName()) {
                case "fonts" -> inFonts = starts;
                case "cellXfs" -> inFormats = starts;
                case "dxfs" -> inDifferences = starts;
                case "numFmt" -> {
                    if (starts && !inDifferences) {
                        readNumberFormat(xml);
                    }
                }
                case "font" -> {
                    if (starts && inFonts) {
                        struckFonts.add(false);
                    }
                }
                case "strike" -> {
                    if (starts && inFonts && isOn(xml)) {
                        struckFonts.set(struckFonts.size() - 1, true);
                    }
                }
                case "xf" -> {
                    if (starts && inFormats) {
                        String font = xml.getAttributeValue(null, "fontId");
                        String number = xml.getAttributeValue(null, "numFmtId");
                        numberOfFormat.add(
                                number == null || !number.matches("\\d{1,6}") ? 0 : Integer.parseInt(number));
                        fontOfFormat.add(font == null || !font.matches("\\d{1,6}") ? 0 : Integer.parseInt(font));
                    }
                }
                default -> {}
            }
        }
    }

    private void readNumberFormat(XMLStreamReader2 xml) {
        String id = xml.getAttributeValue(null, "numFmtId");
        if (id != null && id.matches("\\d{1,6}")) {
            numberFormats.put(Integer.parseInt(id), String.valueOf(xml.getAttributeValue(null, "formatCode")));
        }
    }
}
