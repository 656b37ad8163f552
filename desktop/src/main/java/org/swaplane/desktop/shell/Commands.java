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
    /** The group of what can be done everywhere. */
    public static final String WINDOW = "window";

    private final List<AppCommand> commands = new ArrayList<>();
    private String group = WINDOW;
    /** Whether the key that was pressed last belongs to a command. */
    private boolean isCommand;

    /** What is added from now on belongs to this group. */
    public void begin(String name) {
        group = name;
    }

    /** The commands of a group, in their order. */
    public List<AppCommand> of(String name) {
        return commands.stream().filter(each -> each.group().equals(name)).toList();
    }

    /** Adds a command; {@code keys} as {@link KeyCombination#valueOf} wants them, empty for none. */
    public AppCommand add(String id, String keys, BooleanSupplier enabled, Runnable action) {
        Optional<KeyCombination> combination =
                keys.isEmpty() ? Optional.empty() : Optional.of(KeyCombination.valueOf(keys));
        AppCommand command = new AppCommand(group, id, combination, enabled, action);
        commands.add(command);
        return command;
    }

    public List<AppCommand> all() {
        return List.copyOf(commands);
    }

    /** Keys of the table win over those of the control that has the focus, and type nothing into it. */
    public void listenTo(Scene scene) {
        scene.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            List<AppCommand> meant = commands.stream()
                    .filter(command ->
                            command.keys().filter(keys -> keys.match(event)).isPresent())
                    .toList();
            isCommand = !meant.isEmpty();
            meant.stream()
                    .filter(command -> command.enabled().getAsBoolean())
                    .findFirst()
                    .ifPresent(command -> {
                        command.action().run();
                        event.consume();
                    });
        });
        // A window system sends the letter of a key with Alt as if it were typed.
        scene.addEventFilter(KeyEvent.KEY_TYPED, event -> {
            if (isCommand) {
                event.consume();
            }
        });
    }
}
