package org.swaplane.desktop.shell;

import java.nio.file.Path;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.beans.value.ObservableValue;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.util.Duration;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Controls;

/** Says what was done or what failed, over the page, which stays where it is. What was done goes by itself, what failed when it is dismissed. */
public final class MessageBar extends HBox {
    private static final PseudoClass FAILED = PseudoClass.getPseudoClass("failed");
    private static final Duration DONE_STAYS = Duration.seconds(12);

    private final Label text = new Label();
    private final Button openFolder;
    private final Button copyPath;
    private final PauseTransition goes = new PauseTransition(DONE_STAYS);
    private Optional<Path> file = Optional.empty();

    public MessageBar(ObservableValue<Notification> message, FileOpener opener, Runnable dismiss) {
        getStyleClass().add("message-bar");
        setId("message-bar");
        setAlignment(Pos.CENTER_LEFT);
        text.setId("message");
        text.setWrapText(true);
        text.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(text, Priority.ALWAYS);
        openFolder = Controls.button(
                "message-folder",
                "message.open-folder",
                () -> file.ifPresent(path -> opener.open(path.toAbsolutePath().getParent())));
        copyPath = Controls.button("message-path", "message.copy-path", () -> file.ifPresent(MessageBar::copy));
        getChildren()
                .addAll(text, openFolder, copyPath, Controls.button("dismiss-message", "message.dismiss", dismiss));
        getChildren().stream().filter(Button.class::isInstance).forEach(button -> button.getStyleClass()
                .add("small"));
        setMaxSize(860, USE_PREF_SIZE);
        goes.setOnFinished(event -> dismiss.run());
        message.addListener((property, before, now) -> show(now));
        show(message.getValue());
    }

    /** Puts a path on the clipboard. */
    public static void copy(Path path) {
        ClipboardContent content = new ClipboardContent();
        content.putString(path.toAbsolutePath().toString());
        Clipboard.getSystemClipboard().setContent(content);
    }

    private void show(Notification message) {
        goes.stop();
        Controls.showIf(this, message != null);
        if (message == null) {
            return;
        }
        text.setText(message.text());
        file = message.file();
        Controls.showIf(openFolder, file.isPresent());
        Controls.showIf(copyPath, file.isPresent());
        boolean failed = message.tone() == Notification.Tone.FAILED;
        pseudoClassStateChanged(FAILED, failed);
        if (!failed) {
            goes.playFromStart();
        }
    }
}
