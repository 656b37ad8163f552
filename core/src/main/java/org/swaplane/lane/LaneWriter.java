package org.swaplane.lane;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.swaplane.effort.Visit;
import org.swaplane.task.CannotProceedException;

/**
 * Makes all changes of a lane, one after the other, on a thread of its own; each is one transaction, and stands on disk when its
 * future is done. Listeners hear of it in that order.
 */
public final class LaneWriter implements AutoCloseable {
    private static final Logger LOG = Logger.getLogger(LaneWriter.class.getName());

    private final Database database;
    private final ExecutorService thread = Executors.newSingleThreadExecutor(work -> {
        Thread writing = new Thread(work, "lane-writer");
        writing.setDaemon(true);
        return writing;
    });
    private final List<LaneListener> listeners = new CopyOnWriteArrayList<>();
    private final Map<Track, TrackWriter> tracks = new HashMap<>();

    LaneWriter(Database database) {
        this.database = database;
    }

    /** A change of the lane. */
    interface Change<T> {
        /** Called within the transaction. */
        T make(LaneTransaction transaction) throws Exception;
    }

    public void listen(LaneListener listener) {
        listeners.add(listener);
    }

    public void forget(LaneListener listener) {
        listeners.remove(listener);
    }

    /**
     * Makes a change when its turn comes.
     *
     * @param about the tracks whose segments it is about
     * @return its result once it is on disk; what it threw otherwise, and then nothing has changed
     */
    <T> CompletableFuture<T> submit(Change<T> change, Track... about) {
        CompletableFuture<T> result = new CompletableFuture<>();
        try {
            thread.execute(() -> make(change, about, result));
        } catch (RejectedExecutionException e) {
            result.completeExceptionally(new CannotProceedException("", "problem.lane-closed"));
        }
        return result;
    }

    private <T> void make(Change<T> change, Track[] about, CompletableFuture<T> result) {
        T made;
        LaneTransaction transaction = new LaneTransaction();
        try {
            // Reading takes long and may need the database itself, so it is done before.
            for (Track track : about) {
                transaction.hold(track);
            }
            made = database.transaction(() -> change.make(transaction));
        } catch (Exception | Error e) {
            result.completeExceptionally(e);
            return;
        }
        try {
            transaction.committed(listeners);
        } catch (RuntimeException | Error e) {
            // It is on disk all the same.
            Thread.currentThread().getUncaughtExceptionHandler().uncaughtException(Thread.currentThread(), e);
        }
        result.complete(made);
    }

    /** Edits segments, where they are still what they were when that was asked for. */
    public CompletableFuture<EditOutcome> edit(EditRequest request) {
        return submit(transaction -> edit(request, transaction), request.track());
    }

    /** The same as a part of another change. */
    EditOutcome edit(EditRequest request, LaneTransaction transaction) {
        return writer(request.track()).edit(request, transaction);
    }

    /** Takes back the newest step of a track, also one of an earlier session. */
    public CompletableFuture<Optional<Step>> undo(Track track) {
        return submit(transaction -> writer(track).undo(transaction), track);
    }

    /** Does again what was undone last. */
    public CompletableFuture<Optional<Step>> redo(Track track) {
        return submit(transaction -> writer(track).redo(transaction), track);
    }

    /** Notes that somebody was at a segment. */
    public CompletableFuture<Void> visited(Track track, String key, String who, Visit visit) {
        return submit(transaction -> {
            writer(track).visited(key, who, visit, transaction);
            return null;
        });
    }

    /** Only for the writing thread. */
    TrackWriter writer(Track track) {
        return tracks.computeIfAbsent(track, TrackWriter::new);
    }

    /** Waits for a change, for threads that may; what it threw is thrown here. */
    public static <T> T await(CompletableFuture<T> change) {
        try {
            return change.join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof RuntimeException cause) {
                throw cause;
            }
            if (e.getCause() instanceof Error cause) {
                throw cause;
            }
            if (e.getCause() instanceof java.io.IOException cause) {
                throw new java.io.UncheckedIOException(cause);
            }
            throw e;
        } catch (CancellationException e) {
            throw new CannotProceedException("", "problem.lane-closed-early");
        }
    }

    /** Makes the changes that were submitted before, and no more. */
    @Override
    public void close() {
        thread.shutdown();
        try {
            while (!thread.awaitTermination(1, TimeUnit.MINUTES)) {
                // A change that is asked for is made or says why not, however slow the disk.
                LOG.log(Level.INFO, "the lane's last changes are still being written");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
