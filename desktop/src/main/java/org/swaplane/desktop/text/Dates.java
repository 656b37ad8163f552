package org.swaplane.desktop.text;

import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Times as people read them here, in the time zone of the machine. */
public final class Dates {

    private Dates() {}

    public static String day(Instant at) {
        return format("d MMM", "d. MMM", at.atZone(ZoneId.systemDefault()));
    }

    public static String minute(Instant at) {
        return format("d MMM yyyy, HH:mm", "d. MMM yyyy, HH:mm", at.atZone(ZoneId.systemDefault()));
    }

    /** A day of the month is an ordinal in German. */
    private static String format(String pattern, String german, ZonedDateTime at) {
        Locale locale = Strings.locale().toLocale();
        boolean ordinal = locale.getLanguage().equals(Locale.GERMAN.getLanguage());
        return DateTimeFormatter.ofPattern(ordinal ? german : pattern, locale).format(at);
    }
}
