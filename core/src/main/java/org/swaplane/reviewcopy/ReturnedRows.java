package org.swaplane.reviewcopy;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.swaplane.content.Blanks;

/** Makes the rows of a copy out of the cells of its table. What is no row goes to the remarks about the whole. */
final class ReturnedRows {
    /** Fills the place of a missing cell. */
    static final ReturnedCell ABSENT =
            new ReturnedCell("", 1, List.of(), Optional.empty(), Set.of(Irregularity.MERGED));

    private final CopyColumns columns;
    private final List<String> heads;
    private final SentTexts sent;
    private final boolean wasFolded;
    private final Consumer<Remark> outside;
    private final List<ReturnedRow> rows = new ArrayList<>();
    private final Set<String> quoted = new HashSet<>();

    /** @param outside takes what belongs to no row */
    ReturnedRows(CopyColumns columns, List<String> heads, SentTexts sent, boolean wasFolded, Consumer<Remark> outside) {
        this.columns = columns;
        this.heads = heads;
        this.sent = sent;
        this.wasFolded = wasFolded;
        this.outside = outside;
    }

    List<ReturnedRow> rows() {
        return rows;
    }

    /** Whether a head stands in a remark of a row already. */
    boolean quotes(String head) {
        return quoted.contains(head);
    }

    void add(List<ReturnedCell> cells, List<String> texts) {
        Optional<RowCode> code = CopyColumns.code(texts);
        boolean isRow = cells.size() > Math.max(columns.source(), columns.target())
                && !texts.get(columns.source()).isBlank();
        if (isRow || code.isPresent()) {
            addRow(cells, texts, code);
            return;
        }
        if (!cell(cells, columns.target()).text().isBlank()) {
            lastWasSplit();
        }
        // A line of the reviewer's own.
        texts.forEach(text -> outside.accept(new Remark("", "", text.strip())));
        cells.forEach(cell -> cell.remarks().forEach(outside));
    }

    /** Where a row is split in two, the lower half has no number, source or code. */
    private void lastWasSplit() {
        if (!rows.isEmpty()) {
            ReturnedRow last = rows.remove(rows.size() - 1);
            rows.add(last.with(Irregularity.MERGED));
        }
    }

    private void addRow(List<ReturnedCell> cells, List<String> texts, Optional<RowCode> code) {
        ReturnedCell target = cell(cells, columns.target());
        String source = cell(cells, columns.source()).text();
        Optional<String> asSent = code.flatMap(each -> sent.target(each.trip(), each.number()));
        List<Remark> own = new ArrayList<>();
        cells.forEach(cell -> own.addAll(cell.remarks()));
        for (int i = 0; i < cells.size(); i++) {
            String cell = texts.get(i).strip();
            boolean isCopied = i != columns.comment()
                    && (cell.equals(source.strip())
                            || cell.equals(target.text().strip())
                            || asSent.filter(cell::equals).isPresent());
            if (!Blanks.isAllOf(cell) && !isOurs(i, cell) && !isCopied) {
                Revision by = cells.get(i).revision().orElse(new Revision("", ""));
                own.add(new Remark(by.author(), by.date(), head(i) + cell));
            }
        }
        rows.add(new ReturnedRow(
                rows.size() + 1,
                code,
                number(texts),
                source,
                target.text(),
                own,
                target.revision(),
                irregularities(target, texts, code)));
    }

    private boolean isOurs(int column, String text) {
        return column == columns.source()
                || column == columns.target()
                || column == columns.number() && isNumber(text)
                || RowCode.isLike(text);
    }

    private Set<Irregularity> irregularities(ReturnedCell target, List<String> texts, Optional<RowCode> code) {
        Set<Irregularity> odd = EnumSet.noneOf(Irregularity.class);
        odd.addAll(target.irregularities());
        // Where a cell was split in two, the code stands further than in the other rows.
        boolean isSplit = code.isPresent()
                && columns.code() >= 0
                && (columns.code() >= texts.size()
                        || RowCode.read(texts.get(columns.code())).isEmpty());
        if (target.columns() > 1 || isSplit) {
            odd.add(Irregularity.MERGED);
        }
        if (wasFolded) {
            odd.add(Irregularity.FOLDED);
        }
        if (!columns.isCertain()) {
            odd.add(Irregularity.UNCLEAR_COLUMN);
        }
        return odd;
    }

    /** What a remark of a column begins with. */
    private String head(int column) {
        boolean isKnown = column == columns.comment() || column == columns.code() || column == columns.number();
        if (isKnown || column >= heads.size() || heads.get(column).isBlank()) {
            return "";
        }
        quoted.add(heads.get(column));
        return heads.get(column).strip() + ": ";
    }

    private static ReturnedCell cell(List<ReturnedCell> cells, int at) {
        return at >= 0 && at < cells.size() ? cells.get(at) : ABSENT;
    }

    private int number(List<String> texts) {
        String text = cellText(texts, columns.number());
        return isNumber(text) ? Integer.parseInt(text) : 0;
    }

    private static String cellText(List<String> texts, int at) {
        return at >= 0 && at < texts.size() ? texts.get(at).strip() : "";
    }

    private static boolean isNumber(String text) {
        return text.matches("[0-9]{1,7}");
    }
}
