package org.swaplane.desktop.compare;

import java.util.Locale;
import org.swaplane.version.ChangeKind;
import org.swaplane.version.Outcome;
import org.swaplane.version.SegmentMatch;
import org.swaplane.version.VersionComparison;

/** Which segments are listed. */
enum CompareFilter {
    CHANGES,
    CHANGED,
    NUMBERS,
    NEW,
    GONE,
    MOVED,
    TRANSLATIONS,
    RESEGMENTED,
    UNCHANGED,
    ALL;

    boolean holds(SegmentMatch match, VersionComparison comparison) {
        return switch (this) {
            case ALL -> true;
            case CHANGES -> match.outcome() != Outcome.UNCHANGED;
            case TRANSLATIONS -> comparison.isOtherTranslation(match);
            case NUMBERS ->
                comparison.kind(match).filter(ChangeKind.NUMBERS::equals).isPresent();
            default -> match.outcome().name().equals(name());
        };
    }

    String key() {
        return "compare.filter." + name().toLowerCase(Locale.ROOT);
    }
}
