package org.swaplane.desktop;

import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import javafx.animation.PauseTransition;
import javafx.event.Event;
import javafx.event.EventHandler;
import javafx.scene.input.InputEvent;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import javafx.util.Duration;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Strings;

/**
 * Closes a window in order: what was typed is written while the window stays, then everything ends, and then the window goes. What cannot be
 * written keeps it open, until it is closed a second time. Lives on the window's thread.
 */
final class WindowClosing {
    private static final Duration LONG = Duration.millis(300);
    private static final long WARNING_HOLDS_NANOS = TimeUnit.MINUTES.toNanos(1);

    private final Stage stage;
    private final LaneSession session;
    private final Supplier<Optional<String>> objection;
    private final Runnable leaving;
    private final Supplier<CompletableFuture<Void>> after;
    private final CompletableFuture<Void> gone = new CompletableFuture<>();
    private final EventHandler<InputEvent> nothingMore = Event::consume;
    private Phase phase = Phase.OPEN;
    private long warnedUntil = System.nanoTime();

    private enum Phase {
        OPEN,
        /** What was typed is being written. */
        SAVING,
        /** There is no way back. */
        ENDING
    }

    /**
     * Closes a window this way from now on.
     *
     * @param objection why its work should not end yet, as a sentence; asked when all that was typed is written
     * @param leaving called before the end, while the session is whole
     * @param after what is to be done when the lane is closed, before the window goes
     */
    WindowClosing(
            Stage stage,
            LaneSession session,
            Supplier<Optional<String>> objection,
            Runnable leaving,
            Supplier<CompletableFuture<Void>> after) {
        this.stage = stage;
        this.session = session;
        this.objection = objection;
        this.leaving = leaving;
        this.after = after;
        stage.addEventFilter(WindowEvent.WINDOW_CLOSE_REQUEST, event -> {
            event.consume();
            asked();
        });
        stage.setOnHidden(event -> end());
    }

    /** Whether the window is about to go. */
    boolean isEnding() {
        return phase == Phase.ENDING;
    }

    /** Done when the window is gone and its lane can be opened again. */
    CompletableFuture<Void> gone() {
        return gone;
    }

    private void asked() {
        if (phase == Phase.OPEN) {
            save();
        } else if (phase == Phase.ENDING && session.editing().isFailing()) {
            session.editing().abandon();
        }
    }

    private void save() {
        phase = Phase.SAVING;
        session.editing().left();
        stage.getScene().addEventFilter(InputEvent.ANY, nothingMore);
        PauseTransition takesLong = new PauseTransition(LONG);
        takesLong.setOnFinished(event -> session.notify(Notification.Tone.DONE, Strings.text("window.closing")));
        takesLong.play();
        gone.whenComplete((none, failure) -> takesLong.stop());
        session.editing().settled().thenRun(() -> {
            Optional<String> why = objections();
            if (why.isPresent() && System.nanoTime() - warnedUntil >= 0) {
                takesLong.stop();
                stay(why.get());
            } else {
                session.editing().abandon();
                end();
            }
        });
    }

    private Optional<String> objections() {
        if (session.editing().isFailing()) {
            return Optional.of(Strings.text("window.unsaved"));
        }
        if (session.editing().undecided() > 0) {
            return Optional.of(
                    Strings.text("window.undecided", session.editing().undecided()));
        }
        return objection.get();
    }

    /** Goes on as before; closed once more soon, the window goes without what is not written. */
    private void stay(String why) {
        phase = Phase.OPEN;
        warnedUntil = System.nanoTime() + WARNING_HOLDS_NANOS;
        stage.getScene().removeEventFilter(InputEvent.ANY, nothingMore);
        session.notify(Notification.Tone.FAILED, why);
    }

    private void end() {
        if (phase == Phase.ENDING) {
            return;
        }
        phase = Phase.ENDING;
        leaving.run();
        session.close()
                .whenComplete((none, failure) -> {
                    if (failure != null) {
                        UncaughtFailures.say(failure);
                    }
                })
                .exceptionally(failure -> null)
                .thenCompose(none -> after.get())
                .whenComplete((none, failure) -> {
                    stage.hide();
                    gone.complete(null);
                });
    }
}
