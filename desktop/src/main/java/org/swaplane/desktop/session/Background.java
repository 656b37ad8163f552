package org.swaplane.desktop.session;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.concurrent.Task;
import org.swaplane.task.CancelledException;
import org.swaplane.task.Progress;

/** Starts all long work, one piece after the other, away from the window; shows the progress of the one that runs. */
public final class Background {
    private final ExecutorService executor = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "background");
        thread.setDaemon(true);
        return thread;
    });
    private final ReadOnlyStringWrapper words = new ReadOnlyStringWrapper("");
    private final ReadOnlyDoubleWrapper progress = new ReadOnlyDoubleWrapper(-1);
    private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper();
    private final Consumer<Throwable> failed;
    private Task<?> running;
    private int waiting;

    /** Every failure goes to {@code failed}, on the window's thread. */
    public Background(Consumer<Throwable> failed) {
        this.failed = failed;
    }

    /** Work in the background. */
    public interface Job<T> {
        T run(Progress progress) throws Exception;
    }

    /** Runs {@code job} after those that wait, named in {@code what}; gives its result to {@code done} on the window's thread. */
    public <T> void run(String what, Job<T> job, Consumer<T> done) {
        Task<T> task = new Task<>() {
            @Override
            protected T call() throws Exception {
                return job.run(new Progress() {
                    @Override
                    public void at(long done, long total) {
                        updateProgress(total == 0 ? -1 : done, total);
                    }

                    @Override
                    public boolean cancelled() {
                        return isCancelled();
                    }
                });
            }
        };
        task.setOnRunning(event -> {
            running = task;
            words.set(what);
            progress.bind(task.progressProperty());
        });
        task.setOnSucceeded(event -> ended(task, () -> done.accept(task.getValue())));
        task.setOnCancelled(event -> ended(task, () -> {}));
        task.setOnFailed(event -> ended(task, () -> {
            if (!(task.getException() instanceof CancelledException)) {
                failed.accept(task.getException());
            }
        }));
        waiting++;
        busy.set(true);
        executor.execute(task);
    }

    /** What follows may start another task; between the two nobody sees the window idle. */
    private void ended(Task<?> task, Runnable after) {
        if (running == task) {
            running = null;
            progress.unbind();
            words.set("");
        }
        try {
            after.run();
        } finally {
            waiting--;
            busy.set(waiting > 0);
        }
    }

    /** Stops what runs now. */
    public void cancel() {
        if (running != null) {
            running.cancel(false);
        }
    }

    public ReadOnlyStringProperty wordsProperty() {
        return words.getReadOnlyProperty();
    }

    /** From 0 to 1, or negative when it is not known. */
    public ReadOnlyDoubleProperty progressProperty() {
        return progress.getReadOnlyProperty();
    }

    public ReadOnlyBooleanProperty busyProperty() {
        return busy.getReadOnlyProperty();
    }

    public void close() {
        executor.shutdownNow();
    }
}
