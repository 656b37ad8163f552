package org.swaplane.effort;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Measures how long somebody is at a place: the time between signs of life, unless they are too far apart, the person was elsewhere
 * between, or the machine's clock was set back. A visit over midnight is two, each of its day in the clock's time zone. Used by one thread.
 */
public final class VisitClock {
    private static final AtomicLong NUMBERS = new AtomicLong();

    private final Clock clock;
    private final Duration idleLimit;
    private final Attention attention;
    private final List<Visit> ofEarlierDays = new ArrayList<>();
    private Visit current;
    private Instant lastSign = Instant.MIN;
    private boolean paused;

    /**
     * @param idleLimit the longest time without a sign of life that still counts as work
     * @param attention of the person, shared by all clocks that measure the same one
     */
    public VisitClock(Clock clock, Duration idleLimit, Attention attention) {
        this.clock = clock;
        this.idleLimit = idleLimit;
        this.attention = attention;
    }

    /** Somebody comes to a place; whatever visit there was must have been ended before. */
    public void enter() {
        begin(clock.instant());
        lastSign = current.began();
        attention.moveTo(this);
    }

    private void begin(Instant at) {
        current = new Visit(NUMBERS.incrementAndGet(), at, at, Duration.ZERO);
    }

    /** A key, a click, a turn of the wheel. */
    public void alive() {
        if (current == null) {
            return;
        }
        Instant now = clock.instant();
        boolean counts = attention.moveTo(this)
                && !paused
                && !now.isBefore(lastSign)
                && Duration.between(lastSign, now).compareTo(idleLimit) <= 0;
        Instant midnight =
                day(lastSign).plusDays(1).atStartOfDay(clock.getZone()).toInstant();
        if (day(now).equals(day(lastSign))) {
            extend(lastSign, now, counts);
        } else {
            // Idle or not, what is done today is not part of yesterday.
            boolean across = counts && day(now).equals(day(midnight));
            extend(lastSign, across ? midnight : lastSign, across);
            ofEarlierDays.add(current);
            begin(across ? midnight : now);
            extend(current.began(), now, across);
        }
        lastSign = now;
    }

    private void extend(Instant from, Instant to, boolean counts) {
        Duration active = counts ? current.active().plus(Duration.between(from, to)) : current.active();
        current = new Visit(
                current.number(), current.began(), to.isBefore(current.began()) ? current.began() : to, active);
    }

    private LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, clock.getZone());
    }

    /** Stops counting, or goes on; what lies between is nobody's time. */
    public void setPaused(boolean stop) {
        alive();
        paused = stop;
    }

    /** Whether the last sign of life is not older than the idle limit. */
    public boolean isRunning() {
        Duration since = current == null ? null : Duration.between(lastSign, clock.instant());
        return since != null && !since.isNegative() && since.compareTo(idleLimit) <= 0;
    }

    /** The visit so far; empty when nobody is here. */
    public Optional<Visit> current() {
        return Optional.ofNullable(current);
    }

    /** Somebody leaves; the visit as it was, its end included, one for each day. */
    public List<Visit> leave() {
        alive();
        List<Visit> left = new ArrayList<>(ofEarlierDays);
        current().ifPresent(left::add);
        ofEarlierDays.clear();
        current = null;
        return left;
    }
}
