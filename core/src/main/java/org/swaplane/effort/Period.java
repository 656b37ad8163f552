package org.swaplane.effort;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;

/**
 * The days that are looked at, in one time zone.
 *
 * @param from the first day; empty for the beginning
 * @param to the last day; empty for today and later
 */
public record Period(Optional<LocalDate> from, Optional<LocalDate> to, ZoneId zone) {
    public static Period all(ZoneId zone) {
        return new Period(Optional.empty(), Optional.empty(), zone);
    }

    /** Its first moment. */
    public Instant begin() {
        return from.map(day -> day.atStartOfDay(zone).toInstant()).orElse(Instant.MIN);
    }

    /** The first moment after it. */
    public Instant end() {
        return to.map(day -> day.plusDays(1).atStartOfDay(zone).toInstant()).orElse(Instant.MAX);
    }

    public LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, zone);
    }

    public boolean holds(Instant at) {
        return !at.isBefore(begin()) && at.isBefore(end());
    }

    public boolean holds(LocalDate day) {
        return from.filter(day::isBefore).isEmpty() && to.filter(day::isAfter).isEmpty();
    }
}
