package org.swaplane.desktop.text;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Times as people read them here, in the time zone of the machine. */
public final class Dates {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

    private Dates() {}

    public static String day(Instant at) {
        return DAY.format(at.atZone(ZoneId.systemDefault()));
    }

    public static String minute(Instant at) {
        return MINUTE.format(at.atZone(ZoneId.systemDefault()));
    }
}
