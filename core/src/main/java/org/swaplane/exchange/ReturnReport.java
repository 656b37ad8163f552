package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import java.util.List;
import java.util.Set;
import org.swaplane.compare.TextDifference;
import org.swaplane.content.TagNotation;
import org.swaplane.report.Cell;
import org.swaplane.report.Report;
import org.swaplane.reviewcopy.Revision;

/**
 * What came back and what became of it, for the one who sent it back.
 *
 * @param sentAt when the copy went out
 * @param readAt when it was read again
 */
public record ReturnReport(String file, String person, String trip, String sentAt, String readAt) {
    private static final List<String> HEADS =
            List.of("row", "source", "sent", "returned", "now", "by", "outcome", "reasons");

    /** @param taken numbers of the rows that were taken */
    public Report of(ReturnReading reading, Set<Integer> taken) {
        Report.Builder report = Report.titled(text("report.return.title", file))
                .fact(text("report.return.person"), person)
                .fact(text("report.return.trip"), Cell.of(trip, Cell.Tone.CODE))
                .fact(text("report.return.sent-at"), sentAt)
                .fact(text("report.return.read-at"), readAt)
                .fact(
                        text("report.return.taken"),
                        text(
                                "report.return.taken-of",
                                taken.size(),
                                reading.changes().size()))
                .fact(text("report.return.untouched"), Cell.of(reading.untouched()));
        if (!reading.problems().isEmpty()) {
            report.section(Report.Section.ofItems(
                    text("report.return.problems"),
                    reading.problems().stream().map(StructureProblem::message).toList()));
        }
        if (reading.changes().isEmpty()) {
            report.section(Report.Section.ofLine(text("report.return.changes"), text("report.return.nothing-changed")));
        } else {
            report.section(Report.Section.ofTable(
                    text("report.return.changes"),
                    HEADS.stream().map(head -> text("report.return." + head)).toList(),
                    reading.changes().stream().map(change -> row(change, taken)).toList()));
        }
        if (!reading.remarks().isEmpty()) {
            report.section(Report.Section.ofItems(
                    text("report.return.remarks"),
                    reading.remarks().stream().map(ReturnReport::remark).toList()));
        }
        return report.build();
    }

    private static List<Cell> row(RowChange change, Set<Integer> taken) {
        TextDifference difference = TextDifference.between(change.sent(), change.returned());
        boolean accepted = taken.contains(change.number());
        return List.of(
                Cell.of(change.number()),
                Cell.of(TagNotation.write(
                        change.segment().source(), change.segment().source())),
                Cell.marked(change.sent(), difference.before()),
                Cell.marked(change.returned(), difference.after()),
                Cell.of(change.nowWritten()),
                Cell.of(change.revision().map(Revision::author).orElse("")),
                Cell.of(text(accepted ? "return.taken" : "return.kept"), accepted ? Cell.Tone.GOOD : Cell.Tone.PLAIN),
                Cell.of(String.join(
                        "\n",
                        change.problems().stream()
                                .map(StructureProblem::message)
                                .toList())));
    }

    private static String remark(RowRemark remark) {
        String author = remark.remark().author();
        String number = remark.index() == RowRemark.NO_SEGMENT ? "" : remark.index() + 1 + ": ";
        return number + remark.remark().text() + (author.isEmpty() ? "" : " (" + author + ")");
    }
}
