package org.swaplane.desktop;

import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Platform;

/** What nobody caught is said in the window and logged; it never vanishes. */
final class UncaughtFailures {
    private static final Logger LOG = Logger.getLogger(UncaughtFailures.class.getName());

    private UncaughtFailures() {}

    /** From now on such failures are told there, on the window's thread. */
    static void goTo(Consumer<Throwable> told) {
        Thread.setDefaultUncaughtExceptionHandler((thread, failure) -> {
            LOG.log(Level.SEVERE, "not caught in thread " + thread.getName(), failure);
            Platform.runLater(() -> told.accept(failure));
        });
    }
}
