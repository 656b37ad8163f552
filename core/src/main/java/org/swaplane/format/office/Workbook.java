package org.swaplane.format.office;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.format.ElementText;
import org.swaplane.format.SafeXml;
import org.swaplane.format.Selection;

/**
 * Which cells of a workbook are translated: those that are selected and, unless they are asked for, not hidden. Texts are shared between
 * cells, so a text is translated if one of its cells is.
 */
final class Workbook {
    static final String PART = "xl/workbook.xml";
    static final String RELATIONS = "xl/_rels/workbook.xml.rels";

    private final Selection selection;
    private final boolean readsHidden;
    /** Sheet parts with the names that tabs show; empty as soon as nothing is left out. */
    private final Map<String, Sheet> sheets = new HashMap<>();

    private final Set<String> sharedTexts = new HashSet<>();
    private final Set<String> namedInFormulas = new HashSet<>();

    private record Sheet(String name, boolean hidden) {}

    private Workbook(Selection selection, boolean readsHidden) {
        this.selection = selection;
        this.readsHidden = readsHidden;
    }

    /** Looks the sheets through; {@code entries} are those of the package by their names. */
    static Workbook read(Map<String, byte[]> entries, Selection selection, boolean readsHidden)
            throws XMLStreamException {
        Workbook workbook = new Workbook(selection, readsHidden);
        if (entries.containsKey(PART) && entries.containsKey(RELATIONS)) {
            workbook.readSheets(entries);
            for (Map.Entry<String, Sheet> sheet : workbook.sheets.entrySet()) {
                if (entries.containsKey(sheet.getKey())) {
                    workbook.readCells(entries.get(sheet.getKey()), sheet.getValue());
                }
            }
        }
        return workbook;
    }

    /** Whether every text may be taken as it comes, which needs no look at the cells. */
    static boolean isWhole(Map<String, byte[]> entries, Selection selection, boolean readsHidden) {
        return selection.takesAll()
                && (readsHidden
                        || entries.entrySet().stream()
                                .filter(each -> each.getKey().startsWith("xl/work"))
                                .noneMatch(each -> mentions(each.getValue(), "idden")));
    }

    private static boolean mentions(byte[] part, String word) {
        return new String(part, StandardCharsets.ISO_8859_1).contains(word);
    }

    private void readSheets(Map<String, byte[]> entries) throws XMLStreamException {
        Map<String, String> targets = new HashMap<>();
        XMLStreamReader relations = open(entries.get(RELATIONS));
        while (relations.hasNext()) {
            if (relations.next() == XMLStreamConstants.START_ELEMENT
                    && relations.getAttributeValue(null, "Id") != null) {
                String target = relations.getAttributeValue(null, "Target");
                targets.put(
                        relations.getAttributeValue(null, "Id"),
                        target.startsWith("/") ? target.substring(1) : "xl/" + target);
            }
        }
        XMLStreamReader xml = open(entries.get(PART));
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("sheet")) {
                String state = xml.getAttributeValue(null, "state");
                Sheet sheet = new Sheet(xml.getAttributeValue(null, "name"), state != null && !state.equals("visible"));
                sheets.put(targets.getOrDefault(relationId(xml), ""), sheet);
            }
        }
        // Defined names and charts hold formulas too.
        rememberNames(new String(entries.get(PART), StandardCharsets.UTF_8));
        entries.forEach((name, part) -> {
            if (name.startsWith("xl/charts/")) {
                rememberNames(new String(part, StandardCharsets.UTF_8));
            }
        });
    }

    private static String relationId(XMLStreamReader xml) {
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            String namespace = xml.getAttributeNamespace(i);
            if (xml.getAttributeLocalName(i).equals("id") && namespace != null && !namespace.isEmpty()) {
                return xml.getAttributeValue(i);
            }
        }
        return "";
    }

    private void readCells(byte[] part, Sheet sheet) throws XMLStreamException {
        XMLStreamReader xml = open(part);
        List<int[]> hiddenColumns = new ArrayList<>();
        boolean hiddenRow = false;
        String cell = "";
        boolean shared = false;
        while (xml.hasNext()) {
            if (xml.next() != XMLStreamConstants.START_ELEMENT) {
                continue;
            }
            switch (xml.getLocalName()) {
                case "col" -> {
                    if (isOn(xml, "hidden")) {
                        hiddenColumns.add(new int[] {number(xml, "min"), number(xml, "max")});
                    }
                }
                case "row" -> hiddenRow = isOn(xml, "hidden");
                case "c" -> {
                    cell = String.valueOf(xml.getAttributeValue(null, "r"));
                    shared = "s".equals(xml.getAttributeValue(null, "t"));
                }
                case "f" -> rememberNames(ElementText.read(xml));
                case "v" -> {
                    if (shared && isIncluded(sheet, cell, hiddenRow, hiddenColumns)) {
                        sharedTexts.add(ElementText.read(xml).strip());
                    }
                }
                default -> {} // formatting
            }
        }
    }

    private boolean isIncluded(Sheet sheet, String cell, boolean hiddenRow, List<int[]> hiddenColumns) {
        String letters = cell.replaceAll("\\d", "");
        boolean hidden = sheet.hidden()
                || hiddenRow
                || hiddenColumns.stream().anyMatch(each -> {
                    int column = column(letters);
                    return each[0] <= column && column <= each[1];
                });
        return (readsHidden || !hidden) && selection.includes(address(sheet.name(), cell));
    }

    private static String address(String sheet, String cell) {
        String letters = cell.replaceAll("\\d", "");
        return '/' + sheet + '/' + letters + '/' + cell.substring(letters.length());
    }

    private static int column(String letters) {
        return letters.chars().reduce(0, (column, letter) -> column * 26 + letter - 'A' + 1);
    }

    /** A name of a sheet before an exclamation mark, in apostrophes where it is more than a word. */
    private void rememberNames(String formula) {
        for (Sheet sheet : sheets.values()) {
            if (formula.contains(sheet.name().replace("'", "''") + "!")
                    || formula.contains(sheet.name().replace("'", "''") + "'!")) {
                namedInFormulas.add(sheet.name());
            }
        }
    }

    /** Names of sheets that a formula uses, which would break if they changed. */
    Set<String> namedInFormulas() {
        return namedInFormulas;
    }

    /** Whether the shared string with this number, from 1, is translated. */
    Predicate<String> sharedTexts() {
        return number -> sharedTexts.contains(String.valueOf(Integer.parseInt(number) - 1));
    }

    /** Whether a text that stands in a cell of this part is translated. */
    Predicate<String> cells(String part) {
        Sheet sheet = sheets.get(part);
        return sheet == null
                ? cell -> true
                : cell -> (readsHidden || !sheet.hidden()) && selection.includes(address(sheet.name(), cell));
    }

    private static boolean isOn(XMLStreamReader xml, String attribute) {
        String value = xml.getAttributeValue(null, attribute);
        return "1".equals(value) || "true".equals(value);
    }

    private static int number(XMLStreamReader xml, String attribute) {
        String value = String.valueOf(xml.getAttributeValue(null, attribute));
        return value.matches("\\d{1,9}") ? Integer.parseInt(value) : 0;
    }

    private static XMLStreamReader open(byte[] part) throws XMLStreamException {
        return SafeXml.factory().createXMLStreamReader(new ByteArrayInputStream(part));
    }
}
