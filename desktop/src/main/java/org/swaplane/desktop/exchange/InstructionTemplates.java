package org.swaplane.desktop.exchange;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextInputControl;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Strings;

/** Instructions that the person wrote once and uses again: put in, kept, and removed here. */
final class InstructionTemplates extends MenuButton {
    private static final int MOST_SHOWN = 60;

    private final PersonSettings person;
    private final TextInputControl instructions;

    InstructionTemplates(PersonSettings person, TextInputControl instructions) {
        super(Strings.text("templates"));
        this.person = person;
        this.instructions = instructions;
        setId("instruction-templates");
        setMinWidth(USE_PREF_SIZE);
        setOnShowing(event -> fill());
        fill();
    }

    private void fill() {
        List<String> kept = person.instructions();
        getItems()
                .setAll(kept.stream()
                        .map(text -> item(shown(text), () -> instructions.setText(text)))
                        .toList());
        if (!kept.isEmpty()) {
            getItems().add(new SeparatorMenuItem());
        }
        String written = instructions.getText().strip();
        MenuItem keep = item(Strings.text("templates.keep"), () -> keep(written));
        keep.setDisable(written.isEmpty() || kept.contains(written));
        getItems().add(keep);
        if (!kept.isEmpty()) {
            Menu remove = new Menu(Strings.text("templates.remove"));
            kept.forEach(text -> remove.getItems().add(item(shown(text), () -> remove(text))));
            getItems().add(remove);
        }
    }

    private static MenuItem item(String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setMnemonicParsing(false);
        item.setOnAction(event -> action.run());
        return item;
    }

    private static String shown(String text) {
        String line = text.lines().findFirst().orElse("");
        return line.length() <= MOST_SHOWN && line.equals(text)
                ? line
                : line.substring(0, Math.min(MOST_SHOWN, line.length())) + "…";
    }

    private void keep(String text) {
        List<String> kept = new ArrayList<>(person.instructions());
        kept.add(text);
        person.setInstructions(kept);
    }

    private void remove(String text) {
        List<String> kept = new ArrayList<>(person.instructions());
        kept.remove(text);
        person.setInstructions(kept);
    }
}
