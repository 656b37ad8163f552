package org.swaplane.task;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;

/** The same work on many things, on all processors. */
public final class Parallel {
    private Parallel() {}

    /** What is done with each. */
    public interface Work<T, R> {
        R on(T each) throws IOException;
    }

    /**
     * The results in the order of what is given. The first failure ends it; in every case nothing of it runs any more on return.
     *
     * @throws CancelledException when {@code progress} says so; what runs is finished before
     */
    public static <T, R> List<R> map(List<T> all, Work<T, R> work, Progress progress) throws IOException {
        ExecutorService threads =
                Executors.newFixedThreadPool(Math.max(1, Runtime.getRuntime().availableProcessors()));
        try {
            List<Future<R>> running = new ArrayList<>();
            for (T each : all) {
                running.add(threads.submit((Callable<R>) () -> {
                    progress.checkCancelled();
                    return work.on(each);
                }));
            }
            List<R> results = new ArrayList<>();
            for (Future<R> each : running) {
                results.add(each.get());
                progress.at(results.size(), all.size());
            }
            return results;
        } catch (ExecutionException e) {
            if (e.getCause() instanceof IOException failure) {
                throw failure;
            }
            if (e.getCause() instanceof RuntimeException failure) {
                throw failure;
            }
            if (e.getCause() instanceof Error failure) {
                throw failure;
            }
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new CancelledException();
        } finally {
            threads.shutdownNow();
            awaitEnd(threads);
        }
    }

    /** Whoever tidies up after this must not meet somebody who still writes. */
    private static void awaitEnd(ExecutorService threads) {
        boolean interrupted = false;
        boolean ended = false;
        while (!ended) {
            try {
                ended = threads.awaitTermination(1, TimeUnit.MINUTES);
            } catch (InterruptedException e) {
                interrupted = true;
            }
        }
        if (interrupted) {
            Thread.currentThread().interrupt();
        }
    }
}
