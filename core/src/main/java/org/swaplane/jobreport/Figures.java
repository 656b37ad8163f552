package org.swaplane.jobreport;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import org.swaplane.effort.SegmentWork;
import org.swaplane.report.Cell;
import org.swaplane.report.Chart;
import org.swaplane.report.Report;

/**
 * A table of figures with its chart, and for each row the segments that it was counted from.
 *
 * @param segments for each row; null for a row that was counted from none
 */
public record Figures(ReportPart part, Report.Section section, List<Predicate<SegmentWork>> segments) {
    /** Collects rows. */
    static final class Builder {
        private final ReportPart part;
        private final String heading;
        private final List<String> heads;
        private final List<List<Cell>> rows = new ArrayList<>();
        private final List<Predicate<SegmentWork>> segments = new ArrayList<>();
        private List<Cell> sums = List.of();
        private Chart chart;
        private String line = "";

        Builder(ReportPart part, String heading, String... heads) {
            this.part = part;
            this.heading = heading;
            this.heads = List.of(heads);
        }

        Builder row(Predicate<SegmentWork> counted, Cell... cells) {
            return row(counted, List.of(cells));
        }

        Builder row(Predicate<SegmentWork> counted, List<Cell> cells) {
            rows.add(cells);
            segments.add(counted);
            return this;
        }

        Builder sums(Cell... cells) {
            sums = List.of(cells);
            return this;
        }

        Builder sums(List<Cell> cells) {
            sums = List.copyOf(cells);
            return this;
        }

        /** A sentence under the heading. */
        Builder saying(String sentence) {
            line = sentence;
            return this;
        }

        Builder chart(Chart shown) {
            chart = shown;
            return this;
        }

        boolean isEmpty() {
            return rows.isEmpty();
        }

        Figures build() {
            Report.Section section = Report.Section.ofTable(heading, heads, List.copyOf(rows));
            section = sums.isEmpty() || rows.isEmpty() ? section : section.withSums(sums);
            section = chart == null ? section : section.withChart(chart);
            return new Figures(part, line.isEmpty() ? section : section.saying(line), segments);
        }
    }
}
