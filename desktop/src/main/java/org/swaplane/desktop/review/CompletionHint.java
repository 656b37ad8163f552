package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import org.swaplane.content.Content;
import org.swaplane.desktop.editor.TargetEditor;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.review.Completion;

/** Below the caret, what the word that is being typed may become; a key takes the first, another one goes to the next. */
final class CompletionHint {
    private static final int MOST = 5;
    private static final int NEIGHBOURS = 20;

    private final LaneSession session;
    private final TargetEditor editor;
    private final Supplier<List<String>> terms;
    private final Supplier<List<String>> matches;
    private final HBox row = Controls.styled(new HBox(), "completion");
    private List<String> words = List.of();
    private String begun = "";

    /**
     * @param terms wordings that the terms of the segment have
     * @param matches translations that the memories know, the best first
     */
    CompletionHint(
            LaneSession session, TargetEditor editor, Supplier<List<String>> terms, Supplier<List<String>> matches) {
        this.session = session;
        this.editor = editor;
        this.terms = terms;
        this.matches = matches;
        row.setId("completion");
        // It lies over what is below, and moves nothing.
        row.setManaged(false);
        row.setMouseTransparent(true);
        row.setViewOrder(-1);
        row.setVisible(false);
        editor.focusedProperty().addListener((property, before, focused) -> {
            if (!focused) {
                hide();
            }
        });
        editor.caretPositionProperty().addListener((property, before, now) -> {
            if (!Completion.begun(editor.beforeCaret()).equals(begun)) {
                hide();
            }
        });
    }

    /** What is laid over the editor's place. */
    Node node() {
        return row;
    }

    /** Somebody typed: looks what that may become. */
    void typed() {
        begun = editor.isFocused() ? Completion.begun(editor.beforeCaret()) : "";
        words = begun.isEmpty() ? List.of() : Completion.of(begun, terms.get(), texts(), MOST);
        show();
    }

    /** What is at hand: matches, the source, and the targets around the segment. */
    private List<String> texts() {
        int index = session.currentProperty().get();
        TrackSnapshot track = session.snapshot();
        List<String> texts = new ArrayList<>(matches.get());
        texts.add(track.segment(index).source().plainText());
        for (int i = Math.max(0, index - NEIGHBOURS); i < Math.min(track.size(), index + NEIGHBOURS); i++) {
            Content target = track.target(i);
            if (i != index && !target.isEmpty()) {
                texts.add(target.plainText());
            }
        }
        return texts;
    }

    private void show() {
        if (words.isEmpty()) {
            hide();
            return;
        }
        row.getChildren().clear();
        for (int i = 0; i < words.size(); i++) {
            row.getChildren()
                    .add(Controls.styled(new Label(words.get(i)), i == 0 ? "completion-first" : "completion-other"));
        }
        editor.getCaretBounds().ifPresent(caret -> {
            Point2D place = row.getParent().screenToLocal(caret.getMinX(), caret.getMaxY());
            if (place != null) {
                row.applyCss();
                row.autosize();
                double most = Math.max(0, editor.getWidth() - row.getWidth());
                row.relocate(Math.min(place.getX(), most), place.getY());
                row.setVisible(true);
            }
        });
    }

    private void hide() {
        words = List.of();
        row.setVisible(false);
    }

    /** Takes the first one. */
    void take() {
        if (words.isEmpty()) {
            typed();
        }
        if (!words.isEmpty() && editor.isEditable()) {
            String word = words.get(0);
            String replaced = begun;
            hide();
            editor.complete(replaced, word);
        }
    }

    /** The next one comes first. */
    void turn() {
        if (words.size() > 1) {
            List<String> turned = new ArrayList<>(words.subList(1, words.size()));
            turned.add(words.get(0));
            words = turned;
            show();
        }
    }
}
