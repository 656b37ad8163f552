package org.swaplane.speech;

import java.io.IOException;
import java.util.function.Consumer;
import org.swaplane.task.Progress;

/** Recognises speech. */
public interface Dictation {
    /**
     * Listens until {@code progress} is cancelled, or nothing more is said.
     *
     * @param language BCP 47 code
     * @param recognised told each piece of text as it is to be put in, with the spaces between
     */
    void listen(String language, Consumer<String> recognised, Progress progress) throws IOException;
}
