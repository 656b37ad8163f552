package org.swaplane.reviewcopy.docx;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.ElementText;
import org.swaplane.reviewcopy.Irregularity;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedCell;
import org.swaplane.reviewcopy.Revision;

/**
 * The text of a table cell, or of another element that holds text, as it reads when all tracked changes are accepted; paragraphs and breaks are
 * line ends. What stands besides the text, in boxes or over words, is a remark.
 */
final class DocxContent {
    private static final Set<String> OFF = Set.of("0", "false", "off");

    private final DocxMaterial material;
    private final StringBuilder text = new StringBuilder();
    private final List<Remark> remarks = new ArrayList<>();
    private final Set<Irregularity> irregularities = EnumSet.noneOf(Irregularity.class);
    private Revision revision;
    private boolean joinsNext;
    private int columns = 1;
    private String paragraphStyle = "";
    /** Whether the run is not read, being struck through or hidden. */
    private boolean leftOut;

    /** Reads from the start tag of the element to its end tag. */
    DocxContent(XMLStreamReader2 xml, DocxMaterial material) throws XMLStreamException {
        this.material = material;
        // It may itself be one paragraph.
        beginParagraph();
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                depth += startElement(xml) ? 1 : 0;
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
                if (xml.getLocalName().equals("p") && !joinsNext) {
                    text.append('\n');
                }
            }
        }
        if (!text.isEmpty() && text.charAt(text.length() - 1) == '\n') {
            text.setLength(text.length() - 1);
        }
    }

    ReturnedCell cell() {
        return new ReturnedCell(text.toString(), columns, remarks, Optional.ofNullable(revision), irregularities);
    }

    /** The text and all that stands besides it, as remarks about the whole. */
    List<Remark> asRemarks() {
        List<Remark> all = new ArrayList<>();
        all.add(remark(text.toString()));
        all.addAll(remarks);
        return all;
    }

    private Remark remark(String said) {
        return revision == null
                ? new Remark("", "", said.strip())
                : new Remark(revision.author(), revision.date(), said.strip());
    }

    private void beginParagraph() {
        joinsNext = false;
        paragraphStyle = "";
        leftOut = false;
    }

    /** Whether the element is still open afterwards. */
    private boolean startElement(XMLStreamReader2 xml) throws XMLStreamException {
        switch (xml.getLocalName()) {
            case "t" -> {
                String read = ElementText.read(xml);
                text.append(leftOut ? "" : read);
                return false;
            }
            case "p" -> {
                beginParagraph();
                return true;
            }
            case "r" -> {
                leftOut = isLeftOut(paragraphStyle);
                return true;
            }
            case "rPr" -> {
                readRunProperties(xml);
                return false;
            }
            case "sym" -> {
                readSymbol(xml);
                return true;
            }
            case "txbxContent", "rt" -> {
                remarks.addAll(new DocxContent(xml, material).asRemarks());
                return false;
            }
            case "tcPr" -> {
                readCellProperties(xml);
                return false;
            }
            case "ins", "moveTo" -> {
                revised(xml);
                return true;
            }
            case "del", "moveFrom" -> {
                revised(xml);
                xml.skipElement();
                return false;
            }
            case "pPr" -> {
                readParagraphProperties(xml);
                return false;
            }
            case "commentReference" -> {
                Remark remark = material.comment(Docx.attribute(xml, "id"));
                if (remark != null) {
                    remarks.add(remark);
                }
                return true;
            }
            case "sdtPr", "instrText", "delInstrText", "Fallback", "rubyPr" -> {
                xml.skipElement();
                return false;
            }
            default -> {
                text.append(leftOut ? "" : symbol(xml.getLocalName()));
                return true;
            }
        }
    }

    private static String symbol(String name) {
        return switch (name) {
            case "tab" -> "\t";
            case "br", "cr" -> "\n";
            case "noBreakHyphen" -> "\u2011";
            case "softHyphen" -> "\u00AD";
            default -> "";
        };
    }

    private void revised(XMLStreamReader2 xml) {
        revision = new Revision(Docx.attribute(xml, "author"), Docx.attribute(xml, "date"));
    }

    /** A character of a font of its own (section 17.3.3.30); some are known by what they show. */
    private void readSymbol(XMLStreamReader2 xml) {
        Optional<String> shown = SymbolFonts.shown(Docx.attribute(xml, "font"), Docx.attribute(xml, "char"));
        if (shown.isEmpty()) {
            irregularities.add(Irregularity.SYMBOL);
        }
        text.append(leftOut ? "" : shown.orElse(SymbolFonts.UNKNOWN));
    }

    /** Whether text in a style is struck through or hidden, which is said. */
    private boolean isLeftOut(String style) {
        Optional<Irregularity> why = material.leftOut(style);
        why.ifPresent(irregularities::add);
        return why.isPresent();
    }

    /**
     * What is struck through is read as deleted, what is hidden as not there (ECMA-376, part 1, sections 17.3.2.37 and 41); properties that a
     * tracked change replaced are the past (section 17.13.5.31).
     */
    private void readRunProperties(XMLStreamReader2 xml) throws XMLStreamException {
        boolean byStyle = leftOut;
        boolean direct = false;
        boolean isSaid = false;
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                boolean on = !OFF.contains(Docx.attribute(xml, "val"));
                switch (xml.getLocalName()) {
                    case "rPrChange" -> {
                        xml.skipElement();
                        continue;
                    }
                    case "rStyle" -> byStyle |= isLeftOut(Docx.attribute(xml, "val"));
                    case "strike", "dstrike", "vanish" -> {
                        direct |= on;
                        isSaid = true;
                        if (on) {
                            boolean hides = xml.getLocalName().equals("vanish");
                            irregularities.add(hides ? Irregularity.HIDDEN : Irregularity.STRUCK);
                        }
                    }
                    default -> {}
                }
                depth++;
            }
        }
        leftOut = isSaid ? direct : byStyle;
    }

    private void readCellProperties(XMLStreamReader2 xml) throws XMLStreamException {
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                if (xml.getLocalName().equals("tcPrChange")) {
                    xml.skipElement();
                    continue;
                }
                depth++;
                String value = Docx.attribute(xml, "val");
                switch (xml.getLocalName()) {
                    case "cellDel", "cellIns", "cellMerge" -> irregularities.add(Irregularity.MERGED);
                    case "gridSpan" -> columns = value.matches("[1-9]\\d?") ? Integer.parseInt(value) : 1;
                    case "vMerge", "hMerge" -> {
                        if (!value.equals("restart")) {
                            irregularities.add(Irregularity.MERGED);
                        }
                    }
                    default -> {}
                }
            }
        }
    }

    /** A paragraph mark that is deleted or was moved away joins the paragraph with the next one. */
    private void readParagraphProperties(XMLStreamReader2 xml) throws XMLStreamException {
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                String value = Docx.attribute(xml, "val");
                switch (xml.getLocalName()) {
                    case "rPrChange", "pPrChange" -> {
                        xml.skipElement();
                        continue;
                    }
                    case "del", "moveFrom" -> joinsNext = true;
                    case "pStyle" -> {
                        paragraphStyle = value;
                        numbered(material.isNumbered(value));
                    }
                    case "numId" -> numbered(!value.equals("0"));
                    default -> {}
                }
                depth++;
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            }
        }
    }

    private void numbered(boolean isNumbered) {
        if (isNumbered) {
            irregularities.add(Irregularity.NUMBERED);
        }
    }
}
