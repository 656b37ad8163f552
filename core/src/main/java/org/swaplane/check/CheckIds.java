package org.swaplane.check;

import java.util.List;
import java.util.Set;

/** The ids of all checks, in the order in which they are shown. */
public final class CheckIds {
    public static final List<String> ALL = List.of(
            "empty-target",
            "same-as-source",
            "tags",
            "placeholders",
            "numbers",
            "inconsistent-target",
            "inconsistent-source",
            "end-punctuation",
            "edge-space",
            "double-space",
            "repeated-word",
            "brackets",
            "quotes",
            "capital",
            "length",
            "link",
            "characters",
            "message-syntax",
            "term",
            "forbidden-term",
            "keep-as-is",
            "spelling",
            "locked-change",
            "pattern");

    /** What these find is nearly always an error, what the others find a warning; a lane may say otherwise. */
    private static final Set<String> ERRORS = Set.of(
            "empty-target",
            "tags",
            "placeholders",
            "numbers",
            "length",
            "link",
            "characters",
            "message-syntax",
            "forbidden-term",
            "keep-as-is",
            "locked-change");

    private CheckIds() {}

    /** How severe what a check finds mostly is. */
    public static Severity usualSeverity(String check) {
        return ERRORS.contains(check) ? Severity.ERROR : Severity.WARNING;
    }
}
