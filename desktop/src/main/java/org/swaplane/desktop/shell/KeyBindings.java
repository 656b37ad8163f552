package org.swaplane.desktop.shell;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyCombination.ModifierValue;
import javafx.scene.input.KeyEvent;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.NewFile;

/** The keys that a person gave commands, and the same as a file: a JSON object of ids and keys. */
final class KeyBindings {
    private static final ObjectMapper JSON = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    private final Commands commands;

    KeyBindings(Commands commands) {
        this.commands = commands;
    }

    /** What was pressed, as a combination. */
    static KeyCombination of(KeyEvent event) {
        return new KeyCodeCombination(
                event.getCode(),
                value(event.isShiftDown()),
                ModifierValue.UP,
                value(event.isAltDown()),
                ModifierValue.UP,
                value(event.isShortcutDown()));
    }

    private static ModifierValue value(boolean down) {
        return down ? ModifierValue.DOWN : ModifierValue.UP;
    }

    /** Whether it does not type a character: it has Ctrl or Alt, or is a function key. */
    static boolean isUsable(KeyCombination keys) {
        return keys.getShortcut() == ModifierValue.DOWN
                || keys.getAlt() == ModifierValue.DOWN
                || keys instanceof KeyCodeCombination code && code.getCode().isFunctionKey();
    }

    void set(AppCommand command, String keys) {
        commands.person().setKeys(command.id(), keys);
    }

    void reset() {
        commands.person().commandsWithKeys().forEach(commands.person()::resetKeys);
    }

    /** Writes the keys of all commands into a file; what came of it is said on the window's thread. */
    void write(Path file, Consumer<String> said) {
        Map<String, String> keys = new TreeMap<>();
        commands.all()
                .forEach(each -> keys.put(
                        each.id(), each.keys().map(KeyCombination::getName).orElse("")));
        away(said, () -> {
            byte[] json = (JSON.writeValueAsString(keys) + "\n").getBytes(StandardCharsets.UTF_8);
            NewFile.write(file, true, out -> out.write(json));
            return () -> Strings.text("keys.exported", file.toString());
        });
    }

    /** Takes over the keys of a file, as far as commands are known and keys are; a file that cannot be read changes nothing. */
    void read(Path file, Consumer<String> said) {
        away(said, () -> {
            Map<String, String> keys = JSON.readValue(Files.readAllBytes(file), new TypeReference<>() {});
            return () -> take(keys);
        });
    }

    private String take(Map<String, String> keys) {
        int taken = 0;
        for (AppCommand command : commands.all()) {
            String wanted = keys.get(command.id());
            Optional<KeyCombination> combination = wanted == null ? Optional.empty() : AppCommand.combination(wanted);
            if (wanted != null
                    && (wanted.isEmpty()
                            || combination.filter(KeyBindings::isUsable).isPresent())) {
                commands.person().setKeys(command.id(), wanted);
                taken++;
            }
        }
        return Strings.text("keys.imported", taken, keys.size() - taken);
    }

    /** Work with a file. */
    private interface FileWork {
        java.util.function.Supplier<String> run() throws IOException;
    }

    private static void away(Consumer<String> said, FileWork work) {
        CompletableFuture.runAsync(() -> {
            try {
                java.util.function.Supplier<String> done = work.run();
                Platform.runLater(() -> said.accept(done.get()));
            } catch (IOException | RuntimeException e) {
                Platform.runLater(() -> said.accept(Strings.text("keys.failed", String.valueOf(e.getMessage()))));
            }
        });
    }
}
