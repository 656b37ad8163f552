package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Fingerprint;
import org.swaplane.exchange.StructureProblem.Kind;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedRow;
import org.swaplane.reviewcopy.ReviewCopy;

/** Compares three texts for every row: as sent, as returned, as it stands now. Changes nothing. */
public final class ReturnReader {
    private final Map<Integer, SentRow> sent = new HashMap<>();
    private final List<RowChange> changes = new ArrayList<>();
    private final List<RowRemark> remarks = new ArrayList<>();
    private final List<StructureProblem> problems = new ArrayList<>();
    private int untouched;

    private ReturnReader(List<SentRow> rows) {
        rows.forEach(row -> sent.put(row.number(), row));
    }

    /** Reads {@code returned} against the rows that went out with {@code trip}. */
    public static ReturnReading read(ReturnedCopy returned, String trip, List<SentRow> rows) {
        return new ReturnReader(rows).read(returned, new RowMatching(trip, rows));
    }

    private ReturnReading read(ReturnedCopy returned, RowMatching matching) {
        Map<Integer, ReturnedRow> matched = matching.match(returned.rows());
        problems.addAll(matching.problems());
        Map<Integer, List<StructureProblem>> byNumber = new HashMap<>();
        for (StructureProblem problem : matching.problems()) {
            byNumber.computeIfAbsent(problem.number(), none -> new ArrayList<>())
                    .add(problem);
        }
        matched.forEach((number, row) -> readRow(sent.get(number), row, byNumber.getOrDefault(number, List.of())));
        return new ReturnReading(problems, changes, remarks, untouched);
    }

    private void readRow(SentRow original, ReturnedRow row, List<StructureProblem> known) {
        List<StructureProblem> own = new ArrayList<>();
        Content source = original.segment().source();
        TagNotation.Reading reading = TagNotation.read(row.target(), source);
        boolean changed = !row.target().equals(original.sent());
        int number = original.number();
        if (!Fingerprint.ofWritten(row.source()).equals(Fingerprint.of(source))) {
            own.add(new StructureProblem(
                    Kind.SOURCE_CHANGED, number, text("return.source-changed", number, row.source())));
        }
        if (changed && original.segment().locked()) {
            own.add(new StructureProblem(Kind.LOCKED_CHANGED, number, text("return.locked-changed", number)));
        }
        if (changed && !reading.damages().isEmpty()) {
            String written = reading.damages().get(0).written().strip();
            own.add(new StructureProblem(Kind.TAGS_DAMAGED, number, text("return.tags-damaged", number, written)));
        } else if (changed && !tagsWhole(reading.content(), original)) {
            own.add(new StructureProblem(Kind.TAGS_CHANGED, number, text("return.tags-changed", number)));
        }
        problems.addAll(own);
        own.addAll(known);
        row.remarks().stream()
                .filter(remark -> !isOurOwnNote(remark.text(), original))
                .forEach(remark -> remarks.add(new RowRemark(original.index(), remark)));
        if (changed) {
            changes.add(change(original, row, reading, own));
        } else {
            untouched++;
        }
    }

    private static RowChange change(
            SentRow original, ReturnedRow row, TagNotation.Reading reading, List<StructureProblem> problems) {
        String now = TagNotation.write(original.now(), original.segment().source());
        RowChange.Case what = now.equals(original.sent())
                ? RowChange.Case.CHANGED_THERE
                : now.equals(row.target()) ? RowChange.Case.SAME_CHANGE : RowChange.Case.CONFLICT;
        boolean mended = !reading.damages().isEmpty() && tagsWhole(reading.repaired(), original);
        return new RowChange(
                original.number(),
                original.index(),
                original.segment(),
                what,
                original.sent(),
                row.target(),
                reading.content(),
                mended ? Optional.of(reading.repaired()) : Optional.empty(),
                original.now(),
                row.revision(),
                problems);
    }

    /** The answer has the tags of the source, or at least those that we sent; an emptied target has lost its text, not its tags. */
    private static boolean tagsWhole(Content answer, SentRow original) {
        Content source = original.segment().source();
        Content sent = TagNotation.read(original.sent(), source).content();
        return sameTags(answer, source) || sameTags(answer, sent);
    }

    private static boolean sameTags(Content one, Content other) {
        List<Tag> left = new ArrayList<>(other.tags());
        for (Tag tag : one.tags()) {
            Optional<Tag> counterpart = left.stream().filter(tag::matches).findFirst();
            if (counterpart.isEmpty()) {
                return false;
            }
            left.remove(counterpart.get());
        }
        return left.isEmpty();
    }

    /** The comment column went out with the file's notes in it, and the word that a row is locked. */
    private static boolean isOurOwnNote(String text, SentRow original) {
        return original.notes().contains(text)
                || original.segment().notes().stream().anyMatch(note -> text.equals(note.text()))
                || text.equals(ReviewCopy.notes(original.segment()));
    }
}
