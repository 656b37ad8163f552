package org.swaplane.memory;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;

/**
 * Lets lookups go before imports, which would take all processors: while something is looked up, an import rests, and then works on for a
 * moment, however many lookups follow.
 */
final class LookupsFirst {
    private static final long LONGEST_REST = TimeUnit.MILLISECONDS.toNanos(25);
    private static final long TURN = TimeUnit.MILLISECONDS.toNanos(5);
    private static final long PAUSE = TimeUnit.MICROSECONDS.toNanos(200);
    private static final AtomicInteger RUNNING = new AtomicInteger();

    private long turnEnds = System.nanoTime();

    static void begin() {
        RUNNING.incrementAndGet();
    }

    static void end() {
        RUNNING.decrementAndGet();
    }

    /** Called by one thread of an import, often. */
    void giveWay() {
        long now = System.nanoTime();
        if (RUNNING.get() == 0 || now - turnEnds < 0) {
            return;
        }
        while (RUNNING.get() > 0 && System.nanoTime() - now < LONGEST_REST) {
            LockSupport.parkNanos(PAUSE);
        }
        turnEnds = System.nanoTime() + TURN;
    }
}
