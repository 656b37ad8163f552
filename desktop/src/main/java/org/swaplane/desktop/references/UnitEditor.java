package org.swaplane.desktop.references;

import java.util.List;
import javafx.collections.ListChangeListener;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.ReferenceHit;

/** What is done with units that were found: one gets another target, text is replaced in all that are selected, they are taken out; the last of it is undone. */
final class UnitEditor extends VBox {
    private static final int LINES = 2;

    private final LaneSession session;
    private final ListView<ReferenceHit> found;
    private final TextArea target = new TextArea();
    private final TextField what = new TextField();
    private final TextField by = new TextField();
    private final Label about = Controls.quiet("");
    private final Button save;
    private final Button replace;
    private final Button remove;
    private final Button move;
    private final Button undo;
    private final Runnable changed;

    /** {@code changed} is told when the units are not what they were. */
    UnitEditor(LaneSession session, FilePicker picker, ListView<ReferenceHit> found, Runnable changed) {
        this.session = session;
        this.found = found;
        this.changed = changed;
        getStyleClass().addAll("card", "column-tight");
        setId("unit-editor");
        target.setId("unit-target");
        target.setPrefRowCount(LINES);
        target.setWrapText(true);
        target.setAccessibleText(Strings.text("units.target"));
        field(what, "replace-what", "units.what");
        field(by, "replace-by", "units.by");
        HBox.setHgrow(target, Priority.ALWAYS);
        save = Controls.button("save-unit", "units.save", this::save);
        replace = Controls.button("replace-units", "units.replace", this::replace);
        remove = Controls.button("remove-units", "units.remove", this::remove);
        move = Controls.button("move-units", "units.move", () -> picker.chooseFolder()
                .ifPresent(folder -> session.memories().move(selected(), folder, changed)));
        undo = Controls.button(
                "undo-units", "units.undo", () -> session.memories().undoEdit(changed));
        getChildren()
                .addAll(about, Controls.row(target, save), Controls.wrapped(what, by, replace, remove, move, undo));
        found.getSelectionModel().getSelectedItems().addListener((ListChangeListener<ReferenceHit>) change -> show());
        show();
    }

    private static void field(TextField field, String id, String key) {
        field.setId(id);
        field.setPrefColumnCount(12);
        field.setPromptText(Strings.text(key));
        field.setAccessibleText(Strings.text(key));
    }

    private List<ReferenceHit> selected() {
        return List.copyOf(found.getSelectionModel().getSelectedItems());
    }

    void show() {
        List<ReferenceHit> hits = selected();
        boolean editable = !hits.isEmpty() && hits.stream().allMatch(ReferenceHit::editable);
        boolean undoable = session.memories().canUndoEdit();
        Controls.showIf(this, !hits.isEmpty() || undoable);
        about.setText(
                editable || hits.isEmpty()
                        ? Strings.text("units.selected", hits.size())
                        : Strings.text("units.of-review", hits.size()));
        target.setText(hits.size() == 1 ? hits.get(0).unit().targetWritten() : "");
        target.setDisable(!editable || hits.size() != 1);
        save.setDisable(target.isDisabled());
        for (var each : List.of(what, by, replace, remove, move)) {
            each.setDisable(!editable);
        }
        undo.setDisable(!undoable);
    }

    private void save() {
        session.memories().edit(selected().get(0), target.getText().strip(), changed);
    }

    private void replace() {
        if (!what.getText().isEmpty()) {
            session.memories().replace(selected(), what.getText(), by.getText(), changed);
        }
    }

    private void remove() {
        session.memories().remove(selected(), changed);
    }
}
