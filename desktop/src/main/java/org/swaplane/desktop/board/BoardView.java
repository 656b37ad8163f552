package org.swaplane.desktop.board;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Track;

/** Every track of the lane as a road; the place to drop whatever arrives. Only what is on the screen is drawn. */
public final class BoardView implements View {
    public static final ViewDescriptor DESCRIPTOR = new ViewDescriptor(
            ViewId.BOARD, session -> 0, context -> new BoardView(context.session(), context.picker()));

    private final LaneSession session;
    private final FilePicker picker;
    private final ListView<Track> tracks = Parts.styled(new ListView<>(), "roads");
    private final IntakePanel intake;
    private final ScrollPane intakeScroll;
    private final Button choose;
    private final VBox node;

    public BoardView(LaneSession session, FilePicker picker) {
        this.session = session;
        this.picker = picker;
        this.intake = new IntakePanel(session, picker);
        this.choose = Parts.button("choose-files", "board.choose", () -> receive(picker));
        tracks.setId("tracks");
        tracks.setFocusTraversable(false);
        tracks.setCellFactory(list -> new TrackCell());
        tracks.setPlaceholder(Parts.styled(Parts.quiet(Strings.say("board.empty")), "empty"));
        intakeScroll = new ScrollPane(intake);
        intakeScroll.setFitToWidth(true);
        List.of(tracks, intakeScroll).forEach(each -> VBox.setVgrow(each, Priority.ALWAYS));
        node = Parts.styled(
                new VBox(
                        Parts.row(Parts.title("view.board"), Parts.spacer(), choose),
                        Parts.quiet(Strings.say("board.drop")),
                        intakeScroll,
                        tracks),
                "view");
        session.intakes().property().addListener((property, before, now) -> showIntake());
        showIntake();
    }

    /** What waits to be added needs the room; the roads come back when it is decided on. */
    private void showIntake() {
        boolean waits = session.intakes().property().get() != null;
        intake.show(session.intakes().property().get());
        Parts.showIf(intakeScroll, waits);
        Parts.showIf(tracks, !waits);
        refresh();
    }

    private void receive(FilePicker from) {
        List<Path> files = from.chooseFiles();
        if (!files.isEmpty()) {
            session.intakes().receive(files);
        }
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        choose.requestFocus();
    }

    @Override
    public void refresh() {
        if (!tracks.getItems().equals(session.lane().tracks())) {
            tracks.getItems().setAll(session.lane().tracks());
        } else {
            tracks.refresh();
        }
    }

    private final class TrackCell extends ListCell<Track> {
        private TrackCell() {
            setPrefWidth(0);
        }

        @Override
        protected void updateItem(Track track, boolean empty) {
            super.updateItem(track, empty);
            setGraphic(
                    empty
                            ? null
                            : new TrackCard(
                                    session,
                                    picker,
                                    track,
                                    session.lane().trips().of(track)));
        }
    }
}
