package org.swaplane.desktop.lanes;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;

/** What holds for the person in all lanes. Each is kept as soon as it is set; lanes that are there do not change by it. */
public final class PersonPane extends VBox {
    private final PersonSettings settings;
    private final TextField name = new TextField();
    private final CheckBox dark = new CheckBox(Strings.text("person.dark"));
    private final Spinner<Integer> size = new Spinner<>(10, 24, 13);
    private final ComboBox<String> language = Choice.of(
            "person-language",
            List.of("", "en", "de"),
            code -> Strings.text(code.isEmpty() ? "person.language.system" : "person.language." + code));
    private final TextField folder = new TextField();
    private boolean showing;

    public PersonPane(PersonSettings settings) {
        this.settings = settings;
        getStyleClass().addAll("card", "person");
        setId("person-pane");
        name.setId("person-name");
        folder.setId("person-folder");
        size.setEditable(true);
        size.setMaxWidth(Double.MAX_VALUE);
        language.setMaxWidth(Double.MAX_VALUE);
        dark.setId("person-dark");
        name.textProperty().addListener((property, before, now) -> unlessShowing(() -> settings.setName(now)));
        dark.selectedProperty().addListener((property, before, now) -> unlessShowing(() -> settings.setDark(now)));
        size.valueProperty().addListener((property, before, now) -> unlessShowing(() -> settings.setFontSize(now)));
        language.setOnAction(event -> unlessShowing(() -> settings.setInterfaceLanguage(language.getValue())));
        folder.setOnAction(event -> keepFolder());
        folder.focusedProperty().addListener((property, before, focused) -> {
            if (!focused) {
                keepFolder();
            }
        });
        getChildren()
                .addAll(
                        Controls.heading("person.title"),
                        Controls.quiet(Strings.text("person.hint")),
                        field("person.name", name),
                        field("person.language", language),
                        Controls.quiet(Strings.text("person.language.hint")),
                        dark,
                        field("person.font-size", size),
                        field("person.folder", folder));
    }

    private void keepFolder() {
        unlessShowing(() -> {
            if (!folder.getText().isBlank()) {
                settings.setLanesFolder(java.nio.file.Path.of(folder.getText().strip()));
            }
        });
    }

    private void unlessShowing(Runnable change) {
        if (!showing) {
            change.run();
        }
    }

    private static VBox field(String key, Node node) {
        Label label = Controls.styled(new Label(Strings.text(key)), "quiet");
        label.setLabelFor(node);
        node.setAccessibleText(Strings.text(key));
        return Controls.styled(new VBox(label, node), "column-tight");
    }

    void show() {
        showing = true;
        name.setText(settings.name());
        dark.setSelected(settings.isDark());
        size.getValueFactory().setValue(settings.fontSize());
        language.setValue(settings.interfaceLanguage());
        folder.setText(settings.lanesFolder().toString());
        showing = false;
    }
}
