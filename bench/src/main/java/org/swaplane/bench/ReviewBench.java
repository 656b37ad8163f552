package org.swaplane.bench;

import javafx.application.Application;

/** How fast Review is under the hands: see {@link TypingRun}. Arguments: segments, letters, changes. Needs a display. */
public final class ReviewBench {
    private ReviewBench() {}

    public static void main(String[] arguments) {
        Application.launch(TypingRun.class, arguments);
    }
}
