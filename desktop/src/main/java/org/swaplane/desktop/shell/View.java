package org.swaplane.desktop.shell;

import javafx.scene.Parent;

/** One of the views that the rail lists. */
public interface View {
    Parent node();

    /** It is in front now, or what it shows has changed. */
    void refresh();

    /** Where the keyboard goes when it comes to the front. */
    default void focus() {
        node().requestFocus();
    }
}
