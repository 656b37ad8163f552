package org.swaplane.speech;

import java.io.IOException;
import org.swaplane.compare.Span;
import org.swaplane.task.Progress;

/** Reads text aloud. */
public interface Voice {
    /** Hears which word is being read; may be told nothing by engines that do not say. */
    interface Listener {
        /** @param word in UTF-16 units of the text */
        void reading(Span word);
    }

    /**
     * Reads a text to its end, or until {@code progress} is cancelled; returns then.
     *
     * @param language BCP 47 code
     */
    void read(String text, String language, Listener listener, Progress progress) throws IOException;

    /** That of the operating system where there is one, else a stand-in without sound. */
    static Voice ofThisComputer() {
        return SystemVoice.find().<Voice>map(voice -> voice).orElseGet(SilentVoice::new);
    }
}
