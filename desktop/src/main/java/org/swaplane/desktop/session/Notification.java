package org.swaplane.desktop.session;

import java.nio.file.Path;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.swaplane.desktop.text.Strings;
import org.swaplane.task.CannotProceedException;

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

    private static final Logger LOG = Logger.getLogger(Notification.class.getName());

    public Notification(Tone tone, String text) {
        this(tone, text, Optional.empty());
    }

    /** What went wrong. What nobody reckoned with is a mistake of ours, and is logged with its place. */
    public static Notification of(Throwable failure) {
        return new Notification(Tone.FAILED, sentence(failure));
    }

    /** What went wrong, as a sentence; logged where nobody reckoned with it. */
    public static String sentence(Throwable failure) {
        if (failure instanceof CannotProceedException) {
            return failure.getMessage();
        }
        LOG.log(Level.SEVERE, "an unexpected failure", failure);
        return Strings.text("failure.unexpected", String.valueOf(failure));
    }
}
