package org.swaplane.check;

import java.util.List;

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

    private CheckIds() {}
}
