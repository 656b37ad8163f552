package org.swaplane.reviewcopy;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.swaplane.task.CannotProceedException;

/** What a form reads out of a document that came back: cells by rows, and what stands around them. Makes the rows of a copy of it. */
public final class ReturnedTable {
    /** Stands in the code column of rows that are not read again. */
    public static final String NOT_READ = "–";

    /** Where a cell should be and is none. */
    private static final ReturnedCell ABSENT =
            new ReturnedCell("", 1, List.of(), Optional.empty(), Set.of(Irregularity.MERGED));

    private final List<List<ReturnedCell>> rows = new ArrayList<>();
    private final List<Remark> remarks = new ArrayList<>();
    private List<CopyIdentity> identities = List.of();
    private SentTexts sent = SentTexts.NONE;

    /** The next row. */
    public void row(List<ReturnedCell> cells) {
        List<ReturnedCell> all = new ArrayList<>();
        for (ReturnedCell cell : cells) {
            all.add(cell);
            for (int i = 1; i < cell.columns(); i++) {
                all.add(ABSENT);
            }
        }
        rows.add(all);
    }

    /** Something that was written outside the rows. */
    public void remark(Remark remark) {
        if (!remark.text().isBlank()) {
            remarks.add(remark);
        }
    }

    /** The property in which the document says what it is. */
    public void identity(String property) {
        identities = CopyIdentity.readAll(property);
    }

    /** The texts as they were sent, packed. */
    public void sent(String packed) {
        sent = SentTexts.unpacked(packed);
    }

    /** The copy. */
    public ReturnedCopy copy() {
        List<List<String>> texts = rows.stream()
                .map(cells -> cells.stream().map(ReturnedCell::text).toList())
                .toList();
        int head = head(texts);
        List<String> heads = head < 0 ? List.of() : texts.get(head);
        CopyColumns columns = CopyColumns.of(heads, texts.subList(head + 1, texts.size()), identities, sent);
        List<ReturnedRow> found = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            if (i < head || isEmpty(texts.get(i))) {
                texts.get(i).forEach(text -> remark(new Remark("", "", text)));
                rows.get(i).forEach(cell -> cell.remarks().forEach(this::remark));
            } else if (i != head) {
                read(rows.get(i), texts.get(i), columns, heads, found);
            } else {
                rows.get(i).forEach(cell -> cell.remarks().forEach(this::remark));
            }
        }
        List<Remark> foreign = remarks.stream()
                .filter(remark -> !sent.preface().contains(remark.text()))
                .toList();
        return new ReturnedCopy(identities, found, sent, foreign);
    }

    /**
     * The copy, of which at least one thing says that it is ours.
     *
     * @param document name of the document, for the message
     */
    public ReturnedCopy copyOf(String document) {
        ReturnedCopy copy = copy();
        if (copy.trip().isEmpty()) {
            throw new CannotProceedException(document, "problem.no-identity");
        }
        return copy;
    }

    private static boolean isEmpty(List<String> cells) {
        return cells.stream().allMatch(String::isBlank);
    }

    /** The row of heads stands before the first row with a code; -1 where there is none. */
    private static int head(List<List<String>> texts) {
        for (int i = 0; i < texts.size(); i++) {
            List<String> cells = texts.get(i);
            if (CopyColumns.code(cells).isPresent()) {
                return -1;
            }
            long named =
                    cells.stream().filter(cell -> cell.strip().endsWith(")")).count();
            if (named >= 2 && !cells.get(0).strip().matches("\\d+")) {
                return i;
            }
        }
        return -1;
    }

    private void read(
            List<ReturnedCell> cells,
            List<String> texts,
            CopyColumns columns,
            List<String> heads,
            List<ReturnedRow> found) {
        Optional<RowCode> code = CopyColumns.code(texts);
        int last = columns.code() >= 0 ? columns.code() : texts.size() - 1;
        if (texts.get(0).isBlank()
                && last < texts.size()
                && texts.get(last).strip().equals(NOT_READ)) {
            cells.forEach(cell -> cell.remarks().forEach(this::remark));
            return;
        }
        boolean isRow = cells.size() > Math.max(columns.source(), columns.target())
                && !texts.get(columns.source()).isBlank();
        if (!isRow && code.isEmpty()) {
            // A line of the reviewer's own.
            texts.forEach(text -> remark(new Remark("", "", text)));
            cells.forEach(cell -> cell.remarks().forEach(this::remark));
            return;
        }
        ReturnedCell target = cell(cells, columns.target());
        List<Remark> own = new ArrayList<>();
        cells.forEach(cell -> own.addAll(cell.remarks()));
        for (int i = 0; i < cells.size(); i++) {
            String text = texts.get(i).strip();
            boolean isOurs = i == columns.number() || i == columns.source() || i == columns.target();
            if (isOurs || text.isEmpty() || RowCode.isLike(text)) {
                continue;
            }
            String head =
                    i == columns.comment() || i >= heads.size() || heads.get(i).isBlank() || i == columns.code()
                            ? ""
                            : heads.get(i).strip() + ": ";
            Revision by = cells.get(i).revision().orElse(new Revision("", ""));
            own.add(new Remark(by.author(), by.date(), head + text));
        }
        Set<Irregularity> odd = EnumSet.noneOf(Irregularity.class);
        odd.addAll(target.irregularities());
        if (target.columns() > 1) {
            odd.add(Irregularity.MERGED);
        }
        if (!columns.isCertain()) {
            odd.add(Irregularity.UNCLEAR_COLUMN);
        }
        found.add(new ReturnedRow(
                found.size() + 1,
                code,
                number(texts, columns.number()),
                cell(cells, columns.source()).text(),
                target.text(),
                own,
                target.revision(),
                odd));
    }

    private static ReturnedCell cell(List<ReturnedCell> cells, int at) {
        return at >= 0 && at < cells.size() ? cells.get(at) : ABSENT;
    }

    private static int number(List<String> texts, int at) {
        String text = at >= 0 && at < texts.size() ? texts.get(at).strip() : "";
        return text.matches("\\d{1,7}") ? Integer.parseInt(text) : 0;
    }
}
