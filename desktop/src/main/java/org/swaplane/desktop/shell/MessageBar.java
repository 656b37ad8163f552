package org.swaplane.desktop.shell;

import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Parts;

/** Says what was done or what failed, until it is dismissed. */
final class MessageBar extends HBox {
    private static final PseudoClass FAILED = PseudoClass.getPseudoClass("failed");

    private final Label text = new Label();

    MessageBar(LaneSession session) {
        getStyleClass().add("message-bar");
        setId("message-bar");
        setAlignment(Pos.CENTER_LEFT);
        text.setId("message");
        text.setWrapText(true);
        text.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(text, Priority.ALWAYS);
        getChildren()
                .addAll(
                        text,
                        Parts.styled(
                                Parts.button("dismiss-message", "message.dismiss", session::dismissMessage), "flat"));
        session.messageProperty().addListener((property, before, now) -> show(now));
        show(session.messageProperty().get());
    }

    private void show(Notification message) {
        setVisible(message != null);
        setManaged(message != null);
        if (message != null) {
            text.setText(message.text());
            pseudoClassStateChanged(FAILED, message.tone() == Notification.Tone.FAILED);
        }
    }
}
