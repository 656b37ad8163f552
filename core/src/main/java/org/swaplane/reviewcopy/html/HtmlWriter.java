package org.swaplane.reviewcopy.html;

import static org.swaplane.wording.Wording.text;

import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.format.XmlContent;
import org.swaplane.reviewcopy.CopyIdentity;
import org.swaplane.reviewcopy.ReturnedTable;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewRow;
import org.swaplane.reviewcopy.RowCode;
import org.swaplane.task.Concurrent;

/**
 * Writes a copy as one page that needs nothing else and asks nothing of a network: targets and comments are edited in place, and saved as
 * a file by a button of the page or by the browser.
 */
final class HtmlWriter {
    private static final Pattern TOKEN = Pattern.compile("⟦/?\\d+/?⟧");

    /** White space at the edge of a line, tabs, and more than one space. */
    private static final Pattern FOLDED = Pattern.compile("(?m)^[ \\t\\f]+|[ \\t\\f]+$|[ \\t\\f]{2,}|[\\t\\f]");

    private final ReviewCopy copy;
    private final Writer out;

    HtmlWriter(ReviewCopy copy, OutputStream out) {
        this.copy = copy;
        this.out = new OutputStreamWriter(out, StandardCharsets.UTF_8);
    }

    void write() throws IOException {
        Concurrent<String> packed = Concurrent.of(copy::packedTexts);
        out.write("<!DOCTYPE html>\n<html data-file=\"" + attribute(fileName())
                + "\">\n<head>\n<meta charset=\"utf-8\">\n");
        out.write("<meta name=\"" + CopyIdentity.PROPERTY + "\" content=\"" + attribute(copy.identity()) + "\">\n");
        out.write("<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">\n<title>"
                + escaped(copy.title())
                + "</title>\n<style>\n" + resource("copy.css") + "</style>\n</head>\n<body>\n<header>\n<h1>"
                + escaped(copy.title()) + "</h1>\n");
        for (String instruction : copy.instructions()) {
            out.write("<p>" + escaped(instruction) + "</p>\n");
        }
        out.write("<p>" + escaped(text("copy.page.save")) + "</p>\n</header>\n");
        writeBar();
        writeTable();
        out.write("<script type=\"text/plain\" id=\"sent\">" + packed.get() + "</script>\n");
        out.write("<script>\n" + resource("copy.js") + "</script>\n</body>\n</html>\n");
        out.flush();
    }

    private String fileName() {
        return copy.title().replaceAll("[\\\\/:*?\"<>|]", "_") + ".html";
    }

    private void writeBar() throws IOException {
        out.write("<nav><input id=\"search\" type=\"search\" placeholder=\"" + attribute(text("copy.page.search"))
                + "\" aria-label=\"" + attribute(text("copy.page.search")) + "\">\n<select id=\"filter\" aria-label=\""
                + attribute(text("copy.page.filter")) + "\">");
        for (String each : List.of("all", "changed", "empty", "comments")) {
            out.write("<option value=\"" + each + "\">" + escaped(text("copy.page.filter." + each)) + "</option>");
        }
        out.write("</select>\n<output id=\"shown\"></output>\n<button id=\"save\" type=\"button\">"
                + escaped(text("copy.page.button")) + "</button></nav>\n");
    }

    private void writeTable() throws IOException {
        out.write("<table id=\"rows\">\n<thead><tr>");
        for (String head : copy.heads()) {
            out.write("<th scope=\"col\">" + escaped(head) + "</th>");
        }
        out.write("</tr></thead>\n<tbody>\n");
        for (ReviewCopy.Part part : copy.parts()) {
            if (copy.parts().size() > 1) {
                out.write("<tr class=\"file\"><td></td><td>" + escaped(part.name()) + "</td><td></td><td></td><td>"
                        + ReturnedTable.NOT_READ + "</td></tr>\n");
            }
            for (ReviewRow row : part.rows()) {
                write(row);
            }
        }
        out.write("</tbody>\n</table>\n");
    }

    private void write(ReviewRow row) throws IOException {
        boolean fixed = row.locked() || row.isContext();
        String number = row.code().map(code -> String.valueOf(code.number())).orElse("");
        String kind = row.isContext() ? " class=\"context\"" : row.locked() ? " class=\"locked\"" : "";
        int length = TOKEN.matcher(row.source()).replaceAll("").length();
        String data = row.isContext()
                ? ""
                : " data-row=\"" + number + "\" data-length=\"" + length + "\" data-sent=\"" + attribute(row.target())
                        + "\"";
        String editable = fixed ? "" : " contenteditable=\"true\" spellcheck=\"true\"";
        out.write("<tr" + kind + data + "><td>" + number + "</td><td" + language(copy.sourceLanguage()) + ">"
                + tokens(row.source()) + "</td><td class=\"target\"" + language(copy.targetLanguage()) + editable + ">"
                + tokens(row.target()) + "</td><td class=\"comment\""
                + (row.isContext() ? "" : " contenteditable=\"true\"")
                + ">" + shown(ReviewCopy.comment(row)) + "</td><td>"
                + row.code().map(RowCode::written).orElse(ReturnedTable.NOT_READ) + "</td></tr>\n");
    }

    private static String language(String language) {
        if (language.isEmpty()) {
            return "";
        }
        boolean fromRight = ULocale.forLanguageTag(language).isRightToLeft();
        return " lang=\"" + attribute(language) + "\" dir=\"" + (fromRight ? "rtl" : "ltr") + "\"";
    }

    /** Tags as pieces that move and go as a whole. */
    private static String tokens(String text) {
        return TOKEN.matcher(shown(text))
                .replaceAll(found -> Matcher.quoteReplacement(
                        "<span class=\"tag\" contenteditable=\"false\">" + found.group() + "</span>"));
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }

    /** Line ends as breaks, and white space that would be folded marked as kept: it survives programs that lay the page out anew. */
    private static String shown(String text) {
        return FOLDED.matcher(escaped(text))
                .replaceAll("<span style=\"white-space:pre-wrap\">$0</span>")
                .replace("\n", "<br>");
    }

    private static String attribute(String text) {
        return XmlContent.attribute(text);
    }

    private static String resource(String name) throws IOException {
        try (InputStream in = HtmlWriter.class.getResourceAsStream(name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
