package org.swaplane.desktop.shell;

import javafx.scene.Parent;

/** One of the views that the rail lists. */
public interface View {
    Parent node();

    /** It is in front now, or what it shows has changed. */
    void refresh();

    /** Adds what its keys do to the table of all commands. */
    default void addCommands(Commands commands) {}

    /** Where the keyboard goes when it comes to the front. */
    default void focus() {
        node().requestFocus();
    }
}
