package org.swaplane.jobreport;

import java.util.EnumSet;
import java.util.Set;

/**
 * What may be told to whom.
 *
 * @param rates whether rates and what is not billed are told
 * @param names whether people are named
 * @param times whether it is told how long people worked
 */
public record ReportProfile(Set<ReportPart> parts, boolean rates, boolean names, boolean times) {
    /** Everything, for oneself. */
    public static final ReportProfile INTERNAL = new ReportProfile(EnumSet.allOf(ReportPart.class), true, true, true);

    /** For a client: no rates, names or times. */
    public static final ReportProfile CLIENT = new ReportProfile(
            EnumSet.of(
                    ReportPart.CHANGES, ReportPart.QUALITY, ReportPart.AMOUNTS, ReportPart.CHECKS, ReportPart.DELIVERY),
            false,
            false,
            false);

    public ReportProfile {
        parts = Set.copyOf(parts);
    }

    public ReportProfile of(Set<ReportPart> others) {
        return new ReportProfile(others, rates, names, times);
    }
}
