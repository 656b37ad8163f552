package org.swaplane.task;

import java.io.IOException;
import java.io.UncheckedIOException;

/**
 * Ends several things in their order. Every step is done, also after one that failed; the first failure is thrown at the end, and the
 * others are suppressed in it.
 */
public final class Closing {
    private Closing() {}

    /**
     * Takes all steps, from the first to the last.
     *
     * @throws RuntimeException the first failure; an {@link IOException} comes as an {@link UncheckedIOException}
     */
    public static void inOrder(AutoCloseable... steps) {
        Throwable first = closeAll(null, steps);
        if (first instanceof Error error) {
            throw error;
        }
        if (first instanceof RuntimeException failure) {
            throw failure;
        }
        if (first instanceof IOException failure) {
            throw new UncheckedIOException(failure);
        }
        if (first != null) {
            throw new IllegalStateException(first);
        }
    }

    /** Takes all steps after {@code failure}, which the caller throws: what fails here is suppressed in it. */
    public static void after(Throwable failure, AutoCloseable... steps) {
        closeAll(failure, steps);
    }

    private static Throwable closeAll(Throwable before, AutoCloseable... steps) {
        Throwable first = before;
        for (AutoCloseable step : steps) {
            try {
                step.close();
            } catch (Exception | Error e) {
                if (e instanceof InterruptedException) {
                    Thread.currentThread().interrupt();
                }
                if (first == null) {
                    first = e;
                } else if (first != e) {
                    first.addSuppressed(e);
                }
            }
        }
        return first;
    }
}
