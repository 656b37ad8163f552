package org.swaplane.desktop.shell;

import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.scene.input.KeyCombination;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Strings;

/** Something that can be done, wherever it is offered: a key, a button, the palette, the list of keys. */
public final class AppCommand {
    private final String group;
    private final String id;
    private final String standardKeys;
    private final PersonSettings person;
    private final BooleanSupplier enabled;
    private final Runnable action;

    AppCommand(
            String group,
            String id,
            String standardKeys,
            PersonSettings person,
            BooleanSupplier enabled,
            Runnable action) {
        this.group = group;
        this.id = id;
        this.standardKeys = standardKeys;
        this.person = person;
        this.enabled = enabled;
        this.action = action;
    }

    /** Where it belongs: the name of a view, or {@link Commands#WINDOW}. */
    public String group() {
        return group;
    }

    /** Of its string {@code command.<id>}. */
    public String id() {
        return id;
    }

    /** The keys that it has now: those that the person gave it, or else those that it comes with. */
    public Optional<KeyCombination> keys() {
        return combination(person.keys(id).orElse(standardKeys));
    }

    static Optional<KeyCombination> combination(String keys) {
        try {
            return keys.isEmpty() ? Optional.empty() : Optional.of(KeyCombination.valueOf(keys));
        } catch (IllegalArgumentException e) {
            // A file of settings that was edited by hand.
            return Optional.empty();
        }
    }

    /** Whether there is a command of this id, in whatever view. */
    static boolean isKnown(String id) {
        return Strings.has("command." + id);
    }

    /** Whether it can be done now. */
    public boolean isEnabled() {
        return enabled.getAsBoolean();
    }

    /** Its name for people. */
    public String words() {
        return Strings.text("command." + id);
    }

    /** Its key for people, empty without one. */
    public String keyWords() {
        return keys().map(KeyCombination::getDisplayText).orElse("");
    }

    public void run() {
        if (isEnabled()) {
            action.run();
        }
    }
}
