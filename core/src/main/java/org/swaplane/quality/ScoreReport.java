package org.swaplane.quality;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.swaplane.document.Segment;
import org.swaplane.report.Cell;
import org.swaplane.report.Report;

/** The score of one file, and the errors that it was counted from. */
public final class ScoreReport {
    private ScoreReport() {}

    public static Report of(
            String file, QualityScore score, QualityScheme scheme, ErrorList errors, List<Segment> segments) {
        Report.Builder report = Report.titled(text("quality.report.title", file))
                .fact(
                        text("quality.score"),
                        Cell.of(
                                score.score().map(Object::toString).orElse("–"),
                                score.passed() ? Cell.Tone.GOOD : Cell.Tone.BAD))
                .fact(text("quality.result"), text(score.passed() ? "quality.passed" : "quality.not-passed"))
                .fact(text("quality.pass-mark"), scheme.passMark().toPlainString())
                .fact(text("quality.words"), Cell.of(score.words()))
                .fact(text("quality.penalty"), score.penalty().toPlainString());
        report.section(tallies("quality.by-category", score.byCategory(), scheme, true));
        report.section(tallies("quality.by-severity", score.bySeverity(), scheme, false));
        List<List<Cell>> rows = new ArrayList<>();
        for (ErrorList.Entry error : errors.errors()) {
            rows.add(row(error, segments.get(error.segment()), scheme));
        }
        return report.section(Report.Section.ofTable(
                        text("quality.errors"),
                        List.of(
                                text("quality.column.segment"),
                                text("quality.column.category"),
                                text("quality.column.severity"),
                                text("quality.column.source"),
                                text("quality.column.target"),
                                text("quality.column.comment")),
                        rows))
                .build();
    }

    private static List<Cell> row(ErrorList.Entry error, Segment segment, QualityScheme scheme) {
        String source = segment.source().plainText();
        String target = segment.target().plainText();
        return List.of(
                Cell.of(segment.key()),
                Cell.of(scheme.categoryName(error.judgement().category())),
                Cell.of(scheme.severityName(error.judgement().severity())),
                error.inSource() ? Cell.marked(source, error.span()) : Cell.of(source),
                error.inSource() ? Cell.of(target) : Cell.marked(target, error.span()),
                Cell.of(error.comment()));
    }

    private static Report.Section tallies(
            String heading, Map<String, QualityScore.Tally> tallies, QualityScheme scheme, boolean categories) {
        List<List<Cell>> rows = new ArrayList<>();
        tallies.forEach((id, tally) -> rows.add(List.of(
                Cell.of(categories ? scheme.categoryName(id) : scheme.severityName(id)),
                Cell.of(tally.count()),
                Cell.of(tally.penalty().toPlainString()))));
        return Report.Section.ofTable(
                text(heading),
                List.of(
                        text(categories ? "quality.column.category" : "quality.column.severity"),
                        text("quality.column.errors"),
                        text("quality.column.penalty")),
                rows);
    }
}
