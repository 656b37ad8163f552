package org.swaplane.desktop.review;

import java.util.List;
import javafx.geometry.Bounds;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import org.swaplane.desktop.editor.TargetEditor;
import org.swaplane.desktop.text.Strings;

/** Characters that no key types, to be put in at the caret. */
final class SpecialCharacters {
    private static final List<String> ALL = List.of(
            "\u00A0", "\u202F", "\u2009", "\u2013", "\u2014", "\u2011", "\u00AD", "\u2026", "\t", "\u200B", "\u200C",
            "\u200D", "\u200E", "\u200F", "\u2066", "\u2067", "\u2069");

    private final TargetEditor editor;
    private final ContextMenu menu = new ContextMenu();

    SpecialCharacters(TargetEditor editor) {
        this.editor = editor;
        menu.setId("special-characters");
        for (String character : ALL) {
            String code = String.format("U+%04X", character.codePointAt(0));
            MenuItem item = new MenuItem(Strings.text("character." + code.substring(2), code));
            item.setOnAction(event -> insert(character));
            menu.getItems().add(item);
        }
    }

    private void insert(String character) {
        if (editor.isEditable()) {
            editor.replaceSelection(character);
        }
        editor.requestFocus();
    }

    void open() {
        Bounds caret = editor.getCaretBounds().orElseGet(() -> editor.localToScreen(editor.getBoundsInLocal()));
        menu.show(editor, caret.getMinX(), caret.getMaxY());
    }
}
