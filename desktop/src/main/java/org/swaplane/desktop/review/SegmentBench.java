package org.swaplane.desktop.review;

import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.check.Finding;
import org.swaplane.check.Pairing;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.desktop.editor.TargetEditor;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.Segment;
import org.swaplane.lane.Conflict;
import org.swaplane.review.Transliteration;

/** Where the segment in hand is worked at: editor, limit, pairing strip, findings with their fix. There is one, and it moves. */
final class SegmentBench extends VBox {
    private static final PseudoClass EXCEEDED = PseudoClass.getPseudoClass("exceeded");

    private final LaneSession session;
    private final TargetEditor editor = new TargetEditor();
    private final SpecialCharacters characters = new SpecialCharacters(editor);
    private final PairingStrip pairing = new PairingStrip();
    private final ScrollPane pairingScroll = new ScrollPane(pairing);
    private final VBox writing = Controls.styled(new VBox(editor), "column-tight");
    private final Label limit = Controls.styled(new Label(), "caption");
    private final VBox findings = Controls.styled(new VBox(), "column-tight");
    private int index = -1;
    private Segment loaded;
    private boolean loading;
    private boolean freshlyLoaded;
    /** Whether the keyboard is the editor's, also while its row is not on the screen. */
    private boolean wantsFocus;

    private Runnable onTyped = () -> {};
    private Node standIn = this;
    private Pairing shownPairs;
    private List<Finding> shownFindings = List.of();
    private Optional<Conflict> shownConflict = Optional.empty();

    SegmentBench(LaneSession session) {
        this.session = session;
        getStyleClass().add("bench");
        pairingScroll.setFitToHeight(true);
        pairingScroll.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        pairingScroll.setFocusTraversable(false);
        pairingScroll.getStyleClass().add("pairing-scroll");
        getChildren().addAll(pairingScroll, findings);
        editor.plainTextChanges().subscribe(change -> typed());
        editor.addEventHandler(KeyEvent.KEY_TYPED, event -> typedIntoLocked());
        editor.sceneProperty().addListener((property, before, now) -> sceneChanged(before, now));
    }

    /**
     * While the row of the current segment is not on the screen, {@code list} has the keyboard in the editor's place, and hands on what
     * is typed, so that no letter is lost; {@code bring} brings the row back.
     */
    void standIn(Node list, Runnable bring) {
        standIn = list;
        list.addEventHandler(KeyEvent.ANY, event -> {
            if (event.getTarget() == list && index >= 0) {
                Event.fireEvent(editor, event.copyFor(editor, editor));
                event.consume();
                wantsFocus = true;
                bring.run();
            }
        });
    }

    private void sceneChanged(Scene before, Scene now) {
        if (now == null && before.getFocusOwner() == editor) {
            wantsFocus = true;
            standIn.requestFocus();
        } else if (now != null && wantsFocus) {
            Platform.runLater(this::takeFocus);
        }
    }

    private void typedIntoLocked() {
        if (!editor.isEditable() && loaded != null && loaded.locked()) {
            session.notify(Notification.Tone.FAILED, Strings.text("editing.locked", 1));
        }
    }

    /** Puts the bench into the row of a segment, its editor into {@code place}, and shows the segment as it stands. */
    void moveTo(GridPane row, VBox place, int segment) {
        if (getParent() != row) {
            if (getParent() instanceof GridPane before) {
                before.getChildren().remove(this);
            }
            row.add(this, 1, 2, 3, 1);
        }
        if (writing.getParent() != place) {
            if (writing.getParent() instanceof VBox before) {
                before.getChildren().remove(writing);
            }
            place.getChildren().setAll(writing);
        }
        show(segment);
        if (wantsFocus) {
            takeFocus();
            Platform.runLater(this::takeFocus);
        }
    }

    /** Shows the segment as it stands, before its row is on the screen. */
    void show(int segment) {
        Segment now = session.snapshot().segment(segment);
        if (index != segment
                || !now.equals(loaded)
                || !editor.content().equals(session.snapshot().target(segment))) {
            index = segment;
            loaded = now;
            load();
        }
        showAround();
    }

    private void load() {
        loading = true;
        TextLanguage language = TextLanguage.of(
                session.snapshot().targetLanguage(index),
                session.directions(index).target());
        editor.language(language);
        pairing.setNodeOrientation(language.direction());
        editor.load(loaded.source(), session.snapshot().target(index));
        editor.setEditable(!loaded.locked());
        transliterate();
        freshlyLoaded = true;
        loading = false;
    }

    private void showAround() {
        Content target = session.snapshot().target(index);
        Pairing pairs = loaded.locked()
                ? new Pairing(List.of(), List.of(), List.of())
                : Pairing.of(session.snapshot().checked(index));
        if (!pairs.equals(shownPairs)) {
            shownPairs = pairs;
            pairing.show(pairs);
        }
        pairingScroll.setVisible(!pairs.isEmpty());
        pairingScroll.setManaged(!pairs.isEmpty());
        limit.setText(LimitCount.words(target, loaded.limits()));
        limit.pseudoClassStateChanged(EXCEEDED, LimitCount.isExceeded(target, loaded.limits()));
        if (limit.getText().isEmpty()) {
            writing.getChildren().remove(limit);
        } else if (limit.getParent() == null) {
            writing.getChildren().add(limit);
        }
        showFindings();
    }

    /** Made anew only when they are others: most letters change nothing about them. */
    private void showFindings() {
        List<Finding> open = session.checking().open(index);
        Optional<Conflict> conflict = session.editing().conflict(index);
        if (open.equals(shownFindings) && conflict.equals(shownConflict) && !freshlyLoaded) {
            return;
        }
        freshlyLoaded = false;
        shownFindings = open;
        shownConflict = conflict;
        editor.mark(open.stream()
                .flatMap(finding -> finding.target().stream())
                .sorted()
                .toList());
        findings.getChildren().clear();
        conflict.ifPresent(each -> findings.getChildren().add(row(each)));
        open.forEach(finding -> findings.getChildren().add(row(finding)));
    }

    private HBox row(Finding finding) {
        Label message = Controls.styled(new Label(finding.message()), "stop-text");
        message.setWrapText(true);
        message.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(message, Priority.ALWAYS);
        HBox row = Controls.styled(new HBox(message), "bench-finding");
        if (finding.suggestion().isPresent()) {
            Button fix = Controls.withKey(
                    Controls.button("fix", "checks.fix", () -> session.editing().fix(finding)), "Alt+F");
            row.getChildren().add(Controls.styled(fix, "small"));
        }
        return row;
    }

    /** What somebody wrote here and could not be kept, since the segment had become another meanwhile. */
    private HBox row(Conflict conflict) {
        String written = TagNotation.write(conflict.wanted().after().target(), loaded.source());
        Label message = Controls.styled(new Label(Strings.text("editing.conflict", written)), "stop-text");
        message.setWrapText(true);
        message.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(message, Priority.ALWAYS);
        HBox row = Controls.styled(new HBox(message), "bench-finding");
        row.setId("conflict");
        row.getChildren()
                .addAll(
                        Controls.styled(
                                Controls.button("conflict-mine", "editing.conflict-mine", () -> session.editing()
                                        .putBack(index)),
                                "small"),
                        Controls.styled(
                                Controls.button("conflict-leave", "editing.conflict-leave", () -> session.editing()
                                        .dismissConflict(index)),
                                "small"));
        return row;
    }

    private void typed() {
        if (!loading && index >= 0 && editor.isEditable()) {
            Content content = editor.content();
            if (!content.equals(session.snapshot().target(index))) {
                session.editing().type(index, content);
                // The caret moves when this is done.
                Platform.runLater(onTyped);
            }
        }
    }

    /** Marks the word that is being read aloud; without one, what findings are about is marked again. */
    void markSpoken(List<Span> words) {
        if (words.isEmpty()) {
            freshlyLoaded = true;
            showFindings();
        } else {
            editor.mark(words);
        }
    }

    /** Types in the script of the language where the person chose so. */
    void transliterate() {
        String language = session.snapshot().targetLanguage(index);
        boolean on = !session.person()
                .choice(SegmentCommands.TRANSLITERATED, language)
                .isEmpty();
        editor.transliterate(on ? Transliteration.of(language) : Optional.empty());
    }

    /** {@code listener} is told of each letter that somebody typed, and shows {@code hint} over the editor. */
    void onTyped(Runnable listener, Node hint) {
        onTyped = listener;
        writing.getChildren().add(hint);
    }

    /** Draws the target again, as it is drawn otherwise now. */
    void redraw() {
        editor.redraw();
    }

    TargetEditor editor() {
        return editor;
    }

    /** Puts words into the target at the caret, where the keyboard goes, too. */
    void insertWords(String words) {
        if (editor.isEditable()) {
            editor.replaceSelection(words);
        }
        focusEditor();
    }

    /** The words that are selected in the target, without tags. */
    String selected() {
        return editor.getSelectedText().replace("\uFFFC", "").strip();
    }

    void openCharacters() {
        if (editor.getScene() != null) {
            characters.open();
        }
    }

    /** To the editor, as soon as the row of the current segment is on the screen. */
    void focusEditor() {
        wantsFocus = true;
        takeFocus();
        Platform.runLater(this::takeFocus);
    }

    private void takeFocus() {
        if (wantsFocus && editor.getScene() != null) {
            editor.requestFocus();
            wantsFocus = editor.getScene().getFocusOwner() != editor;
        } else if (wantsFocus) {
            standIn.requestFocus();
        }
    }
}
