package org.swaplane.reviewcopy;

import java.util.ArrayList;
import java.util.List;
import org.swaplane.content.Blanks;
import org.swaplane.task.CannotProceedException;

/**
 * What a form reads out of a document that came back: cells by rows, and what stands around them. Makes the rows of a copy of it; whatever was
 * sent otherwise or not at all, and belongs to no row, is a remark.
 */
public final class ReturnedTable {
    /** Stands in the code column of rows that are not read again. */
    public static final String NOT_READ = "–";

    private final List<List<ReturnedCell>> rows = new ArrayList<>();
    private final List<Remark> remarks = new ArrayList<>();
    private List<CopyIdentity> identities = List.of();
    private Preface preface = Preface.UNKNOWN;
    private SentTexts sent = SentTexts.NONE;
    private boolean wasFolded;

    /** The next row. */
    public void row(List<ReturnedCell> cells) {
        List<ReturnedCell> all = new ArrayList<>();
        for (ReturnedCell cell : cells) {
            all.add(cell);
            for (int i = 1; i < cell.columns(); i++) {
                all.add(ReturnedRows.ABSENT);
            }
        }
        rows.add(all);
    }

    /** Something that was written outside the rows. */
    public void remark(Remark remark) {
        if (!Blanks.isAllOf(remark.text())) {
            remarks.add(remark);
        }
    }

    /** The same, of which nobody says who wrote it. */
    public void remark(String text) {
        remark(new Remark("", "", text.strip()));
    }

    /** The property in which the document says what it is. */
    public void identity(String property) {
        identities = CopyIdentity.readAll(property);
        preface = preface.and(Preface.read(property));
    }

    /** The same where people can write into it: what was written is not lost. */
    public void visibleIdentity(String property) {
        identity(property);
        String rest = property.strip();
        for (String known : List.of(CopyIdentity.written(identities), preface.written())) {
            rest = rest.replace(known, "");
        }
        if (!rest.replace("|", "").isBlank()) {
            remark(property);
        }
    }

    /** The texts as they were sent, packed. */
    public void sent(String packed) {
        sent = SentTexts.unpacked(packed);
        preface = preface.and(Preface.of(sent.preface()));
    }

    /** The program that saved the document put other white space into its texts: what differs in nothing else is as it was sent. */
    public void wasFolded() {
        wasFolded = true;
    }

    /** The copy. */
    public ReturnedCopy copy() {
        List<List<String>> texts = rows.stream()
                .map(cells -> cells.stream().map(ReturnedCell::text).toList())
                .toList();
        int head = head(texts);
        List<String> heads = head < 0 ? List.of() : texts.get(head);
        CopyColumns columns = CopyColumns.of(heads, texts.subList(head + 1, texts.size()), identities, sent);
        ReturnedRows found = new ReturnedRows(columns, heads, sent, wasFolded, this::remark);
        for (int i = 0; i < rows.size(); i++) {
            boolean isRow = i > head && !isEmpty(texts.get(i)) && !isNotRead(texts.get(i), columns);
            if (isRow) {
                found.add(rows.get(i), texts.get(i));
                continue;
            }
            rows.get(i).forEach(cell -> cell.remarks().forEach(this::remark));
            if (i > head && !isEmpty(texts.get(i))) {
                remarkNotRead(texts.get(i), columns);
            } else if (i != head) {
                texts.get(i).forEach(this::remark);
            }
        }
        if (!preface.equals(Preface.UNKNOWN)) {
            heads.stream().filter(each -> !found.quotes(each)).forEach(this::remark);
        }
        return new ReturnedCopy(
                identities,
                found.rows(),
                sent,
                remarks.stream().filter(remark -> !preface.has(remark.text())).toList());
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

    private static boolean isNotRead(List<String> texts, CopyColumns columns) {
        int last = columns.code() >= 0 ? columns.code() : texts.size() - 1;
        return texts.get(0).isBlank()
                && last < texts.size()
                && texts.get(last).strip().equals(NOT_READ);
    }

    /** What was written into a row that is there to be read only; what such rows were sent with is known where the texts as sent are. */
    private void remarkNotRead(List<String> texts, CopyColumns columns) {
        for (int i = 0; i < texts.size(); i++) {
            boolean isUnknown = sent.isEmpty() && (i == columns.source() || i == columns.target());
            if (!isUnknown && !texts.get(i).strip().equals(NOT_READ)) {
                remark(texts.get(i));
            }
        }
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
}
