package org.swaplane.desktop.shell;

import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;

/** All keys in one place. */
final class KeyList extends StackPane {
    private final Commands commands;
    private final GridPane grid = Parts.styled(new GridPane(), "key-list");

    KeyList(Commands commands) {
        this.commands = commands;
        getStyleClass().add("overlay");
        setId("key-list");
        VBox box = Parts.styled(
                new VBox(Parts.heading("keys.title"), grid, Parts.quiet(Strings.say("keys.close"))), "palette");
        box.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        getChildren().add(box);
        setOnMouseClicked(event -> setVisible(false));
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            setVisible(false);
            event.consume();
        });
        setVisible(false);
    }

    void open() {
        grid.getChildren().clear();
        int row = 0;
        for (AppCommand command : commands.all()) {
            if (!command.keyWords().isEmpty()) {
                grid.addRow(row++, Parts.styled(new Label(command.keyWords()), "key"), new Label(command.words()));
            }
        }
        setVisible(true);
        requestFocus();
    }
}
