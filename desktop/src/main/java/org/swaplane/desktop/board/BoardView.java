package org.swaplane.desktop.board;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Track;

/** Every track of the lane as a road; the place to drop whatever arrives. */
public final class BoardView implements View {
    private final LaneSession session;
    private final FilePicker picker;
    private final VBox roads = Parts.styled(new VBox(), "roads");
    private final IntakePanel intake;
    private final Button choose;
    private final VBox node;

    public BoardView(LaneSession session, FilePicker picker) {
        this.session = session;
        this.picker = picker;
        this.intake = new IntakePanel(session, picker);
        this.choose = Parts.button("choose-files", "board.choose", () -> receive(picker));
        ScrollPane scroll = new ScrollPane(Parts.column(intake, roads));
        scroll.setFitToWidth(true);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        node = Parts.styled(
                new VBox(
                        Parts.row(Parts.title("view.board"), Parts.spacer(), choose),
                        Parts.quiet(Strings.say("board.drop")),
                        scroll),
                "view");
        session.intakes().property().addListener((property, before, now) -> {
            intake.show(now);
            refresh();
        });
        intake.show(session.intakes().property().get());
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
        roads.getChildren().clear();
        for (Track track : session.lane().tracks()) {
            roads.getChildren()
                    .add(new TrackCard(
                            session, picker, track, session.lane().trips().of(track)));
        }
        if (session.lane().tracks().isEmpty() && session.intakes().property().get() == null) {
            roads.getChildren().add(Parts.styled(Parts.quiet(Strings.say("board.empty")), "empty"));
        }
    }
}
