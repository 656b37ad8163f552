package org.swaplane.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.scene.Scene;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import org.swaplane.desktop.session.PersonSettings;

/** The one table of all commands and their keys. */
public final class Commands {
    /** The group of what can be done everywhere. */
    public static final String WINDOW = "window";

    private final List<AppCommand> commands = new ArrayList<>();
    private final PersonSettings person;
    private String group = WINDOW;
    /** Whether the key that was pressed last belongs to a command. */
    private boolean isCommand;

    /** The keys that a person gave commands win over those that they come with. */
    public Commands(PersonSettings person) {
        this.person = person;
    }

    PersonSettings person() {
        return person;
    }

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
        AppCommand command = new AppCommand(group, id, keys, person, enabled, action);
        commands.add(command);
        return command;
    }

    public List<AppCommand> all() {
        return List.copyOf(commands);
    }

    /**
     * The command that has these keys where another one could have them too: in the same view, or in the whole window. Two views may use the
     * same keys for what each of them does.
     */
    public Optional<AppCommand> conflict(AppCommand with, KeyCombination keys) {
        return commands.stream()
                .filter(each -> each != with)
                .filter(each -> each.group().equals(with.group())
                        || each.group().equals(WINDOW)
                        || with.group().equals(WINDOW))
                .filter(each -> each.keys().filter(keys::equals).isPresent())
                .findFirst();
    }

    /** The groups, in the order of the work. */
    public List<String> groups() {
        return commands.stream().map(AppCommand::group).distinct().toList();
    }

    /** Keys of the table win over those of the control that has the focus, and type nothing into it. */
    public void listenTo(Scene scene) {
        scene.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            List<AppCommand> meant = commands.stream()
                    .filter(command ->
                            command.keys().filter(keys -> keys.match(event)).isPresent())
                    .toList();
            isCommand = !meant.isEmpty();
            meant.stream().filter(AppCommand::isEnabled).findFirst().ifPresent(command -> {
                command.run();
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
