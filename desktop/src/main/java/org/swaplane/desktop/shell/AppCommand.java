package org.swaplane.desktop.shell;

import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.scene.input.KeyCombination;
import org.swaplane.desktop.text.Strings;

/**
 * Something that can be done, wherever it is offered: a key, a button, the palette, the list of keys.
 *
 * @param group where it belongs: the name of a view, or {@link Commands#WINDOW}
 * @param id of its string {@code command.<id>}
 * @param enabled whether it can be done now
 */
public record AppCommand(
        String group, String id, Optional<KeyCombination> keys, BooleanSupplier enabled, Runnable action) {
    /** Its name for people. */
    public String words() {
        return Strings.say("command." + id);
    }

    /** Its key for people, empty without one. */
    public String keyWords() {
        return keys.map(KeyCombination::getDisplayText).orElse("");
    }

    public void run() {
        if (enabled.getAsBoolean()) {
            action.run();
        }
    }
}
