package org.swaplane.lane;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;

/** Measures how long somebody is at a segment: the time between signs of life, unless they are too far apart. Used by one thread. */
public final class VisitClock {
    private static final AtomicLong NUMBERS = new AtomicLong();

    private final Clock clock;
    private final Duration idleLimit;
    private Visit current;

    /** {@code idleLimit} is the longest time without a sign of life that still counts as work. */
    public VisitClock(Clock clock, Duration idleLimit) {
        this.clock = clock;
        this.idleLimit = idleLimit;
    }

    /** Somebody comes to a segment; whatever visit there was must have been ended before. */
    public void enter() {
        Instant now = clock.instant();
        current = new Visit(NUMBERS.incrementAndGet(), now, now, Duration.ZERO);
    }

    /** A key, a click, a turn of the wheel. */
    public void alive() {
        if (current == null) {
            return;
        }
        Instant now = clock.instant();
        Duration since = Duration.between(current.ended(), now);
        Duration active = since.compareTo(idleLimit) > 0 || since.isNegative()
                ? current.active()
                : current.active().plus(since);
        current = new Visit(current.number(), current.began(), now, active);
    }

    /** The visit so far; empty when nobody is anywhere. */
    public Optional<Visit> current() {
        return Optional.ofNullable(current);
    }

    /** Somebody leaves; the visit as it was, its end included. */
    public Optional<Visit> leave() {
        alive();
        Optional<Visit> left = current();
        current = null;
        return left;
    }
}
