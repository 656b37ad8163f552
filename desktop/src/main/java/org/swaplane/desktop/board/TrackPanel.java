package org.swaplane.desktop.board;

import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.LanguageNames;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.ForeignItem;
import org.swaplane.document.State;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackCounts;

/** The chosen track: its timeline at full size, its counts, and what stands in its way. */
final class TrackPanel extends VBox {
    /** Left and right of what stands in it. */
    private static final double EDGES = 34;

    private final LaneSession session;
    private final FilePicker picker;
    private final Label name = Controls.styled(new Label(), "heading");
    private final Label languages = Controls.quiet("");
    private final Label counts = Controls.quiet("");
    private final TrackTimeline timeline = new TrackTimeline(true);
    private final HBox blockers = Controls.styled(new HBox(), "blockers");
    private final Button foreign;
    private final Button change;
    private final Button versions;
    private BoardModel.Row shown;

    /** @param reread asks how a document is read */
    TrackPanel(LaneSession session, FilePicker picker, Consumer<Track> reread) {
        this.session = session;
        this.picker = picker;
        getStyleClass().addAll("card", "track");
        setId("track-panel");
        foreign = Controls.styled(Controls.button("show-foreign", "foreign.show", this::toggleForeign), "small");
        versions = Controls.styled(
                Controls.button("show-versions", "versions.show", () -> session.viewProperty()
                        .set(ViewId.COMPARE)),
                "small");
        change = Controls.styled(
                Controls.button("show-reread", "document.change", () -> reread.accept(shown.track())), "small");
        List.of(name, languages, counts).forEach(each -> {
            each.setWrapText(false);
            each.maxWidthProperty().bind(widthProperty().subtract(EDGES));
        });
        getChildren().addAll(Controls.wrapped(name, languages, counts, versions, change, foreign), timeline, blockers);
    }

    void show(BoardModel.Row row) {
        Controls.showIf(this, row != null);
        if (row == null) {
            return;
        }
        if (shown == null || shown.track() != row.track()) {
            getChildren().removeIf(ForeignPanel.class::isInstance);
        }
        shown = row;
        Track track = row.track();
        name.setText(track.name());
        languages.setText(Strings.text(
                "strip.languages",
                LanguageNames.withCode(track.summary().sourceLanguage()),
                LanguageNames.withCode(track.summary().targetLanguage())));
        TrackCounts of = track.summary().counts();
        counts.setText(Strings.text(
                "board.counts",
                of.all(),
                of.segments(State.INITIAL),
                of.segments(State.TRANSLATED),
                of.segments(State.REVIEWED) + of.segments(State.FINAL),
                of.lockedSegments()));
        versions.setText(Strings.text("versions.show", track.version().number()));
        Controls.showIf(foreign, !foreignItems().isEmpty());
        Controls.showIf(
                change,
                track.loaded().isPresent()
                        && track.loaded().get().isDocument()
                        && !session.lane().isReadOnly());
        timeline.show(track, row.trips(), session.lane().clock().instant());
        showBlockers(row);
    }

    /** What stands in the file of other tools; known when the file has been read. */
    private List<ForeignItem> foreignItems() {
        return shown.track().loaded().map(now -> now.document().foreign()).orElse(List.of());
    }

    private void toggleForeign() {
        if (!getChildren().removeIf(ForeignPanel.class::isInstance)) {
            ForeignPanel panel = new ForeignPanel(session, picker);
            panel.show(foreignItems());
            getChildren().add(panel);
        }
    }

    private void showBlockers(BoardModel.Row row) {
        Track track = row.track();
        blockers.getChildren().clear();
        if (!track.problem().isEmpty()) {
            block(track.problem());
            return;
        }
        if (session.lane().proofs().verdict(track).isEmpty()) {
            block(Strings.text("board.block.dry-run"));
        }
        if (!row.away().isEmpty()) {
            block(Strings.text("board.block.away", row.away().size()));
        }
        if (session.track() == track && session.checking().count() > 0) {
            block(Strings.text("board.block.findings", session.checking().count()));
        }
        int unreviewed = track.summary().counts().unreviewed();
        if (unreviewed > 0) {
            block(Strings.text("board.block.unreviewed", unreviewed));
        }
        if (blockers.getChildren().isEmpty()) {
            block(Strings.text("board.block.none"));
        }
    }

    private void block(String text) {
        Label label = Controls.styled(new Label(text), "blocker");
        label.setMinWidth(0);
        blockers.getChildren().add(label);
    }
}
