package org.swaplane.report;

import com.ctc.wstx.stax.WstxOutputFactory;
import com.ibm.icu.text.Bidi;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.time.LocalDateTime;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.swaplane.wording.Wording;

/** A word processor document (ECMA-376, part 1), written as a stream. */
final class DocxReport {
    private static final String W = "http://schemas.openxmlformats.org/wordprocessingml/2006/main";
    private static final List<String> SHIPPED =
            List.of("[Content_Types].xml", "_rels/.rels", "word/_rels/document.xml.rels", "word/styles.xml");
    /** Width of the text of a page lying on its side, in twentieths of a point. */
    private static final int PAGE = 14_840;

    private static final int CHARACTERS_OF_ROW = 40;
    private static final int ROWS_MEASURED = 200;

    private final Report report;
    private XMLStreamWriter xml;

    DocxReport(Report report) {
        this.report = report;
    }

    void write(OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out);
        for (String part : SHIPPED) {
            begin(zip, part);
            try (InputStream shipped =
                    DocxReport.class.getResourceAsStream("docx/" + part.replace("_rels/.rels", "package.rels"))) {
                shipped.transferTo(zip);
            }
            zip.closeEntry();
        }
        begin(zip, "word/document.xml");
        try {
            xml = new WstxOutputFactory().createXMLStreamWriter(zip, "UTF-8");
            writeBody();
            xml.flush();
        } catch (XMLStreamException e) {
            throw new IOException(e);
        }
        zip.closeEntry();
        zip.finish();
    }

    /** The same report gives the same bytes, so entries have no time of their own. */
    private static void begin(ZipOutputStream zip, String name) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTimeLocal(LocalDateTime.of(1980, 1, 1, 0, 0));
        zip.putNextEntry(entry);
    }

    private void writeBody() throws XMLStreamException {
        xml.writeStartDocument("UTF-8", "1.0");
        xml.setPrefix("w", W);
        start("document");
        xml.writeNamespace("w", W);
        start("body");
        paragraph("Title", Cell.of(report.title()));
        for (String line : report.lines()) {
            paragraph("Normal", Cell.of(line));
        }
        if (!report.facts().isEmpty()) {
            table(
                    List.of(),
                    report.facts().stream()
                            .map(fact -> List.of(Cell.of(fact.label()), fact.cell()))
                            .toList(),
                    List.of());
        }
        for (Report.Section section : report.sections()) {
            writeSection(section);
        }
        start("sectPr");
        empty("pgSz", "w", "16838", "h", "11906", "orient", "landscape");
        empty("pgMar", "top", "1000", "right", "1000", "bottom", "1000", "left", "1000");
        end(3);
        xml.writeEndDocument();
    }

    private void writeSection(Report.Section section) throws XMLStreamException {
        if (!section.heading().isEmpty()) {
            paragraph("Heading" + (section.level() - 1), Cell.of(section.heading()));
        }
        for (String line : section.lines()) {
            paragraph("Normal", Cell.of(line));
        }
        for (String item : section.items()) {
            paragraph("ListParagraph", Cell.of("– " + item));
        }
        if (!section.rows().isEmpty()) {
            table(section.heads(), section.rows(), section.sums());
        } else if (!section.heads().isEmpty() && !section.heading().isEmpty()) {
            paragraph("Normal", Cell.of(Wording.text("report.chart.none")));
        }
    }

    private void table(List<String> heads, List<List<Cell>> rows, List<Cell> sums) throws XMLStreamException {
        start("tbl");
        start("tblPr");
        empty("tblStyle", "val", "ReportTable");
        empty("tblW", "w", String.valueOf(PAGE), "type", "dxa");
        empty("tblLayout", "type", "fixed");
        end(1);
        int[] widths = widths(heads, rows);
        start("tblGrid");
        for (int width : widths) {
            empty("gridCol", "w", String.valueOf(width));
        }
        end(1);
        if (!heads.isEmpty()) {
            start("tr");
            start("trPr");
            empty("cantSplit");
            empty("tblHeader");
            end(1);
            for (int i = 0; i < heads.size(); i++) {
                tableCell(widths[i], "TableHead", Cell.of(heads.get(i)), "EFE8D9");
            }
            end(1);
        }
        for (List<Cell> row : rows) {
            row(widths, row, "TableText", "");
        }
        if (!sums.isEmpty()) {
            row(widths, sums, "TableHead", "EFE8D9");
        }
        end(1);
        paragraph("Normal", Cell.of(""));
    }

    private void row(int[] widths, List<Cell> cells, String style, String fill) throws XMLStreamException {
        start("tr");
        start("trPr");
        empty("cantSplit");
        end(1);
        for (int i = 0; i < cells.size(); i++) {
            tableCell(widths[i], style, cells.get(i), fill);
        }
        end(1);
    }

    /** Long columns share what short ones leave. */
    private static int[] widths(List<String> heads, List<List<Cell>> rows) {
        int columns = rows.get(0).size();
        int[] characters = new int[columns];
        for (int i = 0; i < columns; i++) {
            int column = i;
            int longest = rows.stream()
                    .limit(ROWS_MEASURED)
                    .mapToInt(row -> row.get(column).text().length())
                    .max()
                    .orElse(0);
            int head = heads.isEmpty() ? 0 : heads.get(i).length() + 2;
            characters[i] = Math.max(6, Math.max(head, Math.min(CHARACTERS_OF_ROW, longest)));
        }
        int all = java.util.Arrays.stream(characters).sum();
        return java.util.Arrays.stream(characters)
                .map(each -> PAGE * each / all)
                .toArray();
    }

    private void tableCell(int width, String style, Cell cell, String fill) throws XMLStreamException {
        start("tc");
        start("tcPr");
        empty("tcW", "w", String.valueOf(width), "type", "dxa");
        if (!fill.isEmpty()) {
            empty("shd", "val", "clear", "color", "auto", "fill", fill);
        }
        end(1);
        paragraph(style, cell);
        end(1);
    }

    private void paragraph(String style, Cell cell) throws XMLStreamException {
        boolean rightToLeft = Bidi.getBaseDirection(cell.text()) == Bidi.RTL;
        start("p");
        start("pPr");
        empty("pStyle", "val", style);
        if (rightToLeft) {
            empty("bidi");
        }
        end(1);
        for (Cell.Piece piece : cell.pieces()) {
            run(piece, cell.tone(), rightToLeft);
        }
        end(1);
    }

    private void run(Cell.Piece piece, Cell.Tone tone, boolean rightToLeft) throws XMLStreamException {
        start("r");
        start("rPr");
        if (tone == Cell.Tone.GOOD || tone == Cell.Tone.BAD) {
            empty("color", "val", tone == Cell.Tone.GOOD ? "0B6E69" : "9C2F22");
        }
        if (piece.marked()) {
            empty("shd", "val", "clear", "color", "auto", "fill", "F3D9A4");
        }
        if (rightToLeft) {
            empty("rtl");
        }
        end(1);
        String[] lines = piece.text().split("\n", -1);
        for (int i = 0; i < lines.length; i++) {
            if (i > 0) {
                empty("br");
            }
            start("t");
            xml.writeAttribute("http://www.w3.org/XML/1998/namespace", "space", "preserve");
            xml.writeCharacters(writable(lines[i]));
            end(1);
        }
        end(1);
    }

    /** Characters that XML 1.0 cannot hold are shown by the character for what cannot be shown. */
    private static String writable(String text) {
        StringBuilder safe = new StringBuilder(text.length());
        text.codePoints()
                .map(c ->
                        c == '\t' || c >= 0x20 && (c < 0xD800 || c > 0xDFFF) && c != 0xFFFE && c != 0xFFFF ? c : 0xFFFD)
                .forEach(safe::appendCodePoint);
        return safe.toString();
    }

    private void start(String name) throws XMLStreamException {
        xml.writeStartElement(W, name);
    }

    private void empty(String name, String... attributes) throws XMLStreamException {
        xml.writeEmptyElement(W, name);
        for (int i = 0; i < attributes.length; i += 2) {
            xml.writeAttribute(W, attributes[i], attributes[i + 1]);
        }
    }

    private void end(int elements) throws XMLStreamException {
        for (int i = 0; i < elements; i++) {
            xml.writeEndElement();
        }
    }
}
