package org.swaplane.version;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.poi.xslf.usermodel.XMLSlideShow;
import org.apache.poi.xslf.usermodel.XSLFTextBox;
import org.apache.poi.xslf.usermodel.XSLFTextRun;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFRun;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.format.Source;

/** Writes segments as a client's document of some kind would hold them: one paragraph, cell, line or message each. */
enum VersionKind {
    TXT,
    MD,
    HTML,
    XML,
    CSV,
    JSON,
    PROPERTIES,
    SRT,
    XLIFF,
    DOCX,
    XLSX,
    PPTX;

    Source document(List<String> keys, List<Content> contents) throws IOException {
        String name = "guide." + (this == XLIFF ? "xlf" : name().toLowerCase(java.util.Locale.ROOT));
        return Source.of(
                name,
                switch (this) {
                    case DOCX -> docx(contents);
                    case XLSX -> xlsx(contents);
                    case PPTX -> pptx(contents);
                    default -> text(keys, contents).getBytes(StandardCharsets.UTF_8);
                });
    }

    private String text(List<String> keys, List<Content> contents) {
        return switch (this) {
            case TXT -> lines(contents.size(), i -> marked(contents.get(i), "«", "»") + "\n");
            case MD -> lines(contents.size(), i -> marked(contents.get(i), "**", "**") + "\n");
            case HTML ->
                "<html><body>\n" + lines(contents.size(), i -> "<p>" + marked(contents.get(i), "<b>", "</b>") + "</p>")
                        + "\n</body></html>";
            case XML ->
                "<guide>\n"
                        + lines(contents.size(), i -> "<p>" + marked(contents.get(i), "<em>", "</em>") + "</p>")
                        + "\n</guide>";
            case CSV -> "id,Text\n" + lines(contents.size(), i -> i + ",\"" + marked(contents.get(i), "«", "»") + '"');
            case JSON ->
                "{\n"
                        + IntStream.range(0, contents.size())
                                .mapToObj(i ->
                                        " \"" + keys.get(i) + "\": \"" + marked(contents.get(i), "<b>", "</b>") + '"')
                                .collect(Collectors.joining(",\n"))
                        + "\n}\n";
            case PROPERTIES -> lines(contents.size(), i -> keys.get(i) + '=' + marked(contents.get(i), "<b>", "</b>"));
            case SRT ->
                lines(
                        contents.size(),
                        i -> (i + 1) + "\n" + time(i) + ",000 --> " + time(i) + ",900\n"
                                + marked(contents.get(i), "<i>", "</i>") + "\n");
            case XLIFF ->
                "<xliff version='1.2' xmlns='urn:oasis:names:tc:xliff:document:1.2'><file original='g' datatype='plaintext'"
                        + " source-language='en' target-language='de'><body>\n"
                        + lines(
                                contents.size(),
                                i -> "<trans-unit id='" + keys.get(i) + "'><source>"
                                        + marked(contents.get(i), "<g id='1'>", "</g>") + "</source></trans-unit>")
                        + "</body></file></xliff>";
            default -> throw new AssertionError(this + " is a package");
        };
    }

    private static String lines(int count, IntFunction<String> line) {
        return IntStream.range(0, count).mapToObj(line).collect(Collectors.joining("\n", "", "\n"));
    }

    private static String time(int second) {
        return String.format("%02d:%02d:%02d", second / 3600, second / 60 % 60, second % 60);
    }

    private static String marked(Content content, String open, String close) {
        return content.runs().stream()
                .map(run -> run instanceof Tag tag ? tag.kind() == Tag.Kind.OPEN ? open : close : written(run))
                .collect(Collectors.joining());
    }

    private static String written(Run run) {
        return Content.of(run).plainText();
    }

    private static byte[] docx(List<Content> contents) throws IOException {
        try (XWPFDocument document = new XWPFDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            for (Content content : contents) {
                XWPFParagraph paragraph = document.createParagraph();
                boolean bold = false;
                for (Run run : content.runs()) {
                    if (run instanceof Tag tag) {
                        bold = tag.kind() == Tag.Kind.OPEN;
                    } else {
                        XWPFRun piece = paragraph.createRun();
                        piece.setBold(bold);
                        piece.setText(written(run));
                    }
                }
            }
            document.write(out);
            return out.toByteArray();
        }
    }

    private static byte[] pptx(List<Content> contents) throws IOException {
        try (XMLSlideShow show = new XMLSlideShow();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            XSLFTextBox box = null;
            for (int i = 0; i < contents.size(); i++) {
                if (i % 8 == 0) {
                    box = show.createSlide().createTextBox();
                    box.clearText();
                }
                var paragraph = box.addNewTextParagraph();
                boolean bold = false;
                for (Run run : contents.get(i).runs()) {
                    if (run instanceof Tag tag) {
                        bold = tag.kind() == Tag.Kind.OPEN;
                    } else {
                        XSLFTextRun piece = paragraph.addNewTextRun();
                        piece.setBold(bold);
                        piece.setText(written(run));
                    }
                }
            }
            show.write(out);
            return out.toByteArray();
        }
    }

    /** With strings in their cells: a string that is shared by cells is one segment. */
    private static byte[] xlsx(List<Content> contents) throws IOException {
        try (SXSSFWorkbook book = new SXSSFWorkbook();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            var sheet = book.createSheet("Texts");
            for (int i = 0; i < contents.size(); i++) {
                sheet.createRow(i).createCell(0).setCellValue(marked(contents.get(i), "«", "»"));
            }
            book.write(out);
            return out.toByteArray();
        }
    }
}
