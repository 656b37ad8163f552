package org.swaplane.desktop.review;

import java.util.List;
import java.util.function.IntConsumer;
import javafx.css.PseudoClass;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.fxmisc.flowless.Cell;
import org.swaplane.check.Finding;
import org.swaplane.compare.Span;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.LaneMark;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.Segment;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;

/** One segment of the list; the one in hand opens up and holds the bench on which it is worked at. */
final class SegmentRow implements Cell<Integer, Node> {
    private static final PseudoClass IN_HAND = PseudoClass.getPseudoClass("in-hand");
    private static final PseudoClass LOCKED = PseudoClass.getPseudoClass("locked");

    /** Room for the longest word for a state, with its mark. */
    private static final double STATES = 36 + Parts.widest(LaneMark.allWords());

    private final LaneSession session;
    private final SegmentBench bench;
    private final GridPane grid = Parts.styled(new GridPane(), "segment-row");
    private final Label number = Parts.styled(new Label(), "row-number");
    private final ContentFlow source = new ContentFlow();
    private final ContentFlow target = new ContentFlow();
    private final VBox targetCell = new VBox(target);
    private final LaneMark mark = new LaneMark();
    private final Label state = Parts.styled(new Label(), "state-word");
    private final Label found = Parts.styled(new Label(), "found");
    private int index;
    private Shown shown;
    private ShownSource shownSource;

    /** What the row was drawn from. */
    private record Shown(Segment segment, Value value, List<Finding> findings, boolean inHand) {}

    private record ShownSource(Segment segment, List<Span> marked) {}

    SegmentRow(int index, LaneSession session, SegmentBench bench, IntConsumer chosen) {
        this.session = session;
        this.bench = bench;
        ColumnConstraints wide = new ColumnConstraints(60, 100, Double.MAX_VALUE);
        wide.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().setAll(new ColumnConstraints(44), wide, wide, new ColumnConstraints(STATES));
        VBox states = Parts.styled(new VBox(Parts.styled(new HBox(mark, state), "state"), found), "column-tight");
        grid.addRow(0, number, source, targetCell, states);
        grid.getChildren().forEach(child -> GridPane.setValignment(child, VPos.TOP));
        grid.setOnMousePressed(event -> {
            if (session.currentProperty().get() != this.index) {
                chosen.accept(this.index);
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

    /** Draws the segment as it stands now. */
    void refresh() {
        TrackSnapshot track = session.snapshot();
        if (track == null || index >= track.size()) {
            return;
        }
        Segment segment = track.segment(index);
        boolean inHand = session.currentProperty().get() == index;
        List<Finding> findings = session.checking().open(index);
        Shown now = new Shown(segment, track.value(index), findings, inHand);
        if (now.equals(shown)) {
            if (inHand) {
                bench.moveTo(grid, targetCell, index);
            }
            return;
        }
        shown = now;
        TagNumbers numbers = TagNumbers.of(segment.source());
        number.setText(String.valueOf(index + 1));
        showSource(segment, numbers, findings);
        mark.show(track.state(index), segment.locked());
        state.setText(LaneMark.words(track.state(index), segment.locked()));
        found.setText(findings.isEmpty() ? "" : Strings.say("review.found", findings.size()));
        found.setManaged(!findings.isEmpty());
        grid.pseudoClassStateChanged(IN_HAND, inHand);
        grid.pseudoClassStateChanged(LOCKED, segment.locked());
        if (inHand) {
            bench.moveTo(grid, targetCell, index);
        } else {
            TextLanguage.of(
                            track.targetLanguage(index),
                            session.directions(index).target())
                    .apply(target);
            target.show(
                    track.target(index),
                    numbers,
                    findings.stream()
                            .flatMap(each -> each.target().stream())
                            .sorted()
                            .toList());
            grid.getChildren().remove(bench);
            if (!targetCell.getChildren().equals(List.of(target))) {
                targetCell.getChildren().setAll(target);
            }
        }
    }

    /** Laid out anew only when something about it changed: a letter in the target changes nothing here. */
    private void showSource(Segment segment, TagNumbers numbers, List<Finding> findings) {
        List<Span> marked = findings.stream()
                .flatMap(each -> each.source().stream())
                .sorted()
                .toList();
        ShownSource now = new ShownSource(segment, marked);
        if (!now.equals(shownSource)) {
            shownSource = now;
            TextLanguage.of(
                            session.snapshot().sourceLanguage(index),
                            session.directions(index).source())
                    .apply(source);
            source.show(segment.source(), numbers, marked);
        }
    }
}
