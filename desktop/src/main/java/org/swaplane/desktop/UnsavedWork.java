package org.swaplane.desktop;

import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Strings;

/** Keeps a window from being closed over work that could not be saved; closed a second time, it goes. */
final class UnsavedWork {
    private final LaneSession session;
    private boolean warned;

    private UnsavedWork(LaneSession session) {
        this.session = session;
    }

    static void guard(Stage stage, LaneSession session) {
        stage.addEventFilter(WindowEvent.WINDOW_CLOSE_REQUEST, new UnsavedWork(session)::closing);
    }

    private void closing(WindowEvent event) {
        if (session.editing().isFailing() && !warned) {
            warned = true;
            session.notify(Notification.Tone.FAILED, Strings.text("window.unsaved"));
            event.consume();
        }
    }
}
