package org.swaplane.desktop.session;

import java.util.concurrent.TimeUnit;

/**
 * Lets whoever types go first: for a moment after each key, work in the background rests as long as it works. On a machine of few
 * processors it would else take the one that the window needs. Thread-safe.
 */
final class RightOfWay {
    private static final long MOMENT_NANOS = TimeUnit.MILLISECONDS.toNanos(400);
    private static final long TURN_NANOS = TimeUnit.MILLISECONDS.toNanos(4);

    private volatile long until = System.nanoTime();
    private final ThreadLocal<Long> turnEnds = ThreadLocal.withInitial(System::nanoTime);

    /** Somebody pressed a key. */
    void give() {
        until = System.nanoTime() + MOMENT_NANOS;
    }

    /** Called by work in the background, often. */
    void yield() {
        long now = System.nanoTime();
        if (now - until >= 0 || now - turnEnds.get() < 0) {
            return;
        }
        try {
            TimeUnit.NANOSECONDS.sleep(TURN_NANOS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        turnEnds.set(System.nanoTime() + TURN_NANOS);
    }
}
