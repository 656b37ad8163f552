package org.swaplane.desktop.review;

import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;

/** A part of the details under its title, which folds it away and back; that is remembered for the person. */
final class SideSection extends VBox {
    private static final String PLACE = "review-details";
    private static final String FOLDED = "folded";

    private final ToggleButton title;
    private final String words;

    /** @param key of the title */
    SideSection(PersonSettings person, String key, Node content) {
        words = Strings.text(key);
        title = Controls.styled(new ToggleButton(), "section-title");
        title.setId("section-" + key.substring(key.indexOf('.') + 1));
        title.setFocusTraversable(false);
        getStyleClass().add("column-tight");
        getChildren().addAll(title, content);
        title.selectedProperty().addListener((property, before, open) -> {
            show(content, open);
            person.setChoice(PLACE, key, open ? "" : FOLDED);
        });
        boolean open = person.choice(PLACE, key).isEmpty();
        title.setSelected(open);
        show(content, open);
    }

    private void show(Node content, boolean open) {
        Controls.showIf(content, open);
        title.setText((open ? "\u2212 " : "+ ") + words);
    }
}
