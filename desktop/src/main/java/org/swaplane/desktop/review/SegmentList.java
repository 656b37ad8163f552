package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.List;
import javafx.application.Platform;
import javafx.collections.ObservableList;
import org.fxmisc.flowless.VirtualFlow;
import org.fxmisc.flowless.VirtualizedScrollPane;
import org.swaplane.desktop.session.LaneSession;

/** The rows of the segments; the current one stays at about a third of the height, so that what comes next is in sight. */
final class SegmentList {
    private static final double CURRENT_AT = 1 / 3.0;

    private final ObservableList<Integer> listed;
    private final List<SegmentRow> rows = new ArrayList<>();
    private final VirtualFlow<Integer, SegmentRow> flow;
    private final VirtualizedScrollPane<VirtualFlow<Integer, SegmentRow>> node;

    /** {@code changed} is told when other segments are chosen. */
    SegmentList(LaneSession session, SegmentBench bench, ReviewModel model, Runnable changed) {
        this.listed = model.listed();
        this.flow = VirtualFlow.createVertical(listed, index -> {
            SegmentRow row = new SegmentRow(index, session, bench, model, changed);
            rows.add(row);
            return row;
        });
        flow.setId("segments");
        this.node = new VirtualizedScrollPane<>(flow);
    }

    VirtualizedScrollPane<VirtualFlow<Integer, SegmentRow>> node() {
        return node;
    }

    /** What has the keyboard while the row of the current segment is not on the screen. */
    VirtualFlow<Integer, SegmentRow> flow() {
        return flow;
    }

    /** Draws the rows on the screen as their segments stand now. */
    void refresh() {
        rows.stream().filter(row -> row.getNode().getParent() != null).forEach(SegmentRow::refresh);
    }

    /** Draws all rows anew, since texts are drawn otherwise now. */
    void redraw() {
        rows.forEach(SegmentRow::forget);
        refresh();
    }

    /** Brings a row to its place, when the list is laid out. */
    void bring(int position) {
        Platform.runLater(() -> {
            if (position < listed.size()) {
                double height = flow.getHeight();
                flow.showAtOffset(position, height * CURRENT_AT);
                Platform.runLater(() -> makeRoom(position));
            }
        });
    }

    /** A row that does not fit below its place moves up, at most to the top. */
    void makeRoom(int position) {
        if (position >= listed.size()) {
            return;
        }
        flow.layout();
        if (flow.getCellIfVisible(position).isEmpty()) {
            // Rows higher than the window above it can keep it out of sight.
            flow.show(position);
            flow.layout();
        }
        flow.getCellIfVisible(position).ifPresent(row -> {
            double top = row.getNode().getBoundsInParent().getMinY();
            double height = row.getNode().getLayoutBounds().getHeight();
            if (top + height > flow.getHeight() || top < 0) {
                flow.showAtOffset(position, Math.max(0, Math.min(top, flow.getHeight() - height)));
            }
        });
    }
}
