package org.swaplane.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import javafx.application.HostServices;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;
import org.swaplane.desktop.lanes.LanesModel;
import org.swaplane.desktop.lanes.LanesView;
import org.swaplane.desktop.lanes.PersonPane;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.theme.Theme;
import org.swaplane.format.FormatRegistry;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneHolder;
import org.swaplane.lane.LaneInUseException;
import org.swaplane.task.Closing;

/** The windows of one program: all lanes of the person, and one for each lane that is open. */
final class LaneWindows {
    private final PersonSettings person;
    private final FileOpener opener;
    /** Those whose lane is not closed yet. */
    private final Map<Path, OpenWindow> open = new HashMap<>();

    private Stage lanes;
    private LanesView lanesView;
    private LanesModel model;

    /** A lane that was opened, and who else has it, so that it can only be looked at. */
    record Opened(Lane lane, Optional<LaneHolder> holder) {}

    private record OpenWindow(Stage stage, LaneSession session, WindowClosing closing) {}

    LaneWindows(PersonSettings person, HostServices services) {
        this.person = person;
        this.opener = address -> services.showDocument(address.toString());
    }

    /** Opens a lane; one that another program has open can be looked at. Not for the window's thread. */
    static Opened openLane(Path folder) throws IOException {
        try {
            return new Opened(Lane.open(folder, FormatRegistry.ofInstalled(), Clock.systemUTC()), Optional.empty());
        } catch (LaneInUseException e) {
            return new Opened(
                    Lane.openForReading(folder, FormatRegistry.ofInstalled(), Clock.systemUTC()),
                    Optional.of(e.holder()));
        }
    }

    /** Shows the window of all lanes. */
    void showLanes() {
        if (lanes == null) {
            makeLanes();
        }
        lanes.show();
        lanes.toFront();
        lanesView.refresh();
    }

    private void makeLanes() {
        lanes = new Stage();
        model = new LanesModel(person, Clock.systemUTC(), Platform::runLater, this::open);
        DialogPicker picker = new DialogPicker(lanes, person);
        lanesView = new LanesView(model, picker, opener, () -> check(picker), new PersonPane(person, picker));
        Scene scene = new Scene(lanesView, 1280, 800);
        new Theme(scene, person);
        lanes.setTitle(Strings.text("app.name"));
        lanes.setScene(scene);
        WindowPlace.remembered(lanes);
        UncaughtFailures.goTo(lanes, model::failed);
    }

    private void check(DialogPicker picker) {
        List<Path> files = picker.chooseFiles();
        if (!files.isEmpty()) {
            AdHocCheckWindow.open(files, opener, person, model.background());
        }
    }

    /** Opens the window of the lane in a folder, or brings it to the front. A folder without a lane is said. */
    private void open(Path chosen) {
        Path folder = chosen.toAbsolutePath().normalize();
        OpenWindow there = open.get(folder);
        if (there != null && there.closing().isEnding()) {
            // It is still writing; opened beside that, the lane could only be looked at.
            there.closing().gone().thenRun(() -> open(folder));
            return;
        }
        if (there != null) {
            there.stage().toFront();
            there.stage().requestFocus();
            return;
        }
        model.background()
                .run(
                        Strings.text("task.open-lane", folder.getFileName().toString()),
                        progress -> openLane(folder),
                        opened -> {
                            show(new Stage(), opened);
                            lanes.hide();
                        });
    }

    /** Shows the window of a lane that is open. */
    void show(Stage stage, Opened opened) {
        Lane lane = opened.lane();
        Path folder = lane.folder().toAbsolutePath().normalize();
        LaneSession session = new LaneSession(lane, person);
        UncaughtFailures.goTo(stage, session::failed);
        Scene scene = Window.scene(session, new DialogPicker(stage, person), opener, Optional.of(this::showLanes));
        stage.setTitle(Strings.text("app.title", lane.name()));
        stage.setScene(scene);
        WindowPlace.remembered(stage);
        WindowClosing closing = new WindowClosing(
                stage,
                session,
                Optional::empty,
                () -> LanePlace.remember(session, person),
                () -> CompletableFuture.completedFuture(null));
        open.put(folder, new OpenWindow(stage, session, closing));
        closing.gone().thenRun(() -> open.remove(folder));
        person.opened(folder, Instant.now());
        LanePlace.restore(session, person);
        stage.show();
        opened.holder()
                .ifPresent(other -> session.notify(
                        Notification.Tone.FAILED,
                        Strings.text("lane.in-use", other.user(), other.machine(), other.process(), since(other))));
    }

    private static String since(LaneHolder holder) {
        return holder.since().isEmpty() ? "?" : Dates.minute(Instant.parse(holder.since()));
    }

    /** The end of the program: what is still open is closed in order, and waited for. */
    void close() throws InterruptedException {
        Closing.inOrder(Stream.concat(
                        open.values().stream().map(each ->
                                (AutoCloseable) () -> each.session().closeAndWait()),
                        Stream.of((AutoCloseable) PersonSettings::settle))
                .toArray(AutoCloseable[]::new));
    }

    /** Whether a path leads to a lane: its folder, or a file in it. */
    static Path folderOf(Path chosen) {
        Path path = chosen.toAbsolutePath().normalize();
        return Files.isRegularFile(path) ? path.getParent() : path;
    }
}
