package org.swaplane.reviewcopy.opendocument;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.ElementText;
import org.swaplane.format.SafeXml;
import org.swaplane.reviewcopy.Irregularity;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedCell;
import org.swaplane.reviewcopy.ReturnedTable;

/**
 * Reads the tables of an OpenDocument text or spreadsheet. Tracked changes read as accepted: deleted text stands apart in the file, and
 * inserted text where it belongs (ISO/IEC 26300-1, section 5.5).
 */
final class OpenDocumentReader {
    /** Of the sheet that holds the texts as sent. */
    private static final String HIDDEN_SHEET = "sent";

    private static final int MOST_REPEATED = 100;

    private final ReturnedTable table;
    private final Set<String> struck = new HashSet<>();
    private final Set<String> hidden = new HashSet<>();
    private boolean inHiddenSheet;
    private final StringBuilder packed = new StringBuilder();

    OpenDocumentReader(ReturnedTable table) {
        this.table = table;
    }

    static String attribute(XMLStreamReader xml, String localName) {
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            if (xml.getAttributeLocalName(i).equals(localName)) {
                return xml.getAttributeValue(i);
            }
        }
        return "";
    }

    void read(byte[] styles, byte[] content) throws XMLStreamException {
        if (styles != null) {
            readStyles(open(styles));
        }
        XMLStreamReader2 xml = open(content);
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "style" -> readStyle(xml);
                    case "tracked-changes" -> xml.skipElement();
                    case "table" -> inHiddenSheet = attribute(xml, "name").equals(HIDDEN_SHEET);
                    case "table-row" -> readRow(xml);
                    case "p", "h" -> remark(paragraph(xml));
                    default -> {}
                }
            }
        }
        table.sent(packed.toString());
    }

    /** The styles, and what stands at the edges of the pages that they describe. */
    private void readStyles(XMLStreamReader2 xml) throws XMLStreamException {
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "style" -> readStyle(xml);
                    case "p", "h" -> remark(paragraph(xml));
                    default -> {}
                }
            }
        }
    }

    private Cell paragraph(XMLStreamReader2 xml) throws XMLStreamException {
        Cell paragraph = new Cell();
        paragraph.inParagraph = true;
        paragraph.read(xml);
        return paragraph;
    }

    private void remark(Cell paragraph) {
        paragraph.remarks.forEach(table::remark);
        table.remark(paragraph.text.toString());
    }

    private static XMLStreamReader2 open(byte[] part) throws XMLStreamException {
        return (XMLStreamReader2) SafeXml.factory().createXMLStreamReader(new ByteArrayInputStream(part));
    }

    /** Styles that strike text through or hide it. */
    private void readStyle(XMLStreamReader2 xml) throws XMLStreamException {
        if (!xml.getLocalName().equals("style")) {
            return;
        }
        String name = attribute(xml, "name");
        String parent = attribute(xml, "parent-style-name");
        inherit(struck, name, parent);
        inherit(hidden, name, parent);
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                depth++;
                String line = attribute(xml, "text-line-through-style");
                String type = attribute(xml, "text-line-through-type");
                if (!line.isEmpty() && !line.equals("none") || !type.isEmpty() && !type.equals("none")) {
                    struck.add(name);
                } else if (!line.isEmpty() || !type.isEmpty()) {
                    struck.remove(name);
                }
                if (xml.getLocalName().equals("text-properties")
                        && attribute(xml, "display").equals("none")) {
                    hidden.add(name);
                }
            }
        }
    }

    private static void inherit(Set<String> styles, String name, String parent) {
        if (styles.contains(parent)) {
            styles.add(name);
        }
    }

    private void readRow(XMLStreamReader2 xml) throws XMLStreamException {
        List<ReturnedCell> cells = new ArrayList<>();
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "table-cell" -> readCell(xml, cells);
                    case "covered-table-cell" -> {
                        // A cell that spans others has made room for it.
                        xml.skipElement();
                    }
                    default -> depth++;
                }
            }
        }
        if (inHiddenSheet) {
            cells.stream().map(ReturnedCell::text).forEach(text -> {
                if (text.startsWith("lane=")) {
                    table.identity(text);
                } else {
                    packed.append(text);
                }
            });
        } else {
            table.row(cells);
        }
    }

    private void readCell(XMLStreamReader2 xml, List<ReturnedCell> cells) throws XMLStreamException {
        int columns = number(attribute(xml, "number-columns-spanned"));
        int repeated = Math.min(MOST_REPEATED, number(attribute(xml, "number-columns-repeated")));
        boolean down = number(attribute(xml, "number-rows-spanned")) > 1;
        boolean calculated = !attribute(xml, "formula").isEmpty();
        String type = attribute(xml, "value-type");
        boolean isStruck = struck.contains(attribute(xml, "style-name"));
        Cell cell = new Cell();
        cell.read(xml);
        String text = cell.text.toString();
        if (down) {
            cell.odd.add(Irregularity.MERGED);
        }
        boolean isTyped = !type.isEmpty() && !type.equals("string");
        boolean isWhole = type.equals("float") && text.matches("-?[0-9]{1,15}");
        if (calculated || isTyped) {
            cell.odd.add(isWhole && !calculated ? Irregularity.NUMBER : Irregularity.CALCULATED);
        }
        if (isStruck && !text.isEmpty()) {
            cell.odd.add(Irregularity.STRUCK);
            text = "";
        }
        ReturnedCell read = new ReturnedCell(text, columns, cell.remarks, Optional.empty(), cell.odd);
        for (int i = 0; i < repeated; i++) {
            cells.add(read);
        }
    }

    private static int number(String written) {
        return written.matches("[1-9]\\d{0,6}") ? Integer.parseInt(written) : 1;
    }

    /** The text of an element and of all in it; paragraphs end lines. */
    private final class Cell {
        private final StringBuilder text = new StringBuilder();
        private final List<Remark> remarks = new ArrayList<>();
        private final Set<Irregularity> odd = EnumSet.noneOf(Irregularity.class);
        private boolean inParagraph;
        private boolean hadParagraph;

        void read(XMLStreamReader2 xml) throws XMLStreamException {
            inside(xml, false);
        }

        private void inside(XMLStreamReader2 xml, boolean leftOut) throws XMLStreamException {
            while (true) {
                int event = xml.next();
                if (event == XMLStreamConstants.END_ELEMENT) {
                    return;
                } else if (event == XMLStreamConstants.CHARACTERS || event == XMLStreamConstants.CDATA) {
                    // Outside a paragraph stands only white space of the file's own.
                    text.append(leftOut || !inParagraph ? "" : xml.getText());
                } else if (event == XMLStreamConstants.START_ELEMENT) {
                    element(xml, leftOut);
                }
            }
        }

        private void element(XMLStreamReader2 xml, boolean leftOut) throws XMLStreamException {
            switch (xml.getLocalName()) {
                case "p", "h" -> {
                    if (hadParagraph) {
                        text.append('\n');
                    }
                    boolean outside = inParagraph;
                    inParagraph = true;
                    inside(xml, leftOut || isLeftOut(attribute(xml, "style-name")));
                    inParagraph = outside;
                    hadParagraph = true;
                }
                case "s" -> {
                    text.append(leftOut ? "" : " ".repeat(Math.min(1000, number(attribute(xml, "c")))));
                    xml.skipElement();
                }
                case "tab" -> {
                    text.append(leftOut ? "" : "\t");
                    xml.skipElement();
                }
                case "line-break" -> {
                    text.append(leftOut ? "" : "\n");
                    xml.skipElement();
                }
                case "annotation" -> remarks.add(annotation(xml));
                case "span" -> inside(xml, leftOut || isLeftOut(attribute(xml, "style-name")));
                case "note-body", "frame", "custom-shape", "rect", "ellipse", "ruby-text" -> besides(xml);
                case "list" -> {
                    odd.add(Irregularity.NUMBERED);
                    inside(xml, leftOut);
                }
                case "note-citation", "tracked-changes", "image", "object" -> xml.skipElement();
                default -> inside(xml, leftOut);
            }
        }

        /** What stands in a box, in a note or over a word is no text of the cell. */
        private void besides(XMLStreamReader2 xml) throws XMLStreamException {
            Cell inner = new Cell();
            inner.inParagraph = xml.getLocalName().equals("ruby-text");
            inner.read(xml);
            remarks.add(new Remark("", "", inner.text.toString().strip()));
            remarks.addAll(inner.remarks);
        }

        private boolean isLeftOut(String style) {
            if (struck.contains(style)) {
                odd.add(Irregularity.STRUCK);
            }
            if (hidden.contains(style)) {
                odd.add(Irregularity.HIDDEN);
            }
            return struck.contains(style) || hidden.contains(style);
        }

        private Remark annotation(XMLStreamReader2 xml) throws XMLStreamException {
            String author = "";
            String date = "";
            StringBuilder said = new StringBuilder();
            int depth = 1;
            while (depth > 0) {
                int event = xml.next();
                if (event == XMLStreamConstants.END_ELEMENT) {
                    depth--;
                    if (xml.getLocalName().equals("p")) {
                        said.append('\n');
                    }
                } else if (event == XMLStreamConstants.CHARACTERS) {
                    said.append(xml.getText());
                } else if (event == XMLStreamConstants.START_ELEMENT) {
                    switch (xml.getLocalName()) {
                        case "creator" -> author = ElementText.read(xml);
                        case "date" -> date = ElementText.read(xml);
                        default -> depth++;
                    }
                }
            }
            return new Remark(author, date, said.toString().strip());
        }
    }
}
