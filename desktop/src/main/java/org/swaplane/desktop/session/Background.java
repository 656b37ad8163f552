package org.swaplane.desktop.session;

import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.swaplane.task.CancelledException;
import org.swaplane.task.Progress;

/**
 * Starts all long work, away from the window, and shows what runs. There are several queues: what reads a track that somebody waits for
 * does not wait for a check of the whole lane, which nobody waits for, and nothing waits for another program but what asks the same one. Whatever was done is said so, also when it was
 * cancelled too late.
 */
public final class Background {
    private static final Logger LOG = Logger.getLogger(Background.class.getName());

    /** How long work that was asked to stop may take to do so, before it is interrupted, and after that. */
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private static final Duration LAST_PATIENCE = Duration.ofSeconds(5);

    private final ExecutorService work = queue("background");
    private final ExecutorService reading = queue("reading");
    /** One for each program that is asked, since none of them waits for another. */
    private final Map<Asked, ExecutorService> asking = new EnumMap<>(Asked.class);

    private final ExecutorService looking = queue("looking");
    private final List<ExecutorService> queues = new ArrayList<>(List.of(work, reading, looking));
    private final Executor window;
    private final ObservableList<RunningTask> tasks = FXCollections.observableArrayList();
    /** What runs, and what waits for its turn. */
    private final Set<RunningTask> accepted = new HashSet<>();

    private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper();
    private final Consumer<Throwable> failed;
    private final RightOfWay way = new RightOfWay();
    private int waiting;
    private boolean ending;

    /** Another program that answers when it likes. */
    public enum Asked {
        DESK,
        DRAFTS,
        VOICE
    }

    /** {@code window} runs what belongs to the window's thread; every failure goes to {@code failed} there. */
    public Background(Executor window, Consumer<Throwable> failed) {
        this.window = window;
        this.failed = failed;
        for (Asked each : Asked.values()) {
            asking.put(each, queue("asking-" + each.name().toLowerCase(Locale.ROOT)));
        }
        queues.addAll(asking.values());
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
    public <T> void ask(Asked whom, String words, Job<T> job, Consumer<T> done) {
        ask(whom, words, job, done, () -> {});
    }

    /** The same of what asks another program and waits for its answer; {@code stopped} hears that there is none. */
    public <T> void ask(Asked whom, String words, Job<T> job, Consumer<T> done, Runnable stopped) {
        run(asking.get(whom), words, job, done, failed.andThen(failure -> stopped.run()), stopped);
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
        if (ending) {
            cancelled.run();
            return;
        }
        RunningTask task = new RunningTask(words);
        waiting++;
        busy.set(true);
        accepted.add(task);
        queue.execute(() -> execute(task, job, done, otherwise, cancelled));
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
        accepted.remove(task);
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

    /** Begins nothing new, and asks everything that runs or waits to stop. */
    public void end() {
        ending = true;
        accepted.forEach(RunningTask::cancel);
        queues.forEach(ExecutorService::shutdown);
    }

    /** Waits until nothing runs any more; what does not stop when it is asked is interrupted. For any thread, after {@link #end}. */
    public void await() {
        long deadline = System.nanoTime() + PATIENCE.toNanos();
        try {
            for (ExecutorService each : queues) {
                if (!each.awaitTermination(deadline - System.nanoTime(), TimeUnit.NANOSECONDS)) {
                    each.shutdownNow();
                    if (!each.awaitTermination(LAST_PATIENCE.toSeconds(), TimeUnit.SECONDS)) {
                        LOG.log(Level.WARNING, "work in the background does not stop");
                    }
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
