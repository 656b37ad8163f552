package org.swaplane.format.xliff2;

import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.swaplane.document.State;

/** The attribute {@code state} of XLIFF 2 (section 4.3.1.28); without it a segment is initial. */
final class States2 {
    private static final Map<String, State> BY_NAME =
            Arrays.stream(State.values()).collect(Collectors.toMap(States2::write, state -> state));

    private States2() {}

    /** What is not known is taken for initial. */
    static State read(String written) {
        return BY_NAME.getOrDefault(written, State.INITIAL);
    }

    static boolean isKnown(String written) {
        return written.isEmpty() || BY_NAME.containsKey(written);
    }

    static String write(State state) {
        return state.name().toLowerCase(Locale.ROOT);
    }
}
