package org.swaplane.desktop;

import java.time.Instant;
import java.util.Optional;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.stage.Stage;
import org.swaplane.desktop.session.Defaults;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneHolder;

/** The window over one lane. */
public final class SwapLaneApplication extends Application {
    private static Lane lane;
    private static Optional<LaneHolder> holder = Optional.empty();

    private LaneSession session;

    /** JavaFX makes the application itself, so the open lane waits here for it. */
    static void start(Lane opened, Optional<LaneHolder> heldBy) {
        lane = opened;
        holder = heldBy;
        launch(SwapLaneApplication.class);
    }

    @Override
    public void start(Stage stage) {
        session = new LaneSession(lane, Defaults.ofPerson());
        UncaughtFailures.goTo(session);
        Scene scene = Window.scene(session, new DialogPicker(stage), file -> getHostServices()
                .showDocument(file.toUri().toString()));
        stage.setTitle(Strings.say("app.title", session.lane().name()));
        stage.setScene(scene);
        WindowPlace.remembered(stage);
        UnsavedWork.guard(stage, session);
        stage.show();
        holder.ifPresent(other -> session.notify(
                Notification.Tone.FAILED,
                Strings.say("lane.in-use", other.user(), other.machine(), other.process(), since(other))));
    }

    private static String since(LaneHolder holder) {
        return holder.since().isEmpty() ? "?" : Dates.minute(Instant.parse(holder.since()));
    }

    /** Writes what is still to be written; the window is gone by then. */
    @Override
    public void stop() throws InterruptedException {
        Thread closing = new Thread(session::close, "closing");
        closing.start();
        closing.join();
    }
}
