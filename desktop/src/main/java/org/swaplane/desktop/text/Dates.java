package org.swaplane.desktop.text;

import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.swaplane.exchange.DueTime;

/** Times as people read them here, in the time zone of the machine. */
public final class Dates {

    private Dates() {}

    public static String day(Instant at) {
        return format("d MMM", "d. MMM", at.atZone(ZoneId.systemDefault()));
    }

    public static String minute(Instant at) {
        return format("d MMM yyyy, HH:mm", "d. MMM yyyy, HH:mm", at.atZone(ZoneId.systemDefault()));
    }

    /** The day, and the time where there is one. */
    public static String due(DueTime due) {
        ZonedDateTime at =
                due.day().atTime(due.time().orElse(LocalTime.MIDNIGHT)).atZone(ZoneId.systemDefault());
        return due.time().isPresent() ? format("d MMM, HH:mm", "d. MMM, HH:mm", at) : format("d MMM", "d. MMM", at);
    }

    /** A day of the month is an ordinal in German. */
    private static String format(String pattern, String german, ZonedDateTime at) {
        Locale locale = Strings.locale().toLocale();
        boolean ordinal = locale.getLanguage().equals(Locale.GERMAN.getLanguage());
        return DateTimeFormatter.ofPattern(ordinal ? german : pattern, locale).format(at);
    }
}
