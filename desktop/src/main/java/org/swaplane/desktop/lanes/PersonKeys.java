package org.swaplane.desktop.lanes;

import java.nio.file.Path;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.shell.KeyBindings;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;

/** The keys that the person gave commands; they are changed in the list of all keys of a lane's window. */
final class PersonKeys extends VBox {
    private final KeyBindings bindings;
    private final FilePicker picker;
    private final Label own = Controls.quiet("");
    private final Label said = Controls.quiet("");

    PersonKeys(PersonSettings settings, FilePicker picker) {
        this.bindings = new KeyBindings(settings);
        this.picker = picker;
        getStyleClass().add("column-tight");
        own.setId("person-keys");
        said.setId("person-keys-said");
        getChildren()
                .addAll(
                        Controls.heading("keys.title"),
                        own,
                        Controls.wrapped(
                                Controls.button("person-keys-export", "keys.export", this::export),
                                Controls.button("person-keys-import", "keys.import", this::read),
                                Controls.button("person-keys-reset", "keys.reset", this::reset)),
                        said);
    }

    void show() {
        Map<String, String> keys = bindings.own();
        StringBuilder words = new StringBuilder(Strings.text("person.keys", keys.size()));
        keys.forEach((command, key) -> words.append('\n')
                .append(Strings.text(
                        "person.key",
                        Strings.text("command." + command),
                        key.isEmpty() ? Strings.text("keys.none") : KeyBindings.words(key))));
        own.setText(words.toString());
        Controls.showIf(said, !said.getText().isEmpty());
    }

    private void said(String words) {
        said.setText(words);
        show();
    }

    private void export() {
        picker.chooseTarget("swap-lane-keys.json")
                .ifPresent((Path file) -> bindings.write(bindings.own(), file, this::said));
    }

    private void read() {
        picker.chooseFiles().stream().findFirst().ifPresent(file -> bindings.read(file, this::said));
    }

    private void reset() {
        bindings.reset();
        said(Strings.text("keys.were-reset"));
    }
}
