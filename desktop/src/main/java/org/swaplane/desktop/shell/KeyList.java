package org.swaplane.desktop.shell;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;

/** All commands with their keys, by view. A key is changed by pressing another one; the table can be saved and read as a file. */
final class KeyList extends StackPane {
    private final Commands commands;
    private final KeyBindings bindings;
    private final FilePicker picker;
    private final Runnable closed;
    private final VBox groups = Controls.styled(new VBox(), "column");
    private final Label said = Controls.quiet("");
    private AppCommand changing;

    /** {@code closed} gives the keyboard back to the view in front. */
    KeyList(Commands commands, FilePicker picker, Runnable closed) {
        this.commands = commands;
        this.bindings = new KeyBindings(commands.person());
        this.picker = picker;
        this.closed = closed;
        getStyleClass().add("overlay");
        setId("key-list");
        ScrollPane scroll = new ScrollPane(groups);
        scroll.setFitToWidth(true);
        VBox box = Controls.styled(
                new VBox(
                        Controls.heading("keys.title"),
                        Controls.quiet(Strings.text("keys.hint")),
                        scroll,
                        said,
                        Controls.row(
                                Controls.button("keys-export", "keys.export", this::export),
                                Controls.button("keys-import", "keys.import", this::read),
                                Controls.button("keys-reset", "keys.reset", this::reset),
                                Controls.spacer(),
                                Controls.primary("keys-close", "keys.close", this::close))),
                "palette");
        box.setMaxSize(760, 620);
        said.setId("keys-said");
        getChildren().add(box);
        FocusTrap.keepIn(this, box.lookup("#keys-close"));
        setOnMouseClicked(event -> {
            if (event.getTarget() == this) {
                close();
            }
        });
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        setVisible(false);
    }

    void open() {
        changing = null;
        said.setText("");
        show();
        setVisible(true);
        lookup("#keys-close").requestFocus();
    }

    private void close() {
        setVisible(false);
        closed.run();
    }

    private void show() {
        groups.getChildren().clear();
        for (String group : commands.groups()) {
            groups.getChildren().addAll(title(group), table(commands.of(group)));
        }
    }

    private static Label title(String group) {
        String key = group.equals(Commands.WINDOW) ? "keys.everywhere" : "view." + group;
        return Controls.styled(new Label(Strings.text(key)), "heading");
    }

    private GridPane table(List<AppCommand> of) {
        GridPane table = Controls.styled(new GridPane(), "key-list");
        for (int i = 0; i < of.size(); i++) {
            AppCommand command = of.get(i);
            Button keys = new Button(
                    changing == command
                            ? Strings.text("keys.press")
                            : command.keyWords().isEmpty() ? Strings.text("keys.none") : command.keyWords());
            keys.getStyleClass().addAll("small", "key");
            keys.setId("keys-" + command.id());
            keys.setPrefWidth(200);
            keys.setAccessibleText(Strings.text("keys.change", command.words()));
            keys.setOnAction(event -> change(command));
            Label words = new Label(command.words());
            words.setWrapText(true);
            table.addRow(i, keys, words);
        }
        return table;
    }

    private void change(AppCommand command) {
        changing = command;
        said.setText(Strings.text("keys.press-for", command.words()));
        show();
        lookup("#keys-" + command.id()).requestFocus();
    }

    private void pressed(KeyEvent event) {
        if (changing == null) {
            if (event.getCode() == KeyCode.ESCAPE || event.getCode() == KeyCode.F1) {
                close();
                event.consume();
            }
            return;
        }
        event.consume();
        if (event.getCode().isModifierKey()) {
            return;
        }
        AppCommand command = changing;
        changing = null;
        if (event.getCode() == KeyCode.ESCAPE) {
            said.setText("");
        } else if (event.getCode() == KeyCode.BACK_SPACE || event.getCode() == KeyCode.DELETE) {
            bindings.set(command.id(), "");
            said.setText(Strings.text("keys.removed", command.words()));
        } else {
            give(command, KeyBindings.of(event));
        }
        show();
        lookup("#keys-" + command.id()).requestFocus();
    }

    private void give(AppCommand command, KeyCombination keys) {
        Optional<AppCommand> other = commands.conflict(command, keys);
        if (other.isPresent()) {
            said.setText(Strings.text(
                    "keys.conflict", keys.getDisplayText(), other.get().words()));
        } else if (!KeyBindings.isUsable(keys)) {
            said.setText(Strings.text("keys.types", keys.getDisplayText()));
        } else {
            bindings.set(command.id(), keys.getName());
            said.setText(Strings.text("keys.given", command.words(), keys.getDisplayText()));
        }
    }

    private void export() {
        Map<String, String> keys = new TreeMap<>();
        commands.all()
                .forEach(each -> keys.put(
                        each.id(), each.keys().map(KeyCombination::getName).orElse("")));
        picker.chooseTarget("swap-lane-keys.json").ifPresent((Path file) -> bindings.write(keys, file, said::setText));
    }

    private void read() {
        picker.chooseFiles().stream()
                .findFirst()
                .ifPresent(file -> bindings.read(file, words -> {
                    said.setText(words);
                    show();
                }));
    }

    private void reset() {
        bindings.reset();
        said.setText(Strings.text("keys.were-reset"));
        show();
    }
}
