package org.swaplane.task;

import java.io.IOException;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;

/** Something that is computed on another thread meanwhile, and waited for when it is needed. */
public final class Concurrent<T> {
    private final CompletableFuture<T> future;

    private Concurrent(CompletableFuture<T> future) {
        this.future = future;
    }

    /** Begins at once. What goes wrong is thrown by {@link #get}. */
    public static <T> Concurrent<T> of(Callable<T> work) {
        return new Concurrent<>(CompletableFuture.supplyAsync(() -> {
            try {
                return work.call();
            } catch (RuntimeException e) {
                throw e;
            } catch (Exception e) {
                throw new CompletionException(e);
            }
        }));
    }

    /** Waits for it. */
    public T get() throws IOException {
        try {
            return future.join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof IOException failure) {
                throw failure;
            }
            if (e.getCause() instanceof RuntimeException failure) {
                throw failure;
            }
            throw e;
        }
    }
}
