package org.swaplane.desktop.references;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.LaneMemories;

/** The memories that the lane looks things up in, with how much is in them; they are shared, merged and written as files. */
final class MemoryList extends VBox {
    private static final double HEIGHT = 150;
    private static final double LEAST = 76;
    private static final List<Integer> PENALTIES = List.of(0, 1, 2, 3, 5, 10);

    private final LaneSession session;
    private final FilePicker picker;
    private final ListView<LaneMemories.Entry> list = new ListView<>();
    private final ComboBox<Integer> penalty =
            Choice.of("memory-penalty", PENALTIES, points -> Strings.text("memories.penalty", points));
    private final Button export;
    private final Button prefer;
    private final Button merge;
    private final CheckBox grows = new CheckBox(Strings.text("memories.grows"));
    private final Button remove;
    private final Node ofChosen;

    MemoryList(LaneSession session, FilePicker picker) {
        this.session = session;
        this.picker = picker;
        getStyleClass().add("card");
        list.setId("memories");
        list.setAccessibleText(Strings.text("memories.title"));
        list.setPrefHeight(HEIGHT);
        list.setMinHeight(LEAST);
        penalty.setAccessibleText(Strings.text("memories.penalty-of-shared"));
        list.setPlaceholder(Controls.quiet(Strings.text("memories.none")));
        list.setCellFactory(any -> new EntryCell());
        list.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> showCommands());
        prefer = Controls.button("memory-prefer", "memories.prefer", this::prefer);
        export = Controls.button("memory-export", "memories.export", this::export);
        merge = Controls.button("memory-merge", "memories.merge", this::merge);
        grows.setId("memory-grows");
        grows.setOnAction(event -> setGrows());
        remove = Controls.button("memory-remove", "memories.remove", this::remove);
        ofChosen = Controls.wrapped(export, merge, prefer, grows, remove);
        getChildren()
                .addAll(
                        Controls.heading("memories.title"),
                        list,
                        Controls.wrapped(Controls.button("memory-share", "memories.share", this::share), penalty),
                        ofChosen);
        showCommands();
    }

    private void showCommands() {
        LaneMemories.Entry chosen = list.getSelectionModel().getSelectedItem();
        boolean shared = chosen != null && chosen.shared();
        Controls.showIf(ofChosen, chosen != null);
        List.of(prefer, grows, remove).forEach(each -> Controls.showIf(each, shared));
        merge.setDisable(chosen == null || session.lane().isReadOnly());
        grows.setDisable(session.lane().isReadOnly());
        grows.setSelected(chosen != null && chosen.grows());
        int at = list.getSelectionModel().getSelectedIndex();
        prefer.setDisable(!shared || at < 1 || !list.getItems().get(at - 1).shared());
    }

    void refresh() {
        session.memories().entries(entries -> {
            if (!list.getItems().equals(entries)) {
                int at = list.getSelectionModel().getSelectedIndex();
                list.getItems().setAll(entries);
                list.getSelectionModel().select(at < entries.size() ? at : -1);
            }
        });
    }

    private void share() {
        picker.chooseFolder().ifPresent(folder -> session.memories().share(folder, penalty.getValue(), this::refresh));
    }

    private void prefer() {
        Optional.ofNullable(list.getSelectionModel().getSelectedItem())
                .ifPresent(entry -> session.memories().prefer(entry.folder(), this::refresh));
    }

    private void remove() {
        Optional.ofNullable(list.getSelectionModel().getSelectedItem())
                .ifPresent(entry -> session.memories().unshare(entry.folder(), this::refresh));
    }

    private void merge() {
        LaneMemories.Entry chosen = list.getSelectionModel().getSelectedItem();
        if (chosen != null) {
            picker.chooseFolder().ifPresent(folder -> session.memories().merge(chosen.folder(), folder, this::refresh));
        }
    }

    private void setGrows() {
        Optional.ofNullable(list.getSelectionModel().getSelectedItem())
                .ifPresent(entry -> session.memories().setGrows(entry.folder(), grows.isSelected(), this::refresh));
    }

    private void export() {
        LaneMemories.Entry chosen = list.getSelectionModel().getSelectedItem();
        if (chosen != null) {
            picker.chooseTarget(chosen.name() + ".tmx")
                    .ifPresent(file -> session.memories().export(chosen, file));
        }
    }

    private static final class EntryCell extends ListCell<LaneMemories.Entry> {
        @Override
        protected void updateItem(LaneMemories.Entry entry, boolean empty) {
            super.updateItem(entry, empty);
            setText(empty || entry == null ? null : words(entry));
        }

        private static String words(LaneMemories.Entry entry) {
            String name = entry.shared() ? entry.name() : Strings.text("memories.own." + entry.name());
            String languages = entry.languages().keySet().stream()
                    .map(pair -> pair.replace(">", " → "))
                    .collect(Collectors.joining(", "));
            String points = entry.penalty() == 0 ? "" : " · " + Strings.text("match.penalty.memory", entry.penalty());
            String grows = entry.shared() && entry.grows() ? " · " + Strings.text("memories.growing") : "";
            return Strings.text("memories.entry", name, entry.units())
                    + points
                    + grows
                    + (languages.isEmpty() ? "" : " · " + languages);
        }
    }
}
