package org.swaplane.proof;

import java.util.List;

/** One statement about a file: whether it holds, in a sentence, and where it does not. */
public record Proof(String id, Verdict verdict, String message, List<String> details) {
    public enum Verdict {
        PASS,
        WARN,
        FAIL
    }

    public Proof {
        details = List.copyOf(details);
    }
}
