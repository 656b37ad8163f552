package org.swaplane.desktop;

import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Platform;
import org.swaplane.desktop.session.LaneSession;

/** What nobody caught is said in the window and logged; it never vanishes. */
final class UncaughtFailures {
    private static final Logger LOG = Logger.getLogger(UncaughtFailures.class.getName());

    private UncaughtFailures() {}

    /** From now on such failures are said by this session. */
    static void goTo(LaneSession session) {
        Thread.setDefaultUncaughtExceptionHandler((thread, failure) -> {
            LOG.log(Level.SEVERE, "not caught in thread " + thread.getName(), failure);
            Platform.runLater(() -> session.failed(failure));
        });
    }
}
