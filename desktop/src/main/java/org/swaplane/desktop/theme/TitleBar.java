package org.swaplane.desktop.theme;

import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Controls;

/** Title, tools and commands of a view in one line; large text gives the tools a line of their own. */
public final class TitleBar extends VBox {
    private static final double ONE_LINE_UP_TO = 1.4;

    private final PersonSettings person;
    private final HBox line;
    private final Node tools;
    private final Region space = new Region();

    /** @param tools take the room that is left */
    public TitleBar(PersonSettings person, String titleKey, Node tools, Node... commands) {
        this.person = person;
        this.tools = tools;
        this.line = Controls.row(Controls.title(titleKey), tools);
        line.getChildren().addAll(commands);
        Controls.styled(this, "title-bar");
        HBox.setHgrow(tools, Priority.ALWAYS);
        HBox.setHgrow(space, Priority.ALWAYS);
        getChildren().add(line);
        person.onChange(this::arrange);
        arrange();
    }

    private void arrange() {
        boolean apart = person.scale() > ONE_LINE_UP_TO;
        if (apart != getChildren().contains(tools)) {
            if (apart) {
                line.getChildren().set(1, space);
                getChildren().add(tools);
            } else {
                getChildren().remove(tools);
                line.getChildren().set(1, tools);
            }
        }
    }
}
