package org.swaplane.desktop.session;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.swaplane.demo.DemoLane;
import org.swaplane.lane.Lane;

/** A session without a window: a thread of its own stands for the window's. */
public final class SessionBench implements AutoCloseable {
    private static final long PATIENCE_MILLIS = 20_000;

    private final ExecutorService window = Executors.newSingleThreadExecutor(work -> new Thread(work, "window"));
    public final LaneSession session;

    public SessionBench(Lane lane) {
        session = on(() -> new LaneSession(lane, PersonSettings.none(), this::later));
    }

    /** Over a new demo lane; its first track is read and checked. */
    public static SessionBench ofDemo(Path folder) {
        try {
            SessionBench bench = new SessionBench(DemoLane.create(folder, Clock.systemUTC()));
            bench.until(() -> bench.session.checking().isMade());
            return bench;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What comes after the end concerns nobody. */
    private void later(Runnable work) {
        if (!window.isShutdown()) {
            window.execute(work);
        }
    }

    /** Does something on the window's thread. */
    public <T> T on(Callable<T> work) {
        try {
            return window.submit(work).get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new AssertionError(e);
        } catch (ExecutionException e) {
            throw new AssertionError(e.getCause());
        }
    }

    public void run(Runnable work) {
        on(Executors.callable(work));
    }

    /** Waits until it is so, as the window sees it. */
    public void until(Callable<Boolean> condition) {
        long end = System.currentTimeMillis() + PATIENCE_MILLIS;
        while (!on(condition)) {
            if (System.currentTimeMillis() > end) {
                throw new AssertionError("it never came to be so");
            }
            Thread.onSpinWait();
        }
    }

    /** Until everything that was done is on disk, looked at, and nothing runs any more. */
    public void settle() {
        until(() -> session.editing().isSaved()
                && !session.background().busyProperty().get());
        session.checking().settle();
        run(() -> {});
    }

    public String message() {
        return on(() -> session.messageProperty().get() == null
                ? ""
                : session.messageProperty().get().text());
    }

    @Override
    public void close() {
        on(session::close).join();
        window.shutdownNow();
    }
}
