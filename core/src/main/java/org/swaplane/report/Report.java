package org.swaplane.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a report says, before it becomes a page, a document or a workbook.
 *
 * @param lines sentences under the title
 * @param facts what it is about, each with a label
 */
public record Report(String title, List<String> lines, List<Fact> facts, List<Section> sections) {
    /** A labelled value. */
    public record Fact(String label, Cell cell) {}

    /**
     * A part with a heading: sentences, a list, a table, or several of them.
     *
     * @param level of the heading, 2 or 3
     * @param heads of the table's columns
     * @param rows of the table; each has a cell for each head; may be made while they are gone through
     * @param sums below the rows, a cell for each head: those with a number are the sums of their columns; empty for none
     * @param chart what shows before it is read
     */
    public record Section(
            String heading,
            int level,
            List<String> lines,
            List<String> items,
            List<String> heads,
            List<List<Cell>> rows,
            List<Cell> sums,
            Optional<Chart> chart) {
        public Section(
                String heading,
                int level,
                List<String> lines,
                List<String> items,
                List<String> heads,
                List<List<Cell>> rows) {
            this(heading, level, lines, items, heads, rows, List.of(), Optional.empty());
        }

        private Section(String heading, List<String> lines, List<String> items) {
            this(heading, 2, lines, items, List.of(), List.of());
        }

        public static Section ofTable(String heading, List<String> heads, List<List<Cell>> rows) {
            return new Section(heading, 2, List.of(), List.of(), heads, rows);
        }

        public static Section ofItems(String heading, List<String> items) {
            return new Section(heading, List.of(), items);
        }

        public static Section ofLine(String heading, String line) {
            return new Section(heading, List.of(line), List.of());
        }

        public Section withSums(List<Cell> cells) {
            return new Section(heading, level, lines, items, heads, rows, cells, chart);
        }

        public Section withChart(Chart shown) {
            return new Section(heading, level, lines, items, heads, rows, sums, Optional.of(shown));
        }

        /** With sentences under the heading. */
        public Section saying(String... sentences) {
            return new Section(heading, level, List.of(sentences), items, heads, rows, sums, chart);
        }
    }

    /** Collects a report part by part. */
    public static final class Builder {
        private final String title;
        private final List<String> lines = new ArrayList<>();
        private final List<Fact> facts = new ArrayList<>();
        private final List<Section> sections = new ArrayList<>();

        private Builder(String title) {
            this.title = title;
        }

        public Builder line(String line) {
            lines.add(line);
            return this;
        }

        public Builder fact(String label, String value) {
            return fact(label, Cell.of(value));
        }

        public Builder fact(String label, Cell value) {
            facts.add(new Fact(label, value));
            return this;
        }

        public Builder section(Section section) {
            sections.add(section);
            return this;
        }

        public Report build() {
            return new Report(title, List.copyOf(lines), List.copyOf(facts), List.copyOf(sections));
        }
    }

    public static Builder titled(String title) {
        return new Builder(title);
    }
}
