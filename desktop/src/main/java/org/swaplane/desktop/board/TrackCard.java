package org.swaplane.desktop.board;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.ForeignItem;
import org.swaplane.lane.Track;
import org.swaplane.lane.Trip;

/** One track: its road, what stands in its way, and the next step. */
final class TrackCard extends VBox {
    private final LaneSession session;
    private final FilePicker picker;
    private final Track track;

    TrackCard(LaneSession session, FilePicker picker, Track track, List<Trip> trips) {
        this.session = session;
        this.picker = picker;
        this.track = track;
        getStyleClass().addAll("card", "track");
        Label languages = Parts.quiet(Strings.say(
                "strip.languages",
                track.summary().sourceLanguage(),
                track.summary().targetLanguage()));
        HBox head = Parts.row(Parts.styled(new Label(track.name()), "heading"), languages, Parts.spacer());
        if (!foreign().isEmpty()) {
            head.getChildren()
                    .add(Parts.styled(Parts.button("show-foreign", "foreign.show", this::toggleForeign), "small"));
        }
        ViewId next = next(trips);
        Button step = Parts.primary("next-step", "board.next." + next.name(), () -> go(next));
        getChildren()
                .addAll(head, new Road(track, trips, session.lane()), Parts.row(blockers(trips), Parts.spacer(), step));
    }

    /** What stands in the file of other tools; known when the file has been read. */
    private List<ForeignItem> foreign() {
        return track.loaded().map(now -> now.document().foreign()).orElse(List.of());
    }

    private void toggleForeign() {
        if (!getChildren().removeIf(ForeignPanel.class::isInstance)) {
            ForeignPanel panel = new ForeignPanel(session, picker);
            panel.show(foreign());
            getChildren().add(panel);
        }
    }

    private void go(ViewId view) {
        if (session.track() != track) {
            session.choose(track);
        }
        session.viewProperty().set(view);
        if (view.equals(ViewId.DRY_RUN)) {
            session.dryRuns().run();
        }
    }

    /** What to do next with this track. */
    private ViewId next(List<Trip> trips) {
        if (session.lane().proofs().verdict(track).isEmpty()) {
            return ViewId.DRY_RUN;
        }
        if (trips.isEmpty() || trips.stream().anyMatch(trip -> trip.back().isEmpty())) {
            return ViewId.EXCHANGE;
        }
        if (session.track() == track && session.checking().count() > 0) {
            return ViewId.CHECKS;
        }
        return unreviewed() > 0 ? ViewId.REVIEW : ViewId.RELEASE;
    }

    private int unreviewed() {
        return track.summary().counts().unreviewed();
    }

    private HBox blockers(List<Trip> trips) {
        HBox row = Parts.styled(new HBox(), "blockers");
        if (!track.problem().isEmpty()) {
            add(row, track.problem());
            return row;
        }
        long away = trips.stream().filter(trip -> trip.back().isEmpty()).count();
        if (session.lane().proofs().verdict(track).isEmpty()) {
            add(row, Strings.say("board.block.dry-run"));
        }
        if (away > 0) {
            add(row, Strings.say("board.block.away", away));
        }
        if (session.track() == track && session.checking().count() > 0) {
            add(row, Strings.say("board.block.findings", session.checking().count()));
        }
        if (unreviewed() > 0) {
            add(row, Strings.say("board.block.unreviewed", unreviewed()));
        }
        if (row.getChildren().isEmpty()) {
            add(row, Strings.say("board.block.none"));
        }
        return row;
    }

    private static void add(HBox row, String text) {
        Label label = Parts.styled(new Label(text), "blocker");
        label.setMinWidth(0);
        row.getChildren().add(label);
    }
}
