package org.swaplane.exchange;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.Optional;

/**
 * Until when something is wanted, by the clock of who waits for it.
 *
 * @param time empty for any time of the day
 */
public record DueTime(LocalDate day, Optional<LocalTime> time) implements Comparable<DueTime> {
    public static DueTime of(LocalDate day) {
        return new DueTime(day, Optional.empty());
    }

    /** Reads {@code 2026-12-04} and {@code 2026-12-04 17:00}, also with a T between; empty for what is neither. */
    public static Optional<DueTime> parse(String written) {
        try {
            if (written.matches("\\d{4}-\\d\\d-\\d\\d[T ]\\d\\d:\\d\\d")) {
                LocalDateTime at = LocalDateTime.parse(written.replace(' ', 'T'));
                return Optional.of(new DueTime(at.toLocalDate(), Optional.of(at.toLocalTime())));
            }
            return Optional.of(of(LocalDate.parse(written)));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    /** Whether it is over; without a time, it is over with its day. */
    public boolean isPast(LocalDateTime now) {
        return now.isAfter(end());
    }

    private LocalDateTime end() {
        return day.atTime(time.orElse(LocalTime.MAX));
    }

    @Override
    public int compareTo(DueTime other) {
        return end().compareTo(other.end());
    }

    /** As it is shown and stored: the day, and the time to the minute. */
    @Override
    public String toString() {
        return time.map(at -> day + " " + at).orElse(day.toString());
    }
}
