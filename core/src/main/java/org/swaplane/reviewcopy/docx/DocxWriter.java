package org.swaplane.reviewcopy.docx;

import com.ctc.wstx.stax.WstxOutputFactory;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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

/**
 * Writes a copy as a stream: a title, instructions, and one table of number, source, target, comment and code. Tags are content
 * controls that cannot be edited inside (section 17.5.2), so that they move and go only as a whole.
 */
final class DocxWriter {
    private static final Pattern TOKEN = Pattern.compile("⟦/?\\d+/?⟧|[\\n\\t]");
    private static final int[] WIDTHS = {600, 4900, 4900, 2700, 1240};

    private final ReviewCopy copy;
    private XMLStreamWriter xml;

    DocxWriter(ReviewCopy copy) {
        this.copy = copy;
    }

    void write(OutputStream out) throws IOException, XMLStreamException {
        ZipOutputStream zip = new ZipOutputStream(out);
        // A table of texts hardly shrinks further with more effort.
        zip.setLevel(Deflater.BEST_SPEED);
        for (String part :
                new String[] {"[Content_Types].xml", "_rels/.rels", "word/_rels/document.xml.rels", "word/styles.xml"
                }) {
            begin(zip, part);
            try (InputStream template =
                    DocxWriter.class.getResourceAsStream(part.replace("_rels/.rels", "package.rels"))) {
                template.transferTo(zip);
            }
            zip.closeEntry();
        }
        begin(zip, "docProps/custom.xml");
        zip.write(
                CustomProperties.written(CopyIdentity.PROPERTY, copy.identity()).getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
        begin(zip, DocxTexts.PART);
        zip.write(DocxTexts.written(copy.packedTexts()).getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
        begin(zip, "word/document.xml");
        xml = new WstxOutputFactory().createXMLStreamWriter(zip, "UTF-8");
        writeDocument();
        xml.flush();
        zip.closeEntry();
        zip.finish();
    }

    /** The same copy gives the same bytes, so entries have no time of their own. */
    private static void begin(ZipOutputStream zip, String name) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTimeLocal(java.time.LocalDateTime.of(1980, 1, 1, 0, 0));
        zip.putNextEntry(entry);
    }

    private void writeDocument() throws XMLStreamException {
        xml.writeStartDocument("UTF-8", "1.0");
        xml.setPrefix("w", Docx.W);
        start("document");
        xml.writeNamespace("w", Docx.W);
        start("body");
        paragraph("Title", copy.title(), "", "");
        for (String instruction : copy.instructions()) {
            paragraph("Instruction", instruction, "", "");
        }
        writeTable();
        start("sectPr");
        empty("pgSz", "w", "16838", "h", "11906", "orient", "landscape");
        empty(
                "pgMar", "top", "1000", "right", "1000", "bottom", "1000", "left", "1000", "header", "500", "footer",
                "500", "gutter", "0");
        end();
        end();
        end();
        xml.writeEndDocument();
    }

    private void writeTable() throws XMLStreamException {
        start("tbl");
        start("tblPr");
        empty("tblStyle", "val", "ReviewTable");
        empty("tblW", "w", "14340", "type", "dxa");
        empty("tblLayout", "type", "fixed");
        end();
        start("tblGrid");
        for (int width : WIDTHS) {
            empty("gridCol", "w", String.valueOf(width));
        }
        end();
        writeHeading();
        for (ReviewCopy.Part part : copy.parts()) {
            if (copy.parts().size() > 1) {
                writePart(part.name());
            }
            for (ReviewRow row : part.rows()) {
                writeRow(row);
            }
        }
        end();
    }

    private void writeHeading() throws XMLStreamException {
        start("tr");
        start("trPr");
        empty("cantSplit");
        empty("tblHeader");
        end();
        List<String> heads = copy.heads();
        for (int i = 0; i < heads.size(); i++) {
            cell(i, "Heading", heads.get(i), "", "E4EEEC");
        }
        end();
    }

    private void writePart(String name) throws XMLStreamException {
        start("tr");
        start("trPr");
        empty("cantSplit");
        end();
        String[] texts = {"", name, "", "", ReturnedTable.NOT_READ};
        for (int i = 0; i < texts.length; i++) {
            cell(i, i == 1 ? "Heading" : "Code", texts[i], "", "E4EEEC");
        }
        end();
    }

    private void writeRow(ReviewRow row) throws XMLStreamException {
        start("tr");
        start("trPr");
        empty("cantSplit");
        end();
        String fill = row.locked() || row.isContext() ? "EDEAE3" : "";
        String number = row.code().map(code -> String.valueOf(code.number())).orElse("");
        cell(0, "Small", number, "", fill);
        cell(1, "Normal", row.source(), copy.sourceLanguage(), "F7F5F0");
        cell(2, "Normal", row.target(), copy.targetLanguage(), fill);
        cell(3, "Small", ReviewCopy.comment(row), "", fill);
        cell(4, "Code", row.code().map(RowCode::written).orElse(ReturnedTable.NOT_READ), "", fill);
        end();
    }

    private void cell(int column, String style, String text, String language, String fill) throws XMLStreamException {
        start("tc");
        start("tcPr");
        empty("tcW", "w", String.valueOf(WIDTHS[column]), "type", "dxa");
        if (!fill.isEmpty()) {
            empty("shd", "val", "clear", "color", "auto", "fill", fill);
        }
        end();
        paragraph(style, text, language, fill);
        end();
    }

    private void paragraph(String style, String text, String language, String fill) throws XMLStreamException {
        boolean rightToLeft =
                !language.isEmpty() && ULocale.forLanguageTag(language).isRightToLeft();
        start("p");
        start("pPr");
        empty("pStyle", "val", style);
        if (rightToLeft) {
            empty("bidi");
        }
        end();
        Matcher token = TOKEN.matcher(text);
        int at = 0;
        while (token.find()) {
            run(text.substring(at, token.start()), language, rightToLeft, false);
            piece(token.group(), language, rightToLeft);
            at = token.end();
        }
        run(text.substring(at), language, rightToLeft, false);
        end();
    }

    private void piece(String token, String language, boolean rightToLeft) throws XMLStreamException {
        if (token.equals("\n") || token.equals("\t")) {
            start("r");
            empty(token.equals("\n") ? "br" : "tab");
            end();
            return;
        }
        start("sdt");
        start("sdtPr");
        empty("alias", "val", token);
        empty("lock", "val", "contentLocked");
        end();
        start("sdtContent");
        run(token, language, rightToLeft, true);
        end();
        end();
    }

    private void run(String text, String language, boolean rightToLeft, boolean tag) throws XMLStreamException {
        if (text.isEmpty()) {
            return;
        }
        start("r");
        start("rPr");
        if (tag) {
            empty("rStyle", "val", "TagToken");
        }
        if (rightToLeft) {
            empty("rtl");
        }
        if (!language.isEmpty()) {
            empty("lang", "val", language, "bidi", language);
        }
        end();
        start("t");
        xml.writeAttribute("xml:space", "preserve");
        xml.writeCharacters(text);
        end();
        end();
    }

    private void start(String name) throws XMLStreamException {
        xml.writeStartElement("w", name, Docx.W);
    }

    private void empty(String name, String... attributes) throws XMLStreamException {
        xml.writeEmptyElement("w", name, Docx.W);
        for (int i = 0; i < attributes.length; i += 2) {
            xml.writeAttribute("w", Docx.W, attributes[i], attributes[i + 1]);
        }
    }

    private void end() throws XMLStreamException {
        xml.writeEndElement();
    }
}
