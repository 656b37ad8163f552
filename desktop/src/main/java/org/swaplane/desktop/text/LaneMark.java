package org.swaplane.desktop.text;

import java.util.Locale;
import javafx.css.PseudoClass;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import org.swaplane.document.State;

/** The small mark that tells a state by how far its lane is filled. */
public final class LaneMark extends StackPane {
    private static final PseudoClass LOCKED = PseudoClass.getPseudoClass("locked");
    private final Region fill = new Region();

    public LaneMark() {
        getStyleClass().add("lane-mark");
        fill.getStyleClass().add("lane-mark-fill");
        getChildren().add(fill);
        setMinSize(USE_PREF_SIZE, USE_PREF_SIZE);
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
    }

    public void show(State state, boolean locked) {
        pseudoClassStateChanged(LOCKED, locked);
        for (State each : State.values()) {
            PseudoClass own = PseudoClass.getPseudoClass(each.name().toLowerCase(Locale.ROOT));
            pseudoClassStateChanged(own, each == state);
        }
        setAccessibleText(words(state, locked));
    }

    /** The word for a state. */
    public static String words(State state, boolean locked) {
        return Strings.text(locked ? "state.locked" : "state." + state.name().toLowerCase(Locale.ROOT));
    }
}
