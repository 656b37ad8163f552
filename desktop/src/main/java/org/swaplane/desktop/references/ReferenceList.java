package org.swaplane.desktop.references;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ReferenceLibrary;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.ReferenceFiles;

/** The files of the references in their order, each with a role; the search can be narrowed down to one of them. */
final class ReferenceList extends VBox {
    private static final double HEIGHT = 150;
    private static final double LEAST = 76;

    private final LaneSession session;
    private final FilePicker picker;
    private final Runnable changed;
    private final ListView<ReferenceLibrary.Listed> list = new ListView<>();
    private final ComboBox<ReferenceFiles.Role> role =
            Choice.of("reference-role", List.of(ReferenceFiles.Role.values()), ReferenceList::word);
    private final ToggleButton only = new ToggleButton(Strings.text("references.only-here"));
    private final Button prefer = Controls.button("reference-prefer", "memories.prefer", this::prefer);
    private final Button remove = Controls.button("reference-remove", "references.remove", this::remove);
    private final Node ofChosen;
    private boolean showing;

    /**
     * @param changed told when files came, went or count for something else
     * @param narrowed told which file alone is searched; empty for all
     */
    ReferenceList(LaneSession session, FilePicker picker, Runnable changed, Consumer<String> narrowed) {
        this.session = session;
        this.picker = picker;
        this.changed = changed;
        getStyleClass().add("card");
        list.setId("reference-files");
        list.setAccessibleText(Strings.text("references.files"));
        list.setPrefHeight(HEIGHT);
        list.setMinHeight(LEAST);
        VBox.setVgrow(list, Priority.ALWAYS);
        list.setPlaceholder(Controls.quiet(Strings.text("references.no-files")));
        list.setCellFactory(any -> new FileCell());
        only.setId("reference-only");
        only.selectedProperty().addListener((property, before, now) -> narrowed.accept(now ? chosen() : ""));
        list.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> {
            showCommands();
            if (only.isSelected()) {
                narrowed.accept(chosen());
            }
        });
        ofChosen = Controls.wrapped(role, prefer, only, remove);
        role.setAccessibleText(Strings.text("references.role"));
        role.setOnAction(event -> setRole());
        getChildren()
                .addAll(
                        Controls.heading("references.files"),
                        list,
                        Controls.wrapped(
                                Controls.button("memory-import", "memories.import", this::add),
                                Controls.button("references-copy", "references.copy", this::copy)),
                        ofChosen);
        showCommands();
    }

    /** How a role is called. */
    static String word(ReferenceFiles.Role role) {
        return Strings.text(
                "references.role." + role.name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }

    private String chosen() {
        ReferenceLibrary.Listed chosen = list.getSelectionModel().getSelectedItem();
        return chosen == null ? "" : chosen.file().name();
    }

    private void showCommands() {
        ReferenceLibrary.Listed chosen = list.getSelectionModel().getSelectedItem();
        boolean writable = chosen != null && !session.lane().isReadOnly();
        Controls.showIf(ofChosen, chosen != null || only.isSelected());
        showing = true;
        role.setValue(chosen == null ? ReferenceFiles.Role.OTHER : chosen.file().role());
        showing = false;
        role.setDisable(!writable);
        remove.setDisable(!writable);
        prefer.setDisable(!writable || list.getSelectionModel().getSelectedIndex() < 1);
        only.setDisable(chosen == null && !only.isSelected());
    }

    void refresh() {
        session.library().files(files -> {
            if (!list.getItems().equals(files)) {
                String chosen = chosen();
                list.getItems().setAll(files);
                files.stream()
                        .filter(each -> each.file().name().equals(chosen))
                        .findFirst()
                        .ifPresent(list.getSelectionModel()::select);
            }
        });
    }

    void add() {
        List<Path> files = picker.chooseFiles();
        if (!files.isEmpty()) {
            session.library().add(files, changed);
        }
    }

    private void copy() {
        picker.chooseFolder().ifPresent(folder -> session.library().copyFrom(folder, changed));
    }

    private Optional<String> name() {
        return Optional.of(chosen()).filter(name -> !name.isEmpty());
    }

    private void setRole() {
        if (!showing) {
            name().ifPresent(name -> session.library().setRole(name, role.getValue(), changed));
        }
    }

    private void prefer() {
        name().ifPresent(name -> session.library().prefer(name, changed));
    }

    private void remove() {
        name().ifPresent(name -> session.library().remove(name, changed));
    }

    private static final class FileCell extends ListCell<ReferenceLibrary.Listed> {
        @Override
        protected void updateItem(ReferenceLibrary.Listed listed, boolean empty) {
            super.updateItem(listed, empty);
            setText(
                    empty || listed == null
                            ? null
                            : Strings.text("memories.entry", listed.file().name(), listed.units())
                                    + (listed.file().role() == ReferenceFiles.Role.OTHER
                                            ? ""
                                            : " · " + word(listed.file().role())));
        }
    }
}
