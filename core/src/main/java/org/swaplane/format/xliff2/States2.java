package org.swaplane.format.xliff2;

import java.util.Arrays;
import java.util.Locale;
import org.swaplane.document.State;

/** The attribute {@code state} of XLIFF 2 (section 4.3.1.28); without it a segment is initial. */
final class States2 {
    private States2() {}

    /** What is not known is taken for initial. */
    static State read(String written) {
        return Arrays.stream(State.values())
                .filter(state -> write(state).equals(written))
                .findFirst()
                .orElse(State.INITIAL);
    }

    static boolean isKnown(String written) {
        return written.isEmpty() || write(read(written)).equals(written);
    }

    static String write(State state) {
        return state.name().toLowerCase(Locale.ROOT);
    }
}
