package org.swaplane.format.table;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.apache.poi.ss.util.CellReference;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.content.Content;
import org.swaplane.format.EncodedText;
import org.swaplane.format.SafeXml;
import org.swaplane.format.Splice;
import org.swaplane.format.SplicedCopy;
import org.swaplane.format.StartTag;
import org.swaplane.format.XmlContent;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/**
 * Texts to put into cells of a sheet (ISO/IEC 29500-1, 18.3). A cell keeps its style; its text stands in it from now on, not among those
 * that cells share. Everything else of the part stays as it is.
 */
final class SheetCells {
    /** By row, from 1, and column, from 0. */
    private final Map<Integer, TreeMap<Integer, String>> texts = new HashMap<>();

    private final List<Splice> splices = new ArrayList<>();

    void set(int row, int column, String text) {
        texts.computeIfAbsent(row, none -> new TreeMap<>()).put(column, text);
    }

    /**
     * The part with the texts in it.
     *
     * @throws CannotProceedException when one of the cells is a formula
     */
    byte[] written(EncodedText part) throws IOException {
        String text = part.readAll();
        try {
            XMLStreamReader2 xml = (XMLStreamReader2) SafeXml.factory().createXMLStreamReader(new StringReader(text));
            int row = 0;
            while (xml.hasNext()) {
                if (xml.next() == XMLStreamConstants.START_ELEMENT
                        && xml.getLocalName().equals("row")) {
                    String number = xml.getAttributeValue(null, "r");
                    row = number == null ? row + 1 : Integer.parseInt(number);
                    if (texts.containsKey(row)) {
                        splice(xml, text, row);
                    }
                }
            }
        } catch (XMLStreamException e) {
            throw SafeXml.notWellFormed(part.source().name(), e);
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SplicedCopy.write(part, splices, out, Progress.NONE);
        return out.toByteArray();
    }

    /** The parser stands on the start tag of the row, which holds the source, so that it has an end tag too. */
    private void splice(XMLStreamReader2 xml, String text, int row) throws XMLStreamException {
        TreeMap<Integer, String> left = texts.get(row);
        int column = -1;
        while (xml.next() != XMLStreamConstants.END_ELEMENT
                || !xml.getLocalName().equals("row")) {
            boolean isCell = xml.isStartElement() && xml.getLocalName().equals("c");
            if (!isCell) {
                continue;
            }
            String reference = xml.getAttributeValue(null, "r");
            column = reference == null ? column + 1 : new CellReference(reference).getCol();
            int start = (int) xml.getLocationInfo().getStartingCharOffset();
            insertBefore(column, row, start, left);
            if (left.containsKey(column)) {
                StartTag tag = new StartTag(
                        text.substring(start, (int) xml.getLocationInfo().getEndingCharOffset()));
                xml.skipElement();
                int end = (int) xml.getLocationInfo().getEndingCharOffset();
                refuseFormula(text.substring(start, end), row, column);
                String cell = cell(tag, left.remove(column));
                splices.add(new Splice(start, end, name(row, column), raw -> cell));
            }
        }
        insertBefore(Integer.MAX_VALUE, row, (int) xml.getLocationInfo().getStartingCharOffset(), left);
    }

    /** New cells for those of these columns that are not there. */
    private void insertBefore(int column, int row, int at, TreeMap<Integer, String> left) {
        while (!left.isEmpty() && left.firstKey() < column) {
            Map.Entry<Integer, String> first = left.pollFirstEntry();
            String cell = cell(new StartTag("<c r=\"" + name(row, first.getKey()) + "\"/>"), first.getValue());
            splices.add(new Splice(at, at, name(row, first.getKey()), raw -> cell));
        }
    }

    private static String cell(StartTag tag, String text) {
        StartTag untyped = tag.without("t");
        if (text.isEmpty()) {
            return untyped.isEmptyElement() ? untyped.raw() : untyped.around("");
        }
        // What looks like an escaped character would be read as one.
        String literal = text.replaceAll("_(?=x[0-9A-Fa-f]{4}_)", "_x005F_");
        return untyped.with("t", "inlineStr")
                .around("<is><t xml:space=\"preserve\">" + XmlContent.written(Content.of(literal), "\n") + "</t></is>");
    }

    private static void refuseFormula(String cell, int row, int column) {
        if (cell.contains("<f>") || cell.contains("<f ")) {
            throw new CannotProceedException(name(row, column), "problem.target-is-formula");
        }
    }

    private static String name(int row, int column) {
        return new CellReference(row - 1, column).formatAsString();
    }
}
