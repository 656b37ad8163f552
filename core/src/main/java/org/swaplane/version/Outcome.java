package org.swaplane.version;

import java.util.Locale;

/** What became of a segment from one version to the next. */
public enum Outcome {
    /** The same content with its tags, in the same place among what remained. */
    UNCHANGED,
    /** The same content in another place. */
    MOVED,
    CHANGED,
    NEW,
    GONE,
    /** One segment became several, or several one, with nearly the same text. */
    RESEGMENTED;

    /** As the command line writes it. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
