package org.swaplane.version;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.swaplane.compare.TextDifference;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.report.Cell;
import org.swaplane.report.Report;
import org.swaplane.task.Progress;

/**
 * Two versions of a file and what changed from one to the other.
 *
 * @param oldName what the old one is called
 * @param nowName what the new one is called
 */
public record VersionComparison(
        String oldName, String nowName, BilingualDocument old, BilingualDocument now, VersionAlignment alignment) {
    private static final List<String> HEADS =
            List.of("number-before", "number-now", "outcome", "kind", "similarity", "before", "after", "target");

    public static VersionComparison of(
            String oldName, String nowName, BilingualDocument old, BilingualDocument now, Progress progress) {
        return new VersionComparison(oldName, nowName, old, now, VersionAlignment.of(old, now, progress));
    }

    /** Sources of a side as one text, with tags as people write them. */
    public String sourceBefore(SegmentMatch match) {
        return written(match.old(), old.segments());
    }

    public String sourceNow(SegmentMatch match) {
        return written(match.now(), now.segments());
    }

    private static String written(List<Integer> indexes, List<Segment> segments) {
        return indexes.stream()
                .map(index -> segments.get(index).source())
                .map(source -> TagNotation.write(source, source))
                .collect(Collectors.joining("\n"));
    }

    /** What changed in a source that changed. */
    public Optional<ChangeKind> kind(SegmentMatch match) {
        return match.outcome() == Outcome.CHANGED
                ? Optional.of(ChangeKind.of(
                        old.segments().get(match.old().get(0)).source(),
                        now.segments().get(match.now().get(0)).source()))
                : Optional.empty();
    }

    /** Segments with the same source whose translation or state is not the same; none where one side is not translated at all. */
    public List<SegmentMatch> otherTranslations() {
        boolean bothAreTranslated = List.of(old, now).stream().allMatch(document -> document.segments().stream()
                .anyMatch(segment -> !segment.target().isEmpty()));
        if (!bothAreTranslated) {
            return List.of();
        }
        return translationsThatDiffer();
    }

    private List<SegmentMatch> translationsThatDiffer() {
        return alignment.matches().stream().filter(this::isOtherTranslation).toList();
    }

    /** Whether nothing but translations and states differs. */
    public boolean isOfTranslationsOnly() {
        return alignment.isSame() && !translationsThatDiffer().isEmpty();
    }

    /** Whether the source is the same and the translation or its state is not. */
    public boolean isOtherTranslation(SegmentMatch match) {
        if (match.outcome() != Outcome.UNCHANGED && match.outcome() != Outcome.MOVED) {
            return false;
        }
        Segment before = old.segments().get(match.old().get(0));
        Segment after = now.segments().get(match.now().get(0));
        return before.state() != after.state() || !target(before).equals(target(after));
    }

    private static String target(Segment segment) {
        return TagNotation.write(segment.target(), segment.source());
    }

    public boolean isSame() {
        return alignment.isSame() && otherTranslations().isEmpty();
    }

    public Report report() {
        Map<Outcome, Integer> counts = alignment.counts();
        Map<Outcome, Integer> words = alignment.words(old.segments(), now.segments());
        Report.Builder report = Report.titled(text("report.compare.title", nowName))
                .fact(text("report.compare.old"), oldName)
                .fact(text("report.compare.now"), nowName);
        report.section(Report.Section.ofTable(
                text("report.compare.outcomes"),
                List.of(text("report.compare.outcome"), text("report.compare.segments"), text("report.compare.words")),
                counts.keySet().stream()
                        .map(outcome -> List.of(
                                Cell.of(word(outcome)), Cell.of(counts.get(outcome)), Cell.of(words.get(outcome))))
                        .toList()));
        List<List<Cell>> changes = alignment.matches().stream()
                .filter(match -> match.outcome() != Outcome.UNCHANGED)
                .map(this::row)
                .toList();
        report.section(
                changes.isEmpty()
                        ? Report.Section.ofLine(text("report.compare.changes"), text("report.compare.none"))
                        : Report.Section.ofTable(
                                text("report.compare.changes"),
                                HEADS.stream()
                                        .map(head -> text("report.compare." + head))
                                        .toList(),
                                changes));
        List<SegmentMatch> others = alignment.isSame() ? translationsThatDiffer() : otherTranslations();
        if (!others.isEmpty()) {
            report.section(Report.Section.ofTable(
                    text("report.compare.translations"),
                    List.of(
                            text("report.compare.number-now"),
                            text("report.compare.source"),
                            text("report.compare.before"),
                            text("report.compare.after"),
                            text("report.compare.states")),
                    others.stream().map(this::translation).toList()));
        }
        return report.build();
    }

    private List<Cell> row(SegmentMatch match) {
        String before = sourceBefore(match);
        String after = sourceNow(match);
        boolean both = !match.old().isEmpty() && !match.now().isEmpty();
        TextDifference difference =
                both ? TextDifference.between(before, after) : new TextDifference(List.of(), List.of());
        String target = match.old().stream()
                .map(index -> target(old.segments().get(index)))
                .collect(Collectors.joining("\n"));
        return List.of(
                numbers(match.old()),
                numbers(match.now()),
                Cell.of(word(match.outcome())),
                Cell.of(kind(match)
                        .map(kind -> text("report.compare.kind." + kind.name().toLowerCase(Locale.ROOT)))
                        .orElse("")),
                both ? Cell.of(match.similarity()) : Cell.of(""),
                Cell.marked(before, difference.before()),
                Cell.marked(after, difference.after()),
                Cell.of(target));
    }

    private List<Cell> translation(SegmentMatch match) {
        Segment before = old.segments().get(match.old().get(0));
        Segment after = now.segments().get(match.now().get(0));
        TextDifference difference = TextDifference.between(target(before), target(after));
        List<Cell> cells = new ArrayList<>();
        cells.add(numbers(match.now()));
        cells.add(Cell.of(sourceNow(match)));
        cells.add(Cell.marked(target(before), difference.before()));
        cells.add(Cell.marked(target(after), difference.after()));
        String from = text("state." + before.state().name().toLowerCase(Locale.ROOT));
        String to = text("state." + after.state().name().toLowerCase(Locale.ROOT));
        cells.add(Cell.of(from.equals(to) ? to : from + " → " + to));
        return cells;
    }

    private static Cell numbers(List<Integer> indexes) {
        return indexes.size() == 1
                ? Cell.of(indexes.get(0) + 1)
                : Cell.of(
                        indexes.stream().map(index -> String.valueOf(index + 1)).collect(Collectors.joining(", ")));
    }

    private static String word(Outcome outcome) {
        return text("outcome." + outcome.word());
    }
}
