package org.swaplane.desktop.session;

import java.nio.file.Path;
import java.util.Optional;

/**
 * Something that the window says where everybody sees it.
 *
 * @param file what was written, where that is what it is about
 */
public record Notification(Tone tone, String text, Optional<Path> file) {
    public enum Tone {
        DONE,
        FAILED
    }

    public Notification(Tone tone, String text) {
        this(tone, text, Optional.empty());
    }
}
