package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.swaplane.compare.TextDifference;
import org.swaplane.content.TagNotation;
import org.swaplane.report.HtmlReport;
import org.swaplane.report.MarkedText;
import org.swaplane.reviewcopy.Revision;

/** The report on what came back and what became of it. */
public final class ReturnReport {
    private ReturnReport() {}

    /**
     * The report as HTML.
     *
     * @param about {@code file}, {@code person}, {@code trip}, {@code sentAt} and {@code readAt}
     * @param taken numbers of the rows that were taken
     */
    public static String html(ReturnReading reading, Set<Integer> taken, Map<String, String> about) throws IOException {
        Map<String, Object> model = new HashMap<>(about);
        model.put("taken", taken.size());
        model.put("untouched", reading.untouched());
        model.put(
                "problems",
                reading.problems().stream().map(StructureProblem::message).toList());
        model.put(
                "changes",
                reading.changes().stream().map(change -> row(change, taken)).toList());
        model.put(
                "remarks", reading.remarks().stream().map(ReturnReport::remark).toList());
        return HtmlReport.render("return", model);
    }

    private static Map<String, Object> row(RowChange change, Set<Integer> taken) {
        TextDifference difference = TextDifference.between(change.sent(), change.returned());
        return Map.of(
                "number", change.number(),
                "source",
                        TagNotation.write(
                                change.segment().source(), change.segment().source()),
                "sent", MarkedText.pieces(change.sent(), difference.before()),
                "returned", MarkedText.pieces(change.returned(), difference.after()),
                "now", change.nowWritten(),
                "by", change.revision().map(Revision::author).orElse(""),
                "outcome", text(taken.contains(change.number()) ? "return.taken" : "return.kept"));
    }

    private static String remark(RowRemark remark) {
        String author = remark.remark().author();
        return (remark.index() + 1) + ": " + remark.remark().text() + (author.isEmpty() ? "" : " (" + author + ")");
    }
}
