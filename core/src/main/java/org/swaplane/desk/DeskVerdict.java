package org.swaplane.desk;

import java.util.List;
import java.util.Objects;

/**
 * What the desk says of a package that was returned.
 *
 * @param number counts the returns of a task from 1
 * @param sha256 of the package
 */
public record DeskVerdict(int number, String sha256, String at, boolean accepted, List<Problem> problems) {
    /** What is wrong with one file, or in one segment of it. */
    public record Problem(Kind kind, String file, String unit, String segment, String message) {
        public Problem {
            kind = kind == null ? Kind.STRUCTURE : kind;
            file = DeskText.line(file);
            unit = unit == null ? "" : unit;
            segment = segment == null ? "" : segment;
            message = DeskText.line(message);
        }
    }

    /** What can be wrong. */
    public enum Kind {
        MISSING,
        EXTRA,
        NAME,
        MALFORMED,
        LANGUAGE,
        SOURCE,
        TAGS,
        EMPTY,
        STRUCTURE,
        UNTRANSLATED
    }

    public DeskVerdict {
        Objects.requireNonNull(sha256);
        at = DeskText.line(at);
        problems = problems == null
                ? List.of()
                : problems.stream().filter(Objects::nonNull).toList();
    }
}
