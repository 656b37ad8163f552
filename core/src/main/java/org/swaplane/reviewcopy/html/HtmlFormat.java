package org.swaplane.reviewcopy.html;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.CopyIdentity;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedTable;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewCopyFormat;

/** Review copies as pages for a browser. */
public final class HtmlFormat implements ReviewCopyFormat {
    /** What decoding makes of bytes that are no UTF-8. */
    private static final char UNREADABLE = '\uFFFD';

    private static final String BYTE_ORDER_MARK = "\uFEFF";

    @Override
    public String extension() {
        return "html";
    }

    /** Browsers lay out the whole table before it can be scrolled. */
    @Override
    public int mostRows() {
        return 10_000;
    }

    /** The page says so near its beginning; one that lost it is a page like any other. */
    @Override
    public boolean recognises(Source source) throws IOException {
        return Head.of(source).text().contains(CopyIdentity.PROPERTY);
    }

    @Override
    public void write(ReviewCopy copy, OutputStream out) throws IOException {
        new HtmlWriter(copy, out).write();
    }

    @Override
    public ReturnedCopy read(Source source) throws IOException {
        Document page = page(source);
        ReturnedTable table = new ReturnedTable();
        page.select("nav").remove();
        for (Element each : page.select("meta[name=" + CopyIdentity.PROPERTY + "], script#sent")) {
            if (each.normalName().equals("meta")) {
                table.identity(each.attr("content"));
            } else {
                table.sent(each.data());
            }
        }
        // Our own script keeps white space; a program that takes it out lays out the rest as well.
        if (page.select("script#sent").isEmpty()) {
            table.wasFolded();
        }
        HtmlCells cells = new HtmlCells(table);
        page.select("tr").stream().filter(row -> row.closest("td, th") == null).forEach(cells::row);
        page.select("script, style, tr").remove();
        cells.outside(page.body());
        return table.copyOf(source.name());
    }

    /** It is written in UTF-8; a program that saved it otherwise says so in it. */
    private static Document page(Source source) throws IOException {
        byte[] bytes;
        try (InputStream in = source.open()) {
            bytes = in.readAllBytes();
        }
        String text = new String(bytes, StandardCharsets.UTF_8);
        return text.indexOf(UNREADABLE) < 0
                ? Jsoup.parse(text.startsWith(BYTE_ORDER_MARK) ? text.substring(1) : text)
                : Jsoup.parse(new ByteArrayInputStream(bytes), null, "");
    }
}
