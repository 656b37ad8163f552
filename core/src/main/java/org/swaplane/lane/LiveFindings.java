package org.swaplane.lane;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.RejectedExecutionException;
import org.swaplane.check.CheckRun;
import org.swaplane.task.Progress;

/**
 * What the checks find in one track, or in all checked as one. It follows every step, on a thread of its own, so that nobody who
 * edits waits for a check; what is done while everything is checked is looked at right after.
 */
public final class LiveFindings implements LaneListener, AutoCloseable {
    private final Lane lane;
    private final Listener listener;
    private final ExecutorService thread = Executors.newSingleThreadExecutor(work -> {
        Thread checking = new Thread(work, "checks");
        checking.setDaemon(true);
        return checking;
    });
    /** One processor stays free for whoever types. */
    private final ForkJoinPool pool =
            new ForkJoinPool(Math.max(1, Runtime.getRuntime().availableProcessors() - 1));

    /** Those that hear of steps: the one that is shown, and those that are being checked for the first time. */
    private final List<CheckScope> listening = new CopyOnWriteArrayList<>();

    /** Only for the thread. */
    private Optional<CheckScope> shown = Optional.empty();

    private volatile Map<Track, TrackFindings> findings = Map.of();

    /** Hears of findings, on the thread of the checks. */
    public interface Listener {
        void changed(Map<Track, TrackFindings> findings);

        /** Tracks were cut or read in another way: what was found in them is gone until they are checked again. */
        void outdated(List<Track> tracks);

        /** A check went wrong, which must never happen. */
        void failed(Throwable failure);
    }

    public LiveFindings(Lane lane, Listener listener) {
        this.lane = lane;
        this.listener = listener;
        lane.writer().listen(this);
    }

    /** What was found where; only tracks that were checked. */
    public Map<Track, TrackFindings> findings() {
        return findings;
    }

    /**
     * Checks these tracks as one, on the thread that calls; when it is done, they are what is shown. What was shown before goes on
     * being so until then, also when this is cancelled.
     */
    public void check(List<Track> tracks, CheckRun checks, Progress progress) {
        CheckScope scope = new CheckScope(tracks, checks, lane.findings());
        // First it listens, then it looks, so that nothing falls between.
        listening.add(scope);
        try {
            scope.run(progress, pool);
            progress.checkCancelled();
        } catch (RuntimeException | Error e) {
            listening.remove(scope);
            throw e;
        }
        CompletableFuture.runAsync(() -> show(scope), thread).join();
    }

    private void show(CheckScope scope) {
        shown.ifPresent(listening::remove);
        shown = Optional.of(scope);
        scope.follow();
        scope.decided();
        publish(scope);
    }

    private void publish(CheckScope scope) {
        if (scope.isOutdated()) {
            listening.remove(scope);
            shown = Optional.empty();
            findings = Map.of();
            listener.changed(findings);
            listener.outdated(scope.tracks());
        } else {
            findings = scope.open();
            listener.changed(findings);
        }
    }

    /** Shows nothing more until something is checked again. */
    public void forget() {
        findings = Map.of();
        execute(() -> {
            shown.ifPresent(listening::remove);
            shown = Optional.empty();
            findings = Map.of();
            listener.changed(findings);
        });
    }

    @Override
    public void stepped(TrackSnapshot now, Step step) {
        listening.forEach(scope -> scope.stepped(now, step));
        execute(() -> shown.filter(CheckScope::follow).ifPresent(this::publish));
    }

    @Override
    public void reread(TrackSnapshot now) {
        listening.forEach(scope -> scope.reread(now.track()));
        execute(() -> shown.filter(CheckScope::isOutdated).ifPresent(this::publish));
    }

    @Override
    public void decided() {
        execute(() -> shown.ifPresent(scope -> {
            scope.decided();
            publish(scope);
        }));
    }

    private void execute(Runnable work) {
        try {
            thread.execute(() -> {
                try {
                    work.run();
                } catch (RuntimeException | Error e) {
                    listener.failed(e);
                }
            });
        } catch (RejectedExecutionException e) {
            // Closed: nobody looks any more.
            return;
        }
    }

    /** Waits until everything that was done before is looked at; for threads that may wait. */
    public void settle() {
        CompletableFuture.runAsync(() -> {}, thread).join();
    }

    @Override
    public void close() {
        lane.writer().forget(this);
        thread.shutdown();
        pool.shutdown();
    }
}
