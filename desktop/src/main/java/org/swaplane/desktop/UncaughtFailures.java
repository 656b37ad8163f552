package org.swaplane.desktop;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Platform;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;

/**
 * What nobody caught is logged, and said in a window that is open: the one in which somebody works, else the one that was opened last.
 * Lives on the window's thread.
 */
final class UncaughtFailures {
    private static final Logger LOG = Logger.getLogger(UncaughtFailures.class.getName());
    private static final Map<Stage, Consumer<Throwable>> WINDOWS = new LinkedHashMap<>();

    private UncaughtFailures() {}

    /** Failures can be told to this window as long as it is open. */
    static void goTo(Stage stage, Consumer<Throwable> told) {
        Thread.setDefaultUncaughtExceptionHandler((thread, failure) -> {
            LOG.log(Level.SEVERE, "not caught in thread " + thread.getName(), failure);
            Platform.runLater(() -> say(failure));
        });
        stage.addEventHandler(WindowEvent.WINDOW_SHOWN, event -> WINDOWS.put(stage, told));
        stage.addEventHandler(WindowEvent.WINDOW_HIDDEN, event -> WINDOWS.remove(stage));
        if (stage.isShowing()) {
            WINDOWS.put(stage, told);
        }
    }

    /** Shows a failure in an open window; without one, the failure is logged. */
    static void say(Throwable failure) {
        window().ifPresentOrElse(
                        told -> told.accept(failure),
                        () -> LOG.log(Level.SEVERE, "without a window to say it in", failure));
    }

    private static Optional<Consumer<Throwable>> window() {
        Optional<Consumer<Throwable>> chosen = Optional.empty();
        for (Map.Entry<Stage, Consumer<Throwable>> each : WINDOWS.entrySet()) {
            if (each.getKey().isFocused()) {
                return Optional.of(each.getValue());
            }
            chosen = Optional.of(each.getValue());
        }
        return chosen;
    }
}
