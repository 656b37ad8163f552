package org.swaplane.desktop.shell;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;

/** All keys in one place. */
final class KeyList extends StackPane {
    private static final double WIDEST = 400;

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

    private static Label words(AppCommand command) {
        Label words = new Label(command.words());
        words.setWrapText(true);
        words.setMaxWidth(WIDEST);
        words.setMinHeight(USE_PREF_SIZE);
        return words;
    }

    void open() {
        grid.getChildren().clear();
        List<AppCommand> withKeys = commands.all().stream()
                .filter(command -> !command.keyWords().isEmpty())
                .toList();
        int rows = (withKeys.size() + 1) / 2;
        for (int i = 0; i < withKeys.size(); i++) {
            int column = i / rows * 2;
            grid.add(Parts.styled(new Label(withKeys.get(i).keyWords()), "key"), column, i % rows);
            grid.add(words(withKeys.get(i)), column + 1, i % rows);
        }
        setVisible(true);
        requestFocus();
    }
}
