package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.fxmisc.flowless.Cell;
import org.swaplane.check.Finding;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.LaneMark;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.Segment;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;

/** One segment of the list; the current one opens up and holds the bench on which it is worked at. */
final class SegmentRow implements Cell<Integer, Node> {
    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final PseudoClass LOCKED = PseudoClass.getPseudoClass("locked");

    private static final double GUTTER = 40;
    private static final double STATES = 32;

    private final LaneSession session;
    private final SegmentBench bench;
    private final ReviewModel model;
    private final GridPane grid = Controls.styled(new GridPane(), "segment-row");
    private final Label number = Controls.styled(new Label(), "row-number");
    private final ContentFlow source = new ContentFlow();
    private final ContentFlow target = new ContentFlow();
    private final VBox targetCell = new VBox(target);
    private final LaneMark mark = new LaneMark();
    private final Tooltip state = new Tooltip();
    private final Label draft = Controls.styled(new Label(Strings.text("review.draft")), "row-note");
    private final Label noted = Controls.styled(new Label(), "row-note");
    private final Label found = Controls.styled(new Label(), "found");
    private int index;
    private Shown shown;
    private ShownSource shownSource;

    /** What the row was drawn from. */
    private record Shown(
            Segment segment,
            Value value,
            List<Finding> findings,
            List<Span> terms,
            String search,
            boolean current,
            boolean chosen,
            String marks) {}

    private record ShownSource(Segment segment, List<Span> marked, List<Span> hits, List<Span> terms) {}

    SegmentRow(int index, LaneSession session, SegmentBench bench, ReviewModel model, Runnable changed) {
        this.session = session;
        this.bench = bench;
        this.model = model;
        ColumnConstraints wide = new ColumnConstraints(60, 100, Double.MAX_VALUE);
        wide.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().setAll(new ColumnConstraints(GUTTER), wide, wide, new ColumnConstraints(STATES));
        VBox states = Controls.styled(new VBox(mark, found, draft, noted), "row-state");
        Tooltip.install(states, state);
        grid.addRow(0, number, source, targetCell, states);
        grid.getChildren().forEach(child -> GridPane.setValignment(child, VPos.TOP));
        grid.setOnMousePressed(event -> {
            if (event.isShortcutDown()) {
                model.toggleChosen(this.index);
                changed.run();
            } else if (event.isShiftDown()) {
                model.chooseTo(this.index);
                changed.run();
            } else if (session.currentProperty().get() != this.index) {
                model.choose(this.index);
            }
        });
        updateItem(index);
    }

    @Override
    public GridPane getNode() {
        return grid;
    }

    @Override
    public boolean isReusable() {
        return true;
    }

    @Override
    public void updateItem(Integer item) {
        index = item;
        refresh();
    }

    /** The target beside the source, or below it. */
    private void place() {
        boolean stacked = session.person().isStacked();
        GridPane.setColumnSpan(source, stacked ? 2 : 1);
        GridPane.setColumnIndex(targetCell, stacked ? 1 : 2);
        GridPane.setRowIndex(targetCell, stacked ? 1 : 0);
        GridPane.setColumnSpan(targetCell, stacked ? 2 : 1);
    }

    /** What is drawn is drawn anew the next time. */
    void forget() {
        shown = null;
        shownSource = null;
    }

    /** Draws the segment as it stands now. */
    void refresh() {
        TrackSnapshot track = session.snapshot();
        if (track == null || index >= track.size()) {
            return;
        }
        Segment segment = track.segment(index);
        boolean current = session.currentProperty().get() == index;
        List<Finding> findings = session.checking().open(index);
        Shown now = new Shown(
                segment,
                track.value(index),
                findings,
                joined(model.terms(index), model.spoken(index)),
                model.searched(),
                current,
                model.chosen().contains(index),
                marks(segment.key()));
        if (!now.equals(shown)) {
            shown = now;
            show(track, now);
        }
        if (current) {
            bench.moveTo(grid, targetCell, index);
        }
    }

    private static List<Span> joined(List<Span> one, List<Span> other) {
        List<Span> all = new ArrayList<>(one);
        all.addAll(other);
        return all;
    }

    /** Signs of a bookmark and of open notes. */
    private String marks(String key) {
        String bookmark = session.annotations().isBookmarked(key) ? "◆" : "";
        boolean open = session.annotations().of(key).stream().anyMatch(note -> !note.settled());
        return open ? bookmark + "✎" : bookmark;
    }

    private void show(TrackSnapshot track, Shown now) {
        place();
        Segment segment = now.segment();
        TagNumbers numbers = TagNumbers.of(segment.source());
        number.setText(String.valueOf(index + 1));
        showSource(segment, numbers, now.findings());
        mark.show(now.value().state(), segment.locked());
        state.setText(LaneMark.words(now.value().state(), segment.locked()));
        grid.setAccessibleText(Strings.text(
                "review.row",
                index + 1,
                LaneMark.words(now.value().state(), segment.locked()),
                segment.source().plainText(),
                now.value().target().plainText(),
                now.findings().size()));
        found.setText(String.valueOf(now.findings().size()));
        found.setAccessibleText(Strings.text("review.found", now.findings().size()));
        Controls.showIf(found, !now.findings().isEmpty());
        Controls.showIf(draft, now.value().isDraft());
        noted.setText(now.marks());
        Controls.showIf(noted, !now.marks().isEmpty());
        grid.pseudoClassStateChanged(CURRENT, now.current());
        grid.pseudoClassStateChanged(CHOSEN, now.chosen());
        grid.pseudoClassStateChanged(LOCKED, segment.locked());
        if (!now.current()) {
            showTarget(track, numbers, now.findings());
        }
    }

    private void showTarget(TrackSnapshot track, TagNumbers numbers, List<Finding> findings) {
        TextLanguage.of(track.targetLanguage(index), session.directions(index).target())
                .apply(target);
        Content content = track.target(index);
        List<Span> marked = findings.stream()
                .flatMap(each -> each.target().stream())
                .sorted()
                .toList();
        target.show(content, numbers, marked, model.hits(content));
        grid.getChildren().remove(bench);
        if (!targetCell.getChildren().equals(List.of(target))) {
            targetCell.getChildren().setAll(target);
        }
    }

    /** Laid out anew only when something about it changed: a letter in the target changes nothing here. */
    private void showSource(Segment segment, TagNumbers numbers, List<Finding> findings) {
        List<Span> marked = findings.stream()
                .flatMap(each -> each.source().stream())
                .sorted()
                .toList();
        List<Span> hits = model.spoken(index).isEmpty() ? model.hits(segment.source()) : model.spoken(index);
        ShownSource now = new ShownSource(segment, marked, hits, model.terms(index));
        if (!now.equals(shownSource)) {
            shownSource = now;
            TextLanguage.of(
                            session.snapshot().sourceLanguage(index),
                            session.directions(index).source())
                    .apply(source);
            source.show(segment.source(), numbers, marked, hits, now.terms());
        }
    }
}
