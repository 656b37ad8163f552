package org.swaplane.desktop.session;

import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.swaplane.task.CancelledException;
import org.swaplane.task.Progress;

/**
 * Starts all long work, away from the window, and shows what runs. There are three queues: what reads a track that somebody waits for
 * does not wait itself for a check of the whole lane, and nothing waits for what waits for another program. Whatever was done is said so, also when it was cancelled too late.
 */
public final class Background {
    private final ExecutorService work = queue("background");
    private final ExecutorService reading = queue("reading");
    private final ExecutorService asking = queue("asking");
    private final ExecutorService looking = queue("looking");
    private final Executor window;
    private final ObservableList<RunningTask> tasks = FXCollections.observableArrayList();
    private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper();
    private final Consumer<Throwable> failed;
    private final RightOfWay way = new RightOfWay();
    private int waiting;

    /** {@code window} runs what belongs to the window's thread; every failure goes to {@code failed} there. */
    public Background(Executor window, Consumer<Throwable> failed) {
        this.window = window;
        this.failed = failed;
    }

    private static ExecutorService queue(String name) {
        return Executors.newSingleThreadExecutor(work -> {
            Thread thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        });
    }

    /** Work in the background. */
    public interface Job<T> {
        T run(Progress progress) throws Exception;
    }

    /** Runs {@code job} after those that wait, named in {@code words}; gives its result to {@code done} on the window's thread. */
    public <T> void run(String words, Job<T> job, Consumer<T> done) {
        run(work, words, job, done, failed, () -> {});
    }

    /** The same of what reads a track that somebody waits for; a failure goes to {@code otherwise}. */
    public <T> void read(String words, Job<T> job, Consumer<T> done, Consumer<Throwable> otherwise) {
        run(reading, words, job, done, otherwise, () -> {});
    }

    /** The same of what asks another program and waits for its answer. */
    public <T> void ask(String words, Job<T> job, Consumer<T> done) {
        ask(words, job, done, () -> {});
    }

    /** The same of what asks another program and waits for its answer; {@code stopped} hears that there is none. */
    public <T> void ask(String words, Job<T> job, Consumer<T> done, Runnable stopped) {
        run(asking, words, job, done, failed.andThen(failure -> stopped.run()), stopped);
    }

    /** The same of what looks through a whole lane and that nobody waits for; {@code stopped} hears that it came to no end. */
    public <T> void look(String words, Job<T> job, Consumer<T> done, Runnable stopped) {
        run(looking, words, job, done, failed.andThen(failure -> stopped.run()), stopped);
    }

    private <T> void run(
            ExecutorService queue,
            String words,
            Job<T> job,
            Consumer<T> done,
            Consumer<Throwable> otherwise,
            Runnable cancelled) {
        RunningTask task = new RunningTask(words);
        waiting++;
        busy.set(true);
        try {
            queue.execute(() -> execute(task, job, done, otherwise, cancelled));
        } catch (RejectedExecutionException e) {
            // The window is closing.
            ended(task, () -> {});
        }
    }

    private <T> void execute(
            RunningTask task, Job<T> job, Consumer<T> done, Consumer<Throwable> otherwise, Runnable cancelled) {
        if (task.isCancelled()) {
            window.execute(() -> ended(task, cancelled));
            return;
        }
        window.execute(() -> tasks.add(task));
        try {
            T result = job.run(task.progress(latest(task), way));
            window.execute(() -> ended(task, () -> done.accept(result)));
        } catch (CancelledException e) {
            window.execute(() -> ended(task, cancelled));
        } catch (Exception | Error e) {
            window.execute(() -> ended(task, () -> otherwise.accept(e)));
        }
    }

    /** Of what is reported faster than it can be shown, the newest is shown. */
    private RunningTask.Shares latest(RunningTask task) {
        AtomicReference<Double> newest = new AtomicReference<>();
        return share -> {
            if (newest.getAndSet(share) == null) {
                window.execute(() -> task.showShare(newest.getAndSet(null)));
            }
        };
    }

    /** What follows may start another task; between the two nobody sees the window idle. */
    private void ended(RunningTask task, Runnable after) {
        tasks.remove(task);
        try {
            after.run();
        } finally {
            waiting--;
            busy.set(waiting > 0);
        }
    }

    /** Somebody pressed a key, which goes first. */
    public void giveWay() {
        way.give();
    }

    /** Asks everything that runs now to stop. */
    public void cancel() {
        tasks.forEach(RunningTask::cancel);
    }

    /** What runs now. */
    public ObservableList<RunningTask> tasks() {
        return tasks;
    }

    public ReadOnlyBooleanProperty busyProperty() {
        return busy.getReadOnlyProperty();
    }

    public void close() {
        tasks.forEach(RunningTask::cancel);
        work.shutdown();
        reading.shutdown();
        asking.shutdown();
        looking.shutdown();
    }
}
