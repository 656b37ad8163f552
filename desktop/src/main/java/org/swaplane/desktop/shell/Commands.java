package org.swaplane.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.scene.Scene;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;

/** The one table of all commands and their keys. */
public final class Commands {
    private final List<AppCommand> commands = new ArrayList<>();

    /** Adds a command; {@code keys} as {@link KeyCombination#valueOf} wants them, empty for none. */
    public AppCommand add(String id, String keys, BooleanSupplier enabled, Runnable action) {
        Optional<KeyCombination> combination =
                keys.isEmpty() ? Optional.empty() : Optional.of(KeyCombination.valueOf(keys));
        AppCommand command = new AppCommand(id, combination, enabled, action);
        commands.add(command);
        return command;
    }

    public List<AppCommand> all() {
        return List.copyOf(commands);
    }

    /** Keys of the table win over those of the control that has the focus. */
    public void listenTo(Scene scene) {
        scene.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            for (AppCommand command : commands) {
                boolean pressed =
                        command.keys().filter(keys -> keys.match(event)).isPresent();
                if (pressed && command.enabled().getAsBoolean()) {
                    command.action().run();
                    event.consume();
                    return;
                }
            }
        });
    }
}
