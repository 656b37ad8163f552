package org.swaplane.check;

import java.util.List;

/** What a check asks of a translation; groups the checks for people. */
public enum CheckQuestion {
    MUST_BE_THERE("empty-target", "tags", "placeholders", "keep-as-is", "link", "message-syntax"),
    MUST_AGREE("numbers", "same-as-source", "inconsistent-target", "inconsistent-source", "length", "locked-change"),
    HOW_WRITTEN(
            "end-punctuation",
            "edge-space",
            "double-space",
            "repeated-word",
            "brackets",
            "quotes",
            "capital",
            "characters",
            "spelling"),
    WHAT_IS_OURS("term", "forbidden-term", "pattern");

    private final List<String> checks;

    CheckQuestion(String... checks) {
        this.checks = List.of(checks);
    }

    /** Ids of the checks that ask it. */
    public List<String> checks() {
        return checks;
    }
}
