package org.swaplane.desktop;

import javafx.application.Application;
import javafx.scene.Scene;
import javafx.stage.Stage;
import org.swaplane.desktop.session.Defaults;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Lane;

/** The window over one lane. */
public final class SwapLaneApplication extends Application {
    private static Lane lane;

    private LaneSession session;

    /** JavaFX makes the application itself, so the open lane waits here for it. */
    static void start(Lane opened) {
        lane = opened;
        launch(SwapLaneApplication.class);
    }

    @Override
    public void start(Stage stage) {
        session = new LaneSession(lane, Defaults.ofPerson());
        Scene scene = Window.scene(session, new DialogPicker(stage), file -> getHostServices()
                .showDocument(file.toUri().toString()));
        stage.setTitle(Strings.say("app.title", session.lane().name()));
        stage.setScene(scene);
        stage.setWidth(1280);
        stage.setHeight(800);
        stage.show();
    }

    @Override
    public void stop() {
        session.close();
    }
}
