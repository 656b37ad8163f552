package org.swaplane.jobreport;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a report can speak of. */
public enum ReportPart {
    EFFORT,
    CHANGES,
    QUALITY,
    AMOUNTS,
    TRIPS,
    CHECKS,
    DELIVERY;

    /** As the command line writes it. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<ReportPart> of(String word) {
        return Arrays.stream(values())
                .filter(each -> each.word().equals(word.strip().toLowerCase(Locale.ROOT)))
                .findFirst();
    }
}
