package org.swaplane.reviewcopy.html;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.swaplane.reviewcopy.Irregularity;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedCell;
import org.swaplane.reviewcopy.ReturnedTable;

/** Reads the rows of a page, and what stands around them. */
final class HtmlCells {
    private static final String BLOCKS = "p, div, li, h1, h2, h3, h4, h5, h6, caption, dt, dd, pre, blockquote";

    private final ReturnedTable table;

    HtmlCells(ReturnedTable table) {
        this.table = table;
    }

    void row(Element row) {
        List<ReturnedCell> cells = new ArrayList<>();
        for (Node child : row.childNodes()) {
            if (child instanceof Element cell
                    && (cell.normalName().equals("td") || cell.normalName().equals("th"))) {
                cells.add(cell(cell));
            }
        }
        table.row(cells);
    }

    private ReturnedCell cell(Element cell) {
        HtmlText text = new HtmlText();
        text.read(cell);
        if (text.isLaidOut()) {
            table.wasFolded();
        }
        String span = cell.attr("colspan");
        int columns = span.matches("[1-9]\\d?") ? Integer.parseInt(span) : 1;
        Set<Irregularity> odd = text.irregularities();
        if (!cell.attr("rowspan").isEmpty() && !cell.attr("rowspan").equals("1")) {
            odd.add(Irregularity.MERGED);
        }
        List<Remark> remarks =
                text.besides().stream().map(said -> new Remark("", "", said)).toList();
        return new ReturnedCell(text.text(), columns, remarks, Optional.empty(), odd);
    }

    /** Block by block what a page says outside its rows. */
    void outside(Element body) {
        List<Element> blocks = innermost(body);
        while (!blocks.isEmpty()) {
            for (Element block : blocks) {
                remark(block);
                block.remove();
            }
            blocks = innermost(body);
        }
        for (Node child : body.childNodes()) {
            if (child instanceof TextNode text) {
                table.remark(text.text());
            } else if (child instanceof Element element) {
                remark(element);
            }
        }
    }

    private static List<Element> innermost(Element body) {
        return body.select(BLOCKS).stream()
                .filter(block -> block.select(BLOCKS).size() == 1)
                .toList();
    }

    private void remark(Element block) {
        HtmlText text = new HtmlText();
        text.read(block);
        table.remark(text.text());
        text.besides().forEach(table::remark);
    }
}
