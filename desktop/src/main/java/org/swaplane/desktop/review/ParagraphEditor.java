package org.swaplane.desktop.review;

import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import org.swaplane.content.Content;
import org.swaplane.desktop.editor.TargetEditor;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.lane.TrackSnapshot;

/** The targets of a paragraph's segments, each in an editor, below each other. What is typed is saved as it is made. */
final class ParagraphEditor extends VBox {
    private final LaneSession session;
    private int first = -1;

    /** {@code done} is run when somebody wants to leave. */
    ParagraphEditor(LaneSession session, Runnable done) {
        this.session = session;
        getStyleClass().add("column-tight");
        setId("paragraph-editor");
        // It stands in the list only when that was laid out again.
        sceneProperty().addListener((property, before, now) -> {
            if (now != null && isEditing()) {
                Platform.runLater(this::focus);
            }
        });
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                done.run();
                event.consume();
            }
        });
    }

    boolean isEditing() {
        return first >= 0;
    }

    /** Index of the paragraph's first segment. */
    int first() {
        return first;
    }

    /** Index of the segment in whose editor the keyboard is. */
    int current() {
        for (int i = 0; i < getChildren().size(); i++) {
            if (getChildren().get(i).isFocused()) {
                return first + i;
            }
        }
        return first;
    }

    /** The editor that has the keyboard. */
    Optional<TargetEditor> withKeyboard() {
        return getChildren().stream()
                .filter(Node::isFocused)
                .map(TargetEditor.class::cast)
                .findFirst();
    }

    void begin(int index, int count) {
        first = index;
        getChildren().clear();
        TrackSnapshot track = session.snapshot();
        for (int i = index; i < index + count; i++) {
            getChildren().add(editor(track, i));
        }
    }

    private TargetEditor editor(TrackSnapshot track, int index) {
        TargetEditor editor = new TargetEditor();
        editor.setId("paragraph-target-" + index);
        editor.language(TextLanguage.of(
                track.targetLanguage(index), session.directions(index).target()));
        editor.load(track.segment(index).source(), track.target(index));
        // A row of a list gives no more than the least.
        editor.minHeightProperty().bind(editor.prefHeightProperty());
        editor.setEditable(!track.segment(index).locked() && session.editing().isAllowed());
        editor.textProperty().addListener((property, before, now) -> {
            Content content = editor.content();
            if (isEditing() && !content.equals(session.snapshot().target(index))) {
                session.currentProperty().set(index);
                session.editing().type(index, content);
            }
        });
        return editor;
    }

    private void focus() {
        getChildren().stream().findFirst().ifPresent(Node::requestFocus);
    }

    void end() {
        if (isEditing()) {
            session.editing().endStep();
            first = -1;
            getChildren().clear();
        }
    }
}
