package org.swaplane.desktop.compare;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.beans.binding.DoubleExpression;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import org.swaplane.compare.Span;
import org.swaplane.compare.TextDifference;
import org.swaplane.content.TagNotation;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Directions;
import org.swaplane.document.Segment;
import org.swaplane.version.SegmentMatch;
import org.swaplane.version.VersionComparison;

/** One segment in two versions: what became of it, both sources with what differs marked, and its translation so far. */
final class CompareRow extends GridPane {
    private static final double GAP = 12;
    private static final double OUTCOME = 118;

    private final Label outcome = Controls.styled(new Label(), "compare-outcome");
    private final Label detail = Controls.quiet("");
    private final ContentFlow before = new ContentFlow();
    private final ContentFlow now = new ContentFlow();
    private final ContentFlow target = new ContentFlow();

    /** {@code width} is what it has from edge to edge. */
    CompareRow(DoubleExpression width) {
        getStyleClass().add("change-row");
        setHgap(GAP);
        ColumnConstraints narrow = new ColumnConstraints(OUTCOME);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setMinWidth(USE_PREF_SIZE);
        wide.setMaxWidth(USE_PREF_SIZE);
        wide.prefWidthProperty().bind(width.subtract(OUTCOME + 3 * GAP).divide(3));
        getColumnConstraints().setAll(narrow, wide, wide, wide);
        detail.setMinHeight(USE_PREF_SIZE);
        VBox what = Controls.styled(new VBox(outcome, detail), "column-tight");
        addRow(0, what, before, now, target);
        for (Node each : List.of(what, before, now, target)) {
            GridPane.setValignment(each, VPos.TOP);
        }
    }

    /** The source, and its translation before and after. */
    void showTranslations(SegmentMatch match, VersionComparison comparison) {
        Segment was = comparison.old().segments().get(match.old().get(0));
        Segment is = comparison.now().segments().get(match.now().get(0));
        outcome.setText(
                Strings.text(was.target().sameAs(is.target()) ? "compare.other-state" : "compare.other-translation"));
        String from = Strings.text("state." + was.state().name().toLowerCase(Locale.ROOT));
        String to = Strings.text("state." + is.state().name().toLowerCase(Locale.ROOT));
        detail.setText(numbers(match.now()) + "\n" + (from.equals(to) ? to : from + " → " + to));
        TextLanguage.of(comparison.now().sourceLanguage(), Directions.Direction.BY_LANGUAGE)
                .apply(before);
        TextLanguage language = TextLanguage.of(comparison.now().targetLanguage(), Directions.Direction.BY_LANGUAGE);
        language.apply(now);
        language.apply(target);
        String written = TagNotation.write(was.target(), was.source());
        String after = TagNotation.write(is.target(), is.source());
        TextDifference difference = TextDifference.between(written, after);
        before.showWritten(is.source(), TagNotation.write(is.source(), is.source()), List.of());
        now.showWritten(was.source(), written, difference.before());
        target.showWritten(is.source(), after, difference.after());
    }

    void show(SegmentMatch match, VersionComparison comparison) {
        outcome.setText(Strings.text("outcome." + match.outcome().word()));
        detail.setText(numbers(match.old())
                + (match.now().isEmpty() ? "" : " → " + numbers(match.now()))
                + comparison
                        .kind(match)
                        .map(kind -> "\n"
                                + Strings.text("compare.kind."
                                        + kind.name().toLowerCase(Locale.ROOT).replace('_', '-'))
                                + "\n" + Strings.text("side.proposal-score", match.similarity()))
                        .orElse(""));
        String was = comparison.sourceBefore(match);
        String is = comparison.sourceNow(match);
        boolean both = !match.old().isEmpty() && !match.now().isEmpty();
        TextDifference difference = both ? TextDifference.between(was, is) : new TextDifference(List.of(), List.of());
        TextLanguage source = TextLanguage.of(comparison.now().sourceLanguage(), Directions.Direction.BY_LANGUAGE);
        source.apply(before);
        source.apply(now);
        show(before, match.old(), comparison.old(), was, difference.before());
        show(now, match.now(), comparison.now(), is, difference.after());
        TextLanguage.of(comparison.old().targetLanguage(), Directions.Direction.BY_LANGUAGE)
                .apply(target);
        show(target, match.old(), comparison.old(), targets(match, comparison.old()), List.of());
    }

    /** One segment has its tags as chips; several stand one under the other as they are written. */
    private static void show(
            ContentFlow flow, List<Integer> indexes, BilingualDocument document, String written, List<Span> marked) {
        if (indexes.size() == 1) {
            flow.showWritten(document.segments().get(indexes.get(0)).source(), written, marked);
        } else {
            flow.show(written, marked);
        }
    }

    private static String targets(SegmentMatch match, BilingualDocument old) {
        return match.old().stream()
                .map(index -> old.segments().get(index))
                .map(segment -> TagNotation.write(segment.target(), segment.source()))
                .collect(Collectors.joining("\n"));
    }

    private static String numbers(List<Integer> indexes) {
        return indexes.stream().map(index -> String.valueOf(index + 1)).collect(Collectors.joining(", "));
    }
}
