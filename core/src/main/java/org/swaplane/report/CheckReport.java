package org.swaplane.report;

import static org.swaplane.wording.Wording.text;

import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.swaplane.check.Finding;

/**
 * What the checks found.
 *
 * @param title what was checked
 * @param segments how many segments were looked at
 * @param notes notes at these segments that are not settled
 */
public record CheckReport(String title, int segments, List<Line> lines, List<NoteLine> notes) {
    /**
     * One finding.
     *
     * @param aside why it was set aside and by whom; empty for an open one
     */
    public record Line(
            String file, int number, Finding finding, String source, String target, String suggestion, String aside) {
        boolean isOpen() {
            return aside.isEmpty();
        }
    }

    /** A note that somebody made at a segment. */
    public record NoteLine(
            String file, int number, String author, String date, String note, String source, String target) {
        private List<Cell> cells() {
            return List.of(
                    Cell.of(file),
                    Cell.of(number),
                    Cell.of(author),
                    Cell.of(date),
                    Cell.of(note),
                    Cell.of(source),
                    Cell.of(target));
        }
    }

    private static final List<String> NOTE_COLUMNS =
            List.of("file", "segment", "author", "date", "note", "source", "target");

    private record Column(String name, Function<Line, Cell> cell) {}

    private static final List<Column> COLUMNS = List.of(
            new Column("file", line -> Cell.of(line.file())),
            new Column("segment", line -> Cell.of(line.number())),
            new Column(
                    "check", line -> Cell.of(text("check-name." + line.finding().check()))),
            new Column(
                    "severity",
                    line -> Cell.of(
                            text("severity." + line.finding().severity().name().toLowerCase(Locale.ROOT)))),
            new Column("message", line -> Cell.of(line.finding().message())),
            new Column(
                    "source", line -> Cell.marked(line.source(), line.finding().source())),
            new Column(
                    "target", line -> Cell.marked(line.target(), line.finding().target())),
            new Column("suggestion", line -> Cell.of(line.suggestion())));
    private static final Column ASIDE = new Column("aside", line -> Cell.of(line.aside()));

    public CheckReport {
        lines = List.copyOf(lines);
        notes = List.copyOf(notes);
    }

    public Report report() {
        long open = lines.stream().filter(Line::isOpen).count();
        return Report.titled(text("report.checks.title", title))
                .line(text("report.checks.counts", segments, open, lines.size() - open))
                .section(section("report.checks.open", Line::isOpen, COLUMNS))
                .section(section(
                        "report.checks.set-aside",
                        line -> !line.isOpen(),
                        Stream.concat(COLUMNS.stream(), Stream.of(ASIDE)).toList()))
                .section(Report.Section.ofTable(
                        notes.isEmpty() ? "" : text("report.checks.notes"),
                        heads(NOTE_COLUMNS),
                        notes.stream().map(NoteLine::cells).toList()))
                .build();
    }

    private Report.Section section(String heading, Predicate<Line> which, List<Column> columns) {
        List<List<Cell>> rows = lines.stream()
                .filter(which)
                .map(line -> columns.stream()
                        .map(column -> column.cell().apply(line))
                        .toList())
                .toList();
        List<String> names = columns.stream().map(Column::name).toList();
        return Report.Section.ofTable(rows.isEmpty() ? "" : text(heading), heads(names), rows);
    }

    private static List<String> heads(List<String> names) {
        return names.stream().map(name -> text("report.checks." + name)).toList();
    }
}
