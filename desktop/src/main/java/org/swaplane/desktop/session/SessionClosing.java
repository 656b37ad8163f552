package org.swaplane.desktop.session;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;

/**
 * The orderly end of a session: it starts nothing new, stops running work and waits for it, writes what was typed, and closes
 * everything; a failed step does not keep the others from being taken. Lives on the window's thread, and waits on others.
 */
final class SessionClosing {
    private final LaneSession session;
    private final Executor window;
    private final CompletableFuture<Void> closed = new CompletableFuture<>();
    private Thread closer;
    private boolean begun;
    private volatile boolean open = true;

    SessionClosing(LaneSession session, Executor window) {
        this.session = session;
        this.window = window;
    }

    /** Runs what belongs to the window's thread there, until everything is closed; what comes later concerns nobody. */
    Executor whileOpen() {
        return work -> window.execute(() -> {
            if (open) {
                work.run();
            }
        });
    }

    boolean isOpen() {
        return open;
    }

    CompletableFuture<Void> begin() {
        if (!begun) {
            begun = true;
            session.leave();
            session.background().end();
            // What ran may have brought something to be written, so that is waited for after it.
            inThread(() -> {
                session.background().await();
                window.execute(this::writeRest);
            });
        }
        return closed;
    }

    private void writeRest() {
        if (session.editing().isSaved()) {
            closeParts();
        } else if (session.editing().isFailing()) {
            // It is tried again now and then, or the person gives it up.
            CompletableFuture.delayedExecutor(Editing.RETRY.toMillis(), TimeUnit.MILLISECONDS)
                    .execute(() -> window.execute(this::writeRest));
        } else {
            session.editing().settled().thenRun(this::writeRest);
        }
    }

    private void closeParts() {
        if (closer == null) {
            closer = inThread(() -> {
                Throwable failure = failureOf(session::closeParts);
                window.execute(() -> closed(failure));
            });
        }
    }

    private void closed(Throwable failure) {
        open = false;
        if (failure == null) {
            closed.complete(null);
        } else {
            closed.completeExceptionally(failure);
        }
    }

    /** Ends everything while the window's thread waits, which has nothing else to do any more. */
    void finish() {
        if (!begun) {
            begun = true;
            session.leave();
            session.background().end();
        }
        session.background().await();
        session.editing().drain();
        closeParts();
        join(closer);
        open = false;
    }

    private static Throwable failureOf(Runnable work) {
        try {
            work.run();
            return null;
        } catch (RuntimeException | Error e) {
            return e;
        }
    }

    /** A thread that the program waits for before it ends. */
    private static Thread inThread(Runnable work) {
        Thread thread = new Thread(work, "closing");
        thread.start();
        return thread;
    }

    private static void join(Thread thread) {
        try {
            thread.join();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
