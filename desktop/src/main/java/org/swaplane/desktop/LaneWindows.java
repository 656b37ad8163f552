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
import java.util.concurrent.CopyOnWriteArrayList;
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

/** The windows of one program: all lanes of the person, and one for each lane that is open. */
final class LaneWindows {
    private final PersonSettings person;
    private final FileOpener opener;
    private final Map<Path, Stage> open = new HashMap<>();
    private final Map<Path, LaneSession> sessions = new HashMap<>();
    private final List<Thread> closing = new CopyOnWriteArrayList<>();
    private Stage lanes;
    private LanesView lanesView;
    private LanesModel model;

    /** A lane that was opened, and who else has it, so that it can only be looked at. */
    record Opened(Lane lane, Optional<LaneHolder> holder) {}

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
        UncaughtFailures.goTo(failure -> model.failed(failure));
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
        if (open.containsKey(folder)) {
            open.get(folder).toFront();
            open.get(folder).requestFocus();
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
        UncaughtFailures.goTo(session::failed);
        Scene scene = Window.scene(session, new DialogPicker(stage, person), opener, Optional.of(this::showLanes));
        stage.setTitle(Strings.text("app.title", lane.name()));
        stage.setScene(scene);
        WindowPlace.remembered(stage);
        UnsavedWork.guard(stage, session);
        open.put(folder, stage);
        sessions.put(folder, session);
        person.opened(folder, Instant.now());
        LanePlace.restore(session, person);
        stage.setOnHidden(event -> hidden(folder, session));
        stage.show();
        opened.holder()
                .ifPresent(other -> session.notify(
                        Notification.Tone.FAILED,
                        Strings.text("lane.in-use", other.user(), other.machine(), other.process(), since(other))));
    }

    /** Closing waits for the disk, which the other windows must not. */
    private void hidden(Path folder, LaneSession session) {
        LanePlace.remember(session, person);
        open.remove(folder);
        sessions.remove(folder);
        Thread last = new Thread(session::close, "closing");
        last.start();
        closing.add(last);
    }

    private static String since(LaneHolder holder) {
        return holder.since().isEmpty() ? "?" : Dates.minute(Instant.parse(holder.since()));
    }

    /** Writes what is still to be written; the windows are gone by then. */
    void close() throws InterruptedException {
        for (LaneSession session : sessions.values()) {
            Thread last = new Thread(session::close, "closing");
            last.start();
            closing.add(last);
        }
        for (Thread each : closing) {
            each.join();
        }
        PersonSettings.settle();
    }

    /** Whether a path leads to a lane: its folder, or a file in it. */
    static Path folderOf(Path chosen) {
        Path path = chosen.toAbsolutePath().normalize();
        return Files.isRegularFile(path) ? path.getParent() : path;
    }
}
