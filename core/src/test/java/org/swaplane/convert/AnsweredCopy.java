package org.swaplane.convert;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewRow;
import org.swaplane.reviewcopy.RowCode;

/** A review copy in the hands of somebody who does things to it, as cells; written again by other programs than ours. */
final class AnsweredCopy {
    /** Lines above the table. */
    final List<String> above = new ArrayList<>();
    /** The heads first. */
    final List<List<String>> rows = new ArrayList<>();

    String identity;
    String sent;

    AnsweredCopy(ReviewCopy copy) {
        above.add(copy.title());
        above.addAll(copy.instructions());
        rows.add(new ArrayList<>(copy.heads()));
        for (ReviewRow row : copy.parts().get(0).rows()) {
            RowCode code = row.code().orElseThrow();
            rows.add(new ArrayList<>(List.of(
                    String.valueOf(code.number()),
                    row.source(),
                    row.target(),
                    ReviewCopy.comment(row),
                    code.written())));
        }
        identity = copy.identity();
        sent = copy.packedTexts();
    }

    /** Changes the target of a row. */
    void answer(int number, UnaryOperator<String> how) {
        cell(number, 2, how);
    }

    void cell(int number, int column, UnaryOperator<String> how) {
        List<String> row = rows.get(number);
        row.set(column, how.apply(row.get(column)));
    }

    byte[] written(String form) throws IOException {
        return switch (form) {
            case "docx" -> docx();
            case "xlsx" -> xlsx();
            case "html" -> html();
            case "tsv" -> tsv();
            default -> odt();
        };
    }

    private static String xml(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
    }

    private byte[] docx() throws IOException {
        StringBuilder body = new StringBuilder();
        above.forEach(line -> body.append("<w:p><w:r><w:t>").append(xml(line)).append("</w:t></w:r></w:p>"));
        body.append("<w:tbl>");
        for (List<String> row : rows) {
            body.append("<w:tr>");
            for (String cell : row) {
                body.append("<w:tc>");
                for (String line : cell.split("\n", -1)) {
                    body.append("<w:p><w:r><w:t xml:space='preserve'>")
                            .append(xml(line))
                            .append("</w:t></w:r></w:p>");
                }
                body.append("</w:tc>");
            }
            body.append("</w:tr>");
        }
        body.append("</w:tbl>");
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            put(
                    zip,
                    "word/document.xml",
                    "<w:document xmlns:w='http://schemas.openxmlformats.org/wordprocessingml/2006/main'><w:body>" + body
                            + "</w:body></w:document>");
            put(
                    zip,
                    "docProps/custom.xml",
                    "<Properties><property name='SwapLaneCopy'><v>" + xml(identity) + "</v></property></Properties>");
            put(zip, "customXml/item3.xml", "<texts xmlns='urn:swaplane:copy'>" + sent + "</texts>");
        }
        return bytes.toByteArray();
    }

    private byte[] odt() throws IOException {
        StringBuilder body = new StringBuilder();
        above.forEach(line -> body.append("<text:p>").append(xml(line)).append("</text:p>"));
        body.append("<table:table>");
        for (List<String> row : rows) {
            body.append("<table:table-row>");
            for (String cell : row) {
                body.append("<table:table-cell>");
                for (String line : cell.split("\n", -1)) {
                    body.append("<text:p>").append(xml(line)).append("</text:p>");
                }
                body.append("</table:table-cell>");
            }
            body.append("</table:table-row>");
        }
        body.append("</table:table>");
        String names = " xmlns:text='urn:oasis:names:tc:opendocument:xmlns:text:1.0'"
                + " xmlns:table='urn:oasis:names:tc:opendocument:xmlns:table:1.0'"
                + " xmlns:meta='urn:oasis:names:tc:opendocument:xmlns:meta:1.0'";
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            put(zip, "content.xml", "<content" + names + ">" + body + "</content>");
            put(
                    zip,
                    "meta.xml",
                    "<meta" + names + "><meta:user-defined meta:name='SwapLaneCopy'>" + xml(identity)
                            + "</meta:user-defined></meta>");
        }
        return bytes.toByteArray();
    }

    private static void put(ZipOutputStream zip, String name, String content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(content.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    private byte[] xlsx() throws IOException {
        try (XSSFWorkbook workbook = new XSSFWorkbook()) {
            Sheet sheet = workbook.createSheet("Review");
            int line = 0;
            for (String text : above) {
                sheet.createRow(line++).createCell(0).setCellValue(text);
            }
            for (List<String> cells : rows) {
                Row row = sheet.createRow(line++);
                for (int i = 0; i < cells.size(); i++) {
                    row.createCell(i).setCellValue(cells.get(i));
                }
            }
            Sheet hidden = workbook.createSheet("sent");
            hidden.createRow(0).createCell(0).setCellValue(identity);
            hidden.createRow(1).createCell(0).setCellValue(sent);
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            workbook.write(bytes);
            return bytes.toByteArray();
        }
    }

    private byte[] html() {
        StringBuilder page = new StringBuilder("<html><head><meta charset=utf-8><meta name=SwapLaneCopy content=\""
                + xml(identity) + "\"></head><body><header>");
        above.forEach(line -> page.append("<p>").append(xml(line)).append("</p>"));
        page.append("</header><table>");
        for (List<String> row : rows) {
            page.append("<tr>");
            row.forEach(cell ->
                    page.append("<td>").append(xml(cell).replace("\n", "<br>")).append("</td>"));
            page.append("</tr>");
        }
        return page.append("</table><script type='text/plain' id=sent>" + sent + "</script></body></html>")
                .toString()
                .getBytes(StandardCharsets.UTF_8);
    }

    /** As a spreadsheet program of central Europe writes it. */
    private byte[] tsv() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (Writer writer = new OutputStreamWriter(bytes, StandardCharsets.UTF_8);
                CSVPrinter printer = new CSVPrinter(writer, CSVFormat.EXCEL)) {
            printer.printRecord(identity);
            for (String line : above) {
                printer.printRecord(line);
            }
            for (List<String> row : rows) {
                printer.printRecord(row);
            }
            printer.printRecord(sent);
        }
        return bytes.toByteArray();
    }
}
