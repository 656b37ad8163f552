package org.swaplane.desktop.shell;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;

/** The views in the order of the work, each with the count of what waits there. */
final class Rail extends VBox {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Map<ViewId, Button> entries = new HashMap<>();
    private final Map<ViewId, Label> counts = new HashMap<>();

    Rail(LaneSession session, List<ViewDescriptor> views) {
        getStyleClass().add("rail");
        getChildren().add(Controls.styled(new Label(Strings.text("app.name")), "app-name"));
        views.forEach(view -> getChildren().add(entry(view.id(), session)));
        session.viewProperty().addListener((property, before, now) -> choose(now));
        choose(session.viewProperty().get());
    }

    private Button entry(ViewId view, LaneSession session) {
        String id = view.name();
        Label count = Controls.styled(new Label(), "rail-count");
        HBox line = new HBox(new Label(Strings.text(view.titleKey())), Controls.spacer(), count);
        line.getStyleClass().add("rail-line");
        Button button = Controls.styled(new Button(null, line), "rail-entry");
        button.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        button.setId("rail-" + id);
        button.setAccessibleText(Strings.text(view.titleKey()));
        button.setMaxWidth(Double.MAX_VALUE);
        button.setOnAction(event -> session.viewProperty().set(view));
        entries.put(view, button);
        counts.put(view, count);
        return button;
    }

    private void choose(ViewId chosen) {
        entries.forEach((view, button) -> button.pseudoClassStateChanged(CHOSEN, view.equals(chosen)));
    }

    /** Shows how much waits in a view; nothing for 0. */
    void count(ViewId view, int waiting) {
        counts.get(view).setText(waiting == 0 ? "" : String.valueOf(waiting));
        counts.get(view).setVisible(waiting > 0);
    }
}
