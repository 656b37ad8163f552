package org.swaplane.bench;

import javafx.application.Application;

/** How many keys a reviewer needs: see {@link ReviewHour}. Needs a display with a window manager. */
public final class HourBench {
    private HourBench() {}

    public static void main(String[] arguments) {
        Application.launch(ReviewHour.class, arguments);
    }
}
