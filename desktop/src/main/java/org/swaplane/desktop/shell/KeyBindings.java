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
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.NewFile;

/** The keys that a person gave commands, and the same as a file: a JSON object of ids and keys. */
public final class KeyBindings {
    private static final ObjectMapper JSON = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    private final PersonSettings person;

    public KeyBindings(PersonSettings person) {
        this.person = person;
    }

    /** The person's own keys by the ids of their commands; empty where a command has none any more. */
    public Map<String, String> own() {
        Map<String, String> keys = new TreeMap<>();
        person.commandsWithKeys().forEach(id -> keys.put(id, person.keys(id).orElse("")));
        return keys;
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

    /** Keys for people, as the menus of this system write them. */
    public static String words(String keys) {
        return AppCommand.combination(keys).map(KeyCombination::getDisplayText).orElse("");
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

    void set(String command, String keys) {
        person.setKeys(command, keys);
    }

    /** Every command has the keys again that it comes with. */
    public void reset() {
        person.commandsWithKeys().forEach(person::resetKeys);
    }

    /** Writes keys by the ids of their commands into a file; what came of it is said on the window's thread. */
    public void write(Map<String, String> keys, Path file, Consumer<String> said) {
        away(said, () -> {
            byte[] json = (JSON.writeValueAsString(keys) + "\n").getBytes(StandardCharsets.UTF_8);
            NewFile.write(file, true, out -> out.write(json));
            return () -> Strings.text("keys.exported", file.toString());
        });
    }

    /** Takes over the keys of a file, as far as commands are known and keys are; a file that cannot be read changes nothing. */
    public void read(Path file, Consumer<String> said) {
        away(said, () -> {
            Map<String, String> keys = JSON.readValue(Files.readAllBytes(file), new TypeReference<>() {});
            return () -> take(keys);
        });
    }

    private String take(Map<String, String> keys) {
        int taken = 0;
        for (Map.Entry<String, String> each : keys.entrySet()) {
            String wanted = each.getValue();
            Optional<KeyCombination> combination = AppCommand.combination(wanted);
            if (AppCommand.isKnown(each.getKey())
                    && (wanted.isEmpty()
                            || combination.filter(KeyBindings::isUsable).isPresent())) {
                person.setKeys(each.getKey(), wanted);
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
            } catch (IOException e) {
                Platform.runLater(() -> said.accept(Strings.text("keys.failed", String.valueOf(e.getMessage()))));
            } catch (RuntimeException e) {
                Platform.runLater(() -> said.accept(Notification.sentence(e)));
            }
        });
    }
}
