package org.swaplane.reviewcopy.xlsx;

import com.ctc.wstx.api.WstxOutputProperties;
import com.ctc.wstx.stax.WstxOutputFactory;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.List;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.swaplane.reviewcopy.CopyIdentity;
import org.swaplane.reviewcopy.CustomProperties;
import org.swaplane.reviewcopy.ReturnedTable;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewRow;
import org.swaplane.reviewcopy.RowCode;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Concurrent;

/**
 * Writes a copy as a stream: one sheet with instructions on top and the table below, which can be sorted and filtered, and a hidden one
 * with the texts as they were sent. Everything but targets and comments is protected against typing, without a password.
 */
final class XlsxWriter {
    static final String HIDDEN_SHEET = "sent";

    /** A cell holds no more (32,767 characters by the program most people have). */
    private static final int CHUNK = 32_000;

    private static final int MOST_CHARACTERS = 32_767;

    private static final String MAIN = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
    private static final String[] TEMPLATES = {
        "[Content_Types].xml", "_rels/.rels", "xl/workbook.xml", "xl/_rels/workbook.xml.rels", "xl/styles.xml"
    };
    private static final char[] COLUMNS = {'A', 'B', 'C', 'D', 'E'};

    /** Cell formats of the style sheet. */
    private static final int TITLE = 1;

    private static final int INSTRUCTION = 2;
    private static final int HEAD = 3;
    private static final int SMALL = 4;
    private static final int SOURCE = 5;
    private static final int TARGET = 6;
    private static final int LOCKED = 7;
    private static final int COMMENT = 8;
    /** Right to left, added to the format of a text. */
    private static final int RIGHT_TO_LEFT = 4;

    private final ReviewCopy copy;
    private final boolean sourceFromRight;
    private final boolean targetFromRight;
    private XMLStreamWriter xml;
    private int line;

    XlsxWriter(ReviewCopy copy) {
        this.copy = copy;
        this.sourceFromRight = isFromRight(copy.sourceLanguage());
        this.targetFromRight = isFromRight(copy.targetLanguage());
    }

    private static boolean isFromRight(String language) {
        return !language.isEmpty() && ULocale.forLanguageTag(language).isRightToLeft();
    }

    /** A text that no cell can hold would come back cut. */
    private void requireRoom(ReviewRow row) {
        int longest = Math.max(
                Math.max(row.source().length(), row.target().length()),
                ReviewCopy.comment(row).length());
        if (longest > MOST_CHARACTERS) {
            String number =
                    row.code().map(code -> String.valueOf(code.number())).orElse(ReturnedTable.NOT_READ);
            throw new CannotProceedException(copy.title(), "problem.cell-too-long", number, longest, MOST_CHARACTERS);
        }
    }

    void write(OutputStream out) throws IOException, XMLStreamException {
        copy.parts().forEach(part -> part.rows().forEach(this::requireRoom));
        Concurrent<String> packed = Concurrent.of(copy::packedTexts);
        ZipOutputStream zip = new ZipOutputStream(out);
        // A table of texts hardly shrinks further with more effort.
        zip.setLevel(Deflater.BEST_SPEED);
        for (String part : TEMPLATES) {
            begin(zip, part);
            String resource = part.replace("_rels/.rels", "package.rels");
            try (InputStream template = XlsxWriter.class.getResourceAsStream(resource)) {
                template.transferTo(zip);
            }
            zip.closeEntry();
        }
        begin(zip, "docProps/custom.xml");
        zip.write(
                CustomProperties.written(CopyIdentity.PROPERTY, copy.identity()).getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
        begin(zip, "xl/worksheets/sheet1.xml");
        xml = stream(zip);
        writeTable();
        xml.flush();
        zip.closeEntry();
        begin(zip, "xl/worksheets/sheet2.xml");
        xml = stream(zip);
        writeHidden(packed.get());
        xml.flush();
        zip.closeEntry();
        zip.finish();
    }

    /** What is written here is known to be well-formed, and checking every name again takes a third of the time. */
    private static XMLStreamWriter stream(OutputStream out) throws XMLStreamException {
        WstxOutputFactory factory = new WstxOutputFactory();
        factory.setProperty(WstxOutputProperties.P_OUTPUT_VALIDATE_STRUCTURE, false);
        factory.setProperty(WstxOutputProperties.P_OUTPUT_VALIDATE_ATTR, false);
        return factory.createXMLStreamWriter(out, "UTF-8");
    }

    /** The same copy gives the same bytes, so entries have no time of their own. */
    private static void begin(ZipOutputStream zip, String name) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTimeLocal(LocalDateTime.of(1980, 1, 1, 0, 0));
        zip.putNextEntry(entry);
    }

    private void writeTable() throws XMLStreamException {
        int head = copy.instructions().size() + 2;
        startSheet();
        xml.writeStartElement("sheetViews");
        xml.writeStartElement("sheetView");
        xml.writeAttribute("workbookViewId", "0");
        xml.writeEmptyElement("pane");
        xml.writeAttribute("ySplit", String.valueOf(head));
        xml.writeAttribute("topLeftCell", "A" + (head + 1));
        xml.writeAttribute("activePane", "bottomLeft");
        xml.writeAttribute("state", "frozen");
        xml.writeEndElement();
        xml.writeEndElement();
        xml.writeStartElement("cols");
        int[] widths = {7, 55, 55, 32, 20};
        for (int i = 0; i < widths.length; i++) {
            xml.writeEmptyElement("col");
            xml.writeAttribute("min", String.valueOf(i + 1));
            xml.writeAttribute("max", String.valueOf(i + 1));
            xml.writeAttribute("width", String.valueOf(widths[i]));
            xml.writeAttribute("customWidth", "1");
        }
        xml.writeEndElement();
        xml.writeStartElement("sheetData");
        row(List.of(copy.title()), TITLE);
        for (String instruction : copy.instructions()) {
            row(List.of(instruction), INSTRUCTION);
        }
        row(copy.heads(), HEAD);
        for (ReviewCopy.Part part : copy.parts()) {
            if (copy.parts().size() > 1) {
                row(List.of("", part.name(), "", "", ReturnedTable.NOT_READ), SMALL);
            }
            for (ReviewRow row : part.rows()) {
                write(row);
            }
        }
        xml.writeEndElement();
        xml.writeEmptyElement("sheetProtection");
        xml.writeAttribute("sheet", "1");
        for (String allowed : List.of("formatCells", "formatColumns", "formatRows", "sort", "autoFilter")) {
            xml.writeAttribute(allowed, "0");
        }
        xml.writeEmptyElement("autoFilter");
        xml.writeAttribute("ref", "A" + head + ":E" + Math.max(line, head + 1));
        xml.writeEndElement();
        xml.writeEndDocument();
    }

    private void write(ReviewRow row) throws XMLStreamException {
        startRow();
        int target = row.locked() || row.isContext() ? LOCKED : TARGET;
        cell(0, row.code().map(code -> String.valueOf(code.number())).orElse(""), SMALL);
        cell(1, row.source(), SOURCE + (sourceFromRight ? RIGHT_TO_LEFT : 0));
        cell(2, row.target(), target + (targetFromRight ? RIGHT_TO_LEFT : 0));
        cell(3, ReviewCopy.comment(row), COMMENT);
        cell(4, row.code().map(RowCode::written).orElse(ReturnedTable.NOT_READ), SMALL);
        xml.writeEndElement();
    }

    private void row(List<String> texts, int format) throws XMLStreamException {
        startRow();
        for (int i = 0; i < texts.size(); i++) {
            cell(i, texts.get(i), format);
        }
        xml.writeEndElement();
    }

    private void startRow() throws XMLStreamException {
        xml.writeStartElement("row");
        xml.writeAttribute("r", String.valueOf(++line));
    }

    private void cell(int column, String text, int format) throws XMLStreamException {
        if (text.isEmpty()) {
            xml.writeEmptyElement("c");
            xml.writeAttribute("r", COLUMNS[column] + String.valueOf(line));
            xml.writeAttribute("s", String.valueOf(format));
            return;
        }
        xml.writeStartElement("c");
        xml.writeAttribute("r", COLUMNS[column] + String.valueOf(line));
        xml.writeAttribute("s", String.valueOf(format));
        xml.writeAttribute("t", "inlineStr");
        xml.writeStartElement("is");
        xml.writeStartElement("t");
        xml.writeAttribute("xml:space", "preserve");
        xml.writeCharacters(XlsxText.write(text));
        xml.writeEndElement();
        xml.writeEndElement();
        xml.writeEndElement();
    }

    private void writeHidden(String packed) throws XMLStreamException {
        line = 0;
        startSheet();
        xml.writeStartElement("sheetData");
        row(List.of(copy.identity()), 0);
        for (int at = 0; at < packed.length(); at += CHUNK) {
            row(List.of(packed.substring(at, Math.min(packed.length(), at + CHUNK))), 0);
        }
        xml.writeEndElement();
        xml.writeEndElement();
        xml.writeEndDocument();
    }

    private void startSheet() throws XMLStreamException {
        xml.writeStartDocument("UTF-8", "1.0");
        xml.writeStartElement("worksheet");
        xml.writeDefaultNamespace(MAIN);
    }
}
