package org.swaplane.reviewcopy.docx;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
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

/** The text of one table cell as it reads when all tracked changes are accepted; paragraphs and breaks are line ends. */
final class DocxCell {
    private final Map<String, Remark> comments;
    private final StringBuilder text = new StringBuilder();
    private final List<Remark> remarks = new ArrayList<>();
    private final Set<Irregularity> irregularities = EnumSet.noneOf(Irregularity.class);
    private Revision revision;
    private boolean joinsNext;
    private int columns = 1;
    /** Whether the run is not read, being struck through or hidden. */
    private boolean leftOut;

    /** Reads from the start tag of the cell to its end tag. */
    DocxCell(XMLStreamReader2 xml, Map<String, Remark> comments) throws XMLStreamException {
        this.comments = comments;
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

    ReturnedCell read() {
        return new ReturnedCell(text.toString(), columns, remarks, Optional.ofNullable(revision), irregularities);
    }

    /** Whether the element is still open afterwards. */
    private boolean startElement(XMLStreamReader2 xml) throws XMLStreamException {
        switch (xml.getLocalName()) {
            case "t" -> {
                String read = ElementText.read(xml);
                text.append(leftOut ? "" : read);
                return false;
            }
            case "r" -> {
                leftOut = false;
                return true;
            }
            case "rPr" -> {
                readRunProperties(xml);
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
                Remark remark = comments.get(Docx.attribute(xml, "id"));
                if (remark != null) {
                    remarks.add(remark);
                }
                return true;
            }
            case "sdtPr", "instrText", "delInstrText", "Fallback", "txbxContent" -> {
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

    /** What is struck through is read as deleted, what is hidden as not there (ECMA-376, part 1, sections 17.3.2.37 and 41). */
    private void readRunProperties(XMLStreamReader2 xml) throws XMLStreamException {
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                depth++;
                switch (xml.getLocalName()) {
                    case "strike", "dstrike" -> leaveOut(xml, Irregularity.STRUCK);
                    case "vanish" -> leaveOut(xml, Irregularity.HIDDEN);
                    default -> {}
                }
            }
        }
    }

    private void leaveOut(XMLStreamReader2 xml, Irregularity why) {
        String value = Docx.attribute(xml, "val");
        if (!Set.of("0", "false", "off").contains(value)) {
            leftOut = true;
            irregularities.add(why);
        }
    }

    private void readCellProperties(XMLStreamReader2 xml) throws XMLStreamException {
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                depth++;
                String value = Docx.attribute(xml, "val");
                switch (xml.getLocalName()) {
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

    /** A paragraph mark that is deleted joins the paragraph with the next one. */
    private void readParagraphProperties(XMLStreamReader2 xml) throws XMLStreamException {
        joinsNext = false;
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                depth++;
                joinsNext |= xml.getLocalName().equals("del");
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            }
        }
    }
}
