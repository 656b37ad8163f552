package org.swaplane.desktop.desk;

import java.util.List;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.FlowPane;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;

/** How the files of a task are wanted. */
final class DownloadForm extends FlowPane {
    private final ComboBox<DownloadOptions.Form> form = Choice.of(
            "desk-form",
            List.of(DownloadOptions.Form.values()),
            each -> Strings.text("desk.form." + each.id().replace('.', '-')));
    private final ComboBox<DownloadOptions.Memory> memory = Choice.of(
            "desk-memory",
            List.of(DownloadOptions.Memory.ONE, DownloadOptions.Memory.BY_FILE, DownloadOptions.Memory.NONE),
            each -> Strings.text("desk.memory." + each.id()));
    private final CheckBox references = box("desk-references", "desk.references", true);
    private final CheckBox editable = box("desk-editable", "desk.editable", false);
    private final CheckBox filled = box("desk-filled", "desk.filled", false);

    DownloadForm() {
        getStyleClass().add("wrapped-row");
        form.setAccessibleText(Strings.text("desk.form"));
        memory.setAccessibleText(Strings.text("desk.memory"));
        form.setOnAction(event -> showChoices());
        getChildren().addAll(Controls.quiet(Strings.text("desk.form")), form, memory, references, editable, filled);
        showChoices();
    }

    private static CheckBox box(String id, String key, boolean chosen) {
        CheckBox box = new CheckBox(Strings.text(key));
        box.setId(id);
        box.setSelected(chosen);
        return box;
    }

    /** The client's own documents have no locks and no targets. */
    private void showChoices() {
        boolean bilingual = form.getValue() != DownloadOptions.Form.ORIGINAL;
        editable.setDisable(!bilingual);
        filled.setDisable(!bilingual);
    }

    /** Begins with the form in which the files came the last time. */
    void begin(DownloadOptions.Form last) {
        form.setValue(last);
        showChoices();
    }

    DownloadOptions options() {
        return new DownloadOptions(
                form.getValue(),
                memory.getValue(),
                references.isSelected(),
                !editable.isDisabled() && editable.isSelected(),
                !filled.isDisabled() && filled.isSelected());
    }
}
