package org.swaplane.format.xliff12;

import java.util.Set;
import org.swaplane.document.State;

/** States of XLIFF 1.2 (section 2.3, attribute values of {@code state}, and {@code approved}) in the words of XLIFF 2 and back. */
final class States12 {
    private static final Set<String> INITIAL = Set.of("new", "needs-translation");
    private static final Set<String> TRANSLATED = Set.of(
            "translated",
            "needs-review-translation",
            "needs-review-adaptation",
            "needs-review-l10n",
            "needs-adaptation",
            "needs-l10n");

    private States12() {}

    static State read(boolean hasTarget, String state, boolean approved) {
        if (state.equals("final")) {
            return State.FINAL;
        }
        if (state.equals("signed-off") || approved) {
            return State.REVIEWED;
        }
        return !hasTarget || INITIAL.contains(state) ? State.INITIAL : State.TRANSLATED;
    }

    static boolean isKnown(String state) {
        return state.isEmpty()
                || state.startsWith("x-")
                || INITIAL.contains(state)
                || TRANSLATED.contains(state)
                || state.equals("final")
                || state.equals("signed-off");
    }

    static String write(State state) {
        return switch (state) {
            case INITIAL -> "new";
            case TRANSLATED -> "translated";
            case REVIEWED -> "signed-off";
            case FINAL -> "final";
        };
    }

    static boolean isApproved(State state) {
        return state == State.REVIEWED || state == State.FINAL;
    }
}
