package org.swaplane.reviewcopy.html;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.CopyIdentity;
import org.swaplane.reviewcopy.Irregularity;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedCell;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedTable;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewCopyFormat;

/** Review copies as pages for a browser. */
public final class HtmlFormat implements ReviewCopyFormat {
    private static final Set<String> BLOCKS = Set.of("div", "p", "li");
    /** What decoding makes of bytes that are no UTF-8. */
    private static final char UNREADABLE = '\uFFFD';

    private static final String BYTE_ORDER_MARK = "\uFEFF";

    private static final Set<String> STRUCK = Set.of("s", "strike", "del");

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
        for (Element each : page.select("meta[name=" + CopyIdentity.PROPERTY + "], script#sent, tr")) {
            switch (each.normalName()) {
                case "meta" -> table.identity(each.attr("content"));
                case "script" -> table.sent(each.data());
                default -> table.row(row(each));
            }
        }
        for (Element own : page.body().children()) {
            if (!Set.of("header", "nav", "table", "script").contains(own.normalName())) {
                table.remark(new Remark("", "", own.text()));
            }
        }
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

    private static List<ReturnedCell> row(Element row) {
        List<ReturnedCell> cells = new ArrayList<>();
        for (Element cell : row.children()) {
            if (cell.normalName().equals("td") || cell.normalName().equals("th")) {
                cells.add(cell(cell));
            }
        }
        return cells;
    }

    private static ReturnedCell cell(Element cell) {
        StringBuilder text = new StringBuilder();
        Set<Irregularity> odd = EnumSet.noneOf(Irregularity.class);
        read(cell, text, odd);
        // A browser ends a cell that is edited with a break of its own.
        if (!text.isEmpty() && text.charAt(text.length() - 1) == '\n') {
            text.setLength(text.length() - 1);
        }
        String span = cell.attr("colspan");
        int columns = span.matches("[1-9]\\d?") ? Integer.parseInt(span) : 1;
        if (!cell.attr("rowspan").isEmpty() && !cell.attr("rowspan").equals("1")) {
            odd.add(Irregularity.MERGED);
        }
        return new ReturnedCell(text.toString(), columns, List.of(), Optional.empty(), odd);
    }

    private static void read(Element element, StringBuilder text, Set<Irregularity> odd) {
        for (Node node : element.childNodes()) {
            if (node instanceof TextNode own) {
                text.append(own.getWholeText());
            } else if (node instanceof Element inner) {
                readElement(inner, text, odd);
            }
        }
    }

    private static void readElement(Element inner, StringBuilder text, Set<Irregularity> odd) {
        String style = inner.attr("style").replace(" ", "");
        if (STRUCK.contains(inner.normalName()) || style.contains("line-through")) {
            odd.add(Irregularity.STRUCK);
            return;
        }
        if (inner.hasAttr("hidden") || style.contains("display:none")) {
            odd.add(Irregularity.HIDDEN);
            return;
        }
        boolean block = BLOCKS.contains(inner.normalName());
        if (inner.normalName().equals("br") || block && !text.isEmpty() && text.charAt(text.length() - 1) != '\n') {
            text.append('\n');
        }
        read(inner, text, odd);
        if (block && inner.nextSibling() != null && (text.isEmpty() || text.charAt(text.length() - 1) != '\n')) {
            text.append('\n');
        }
    }
}
