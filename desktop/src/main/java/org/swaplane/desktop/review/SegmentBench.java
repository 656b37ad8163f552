package org.swaplane.desktop.review;

import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.check.Finding;
import org.swaplane.check.Pairing;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.Segment;
import org.swaplane.lane.Conflict;

/** Where the segment in hand is worked at: editor, limit, pairing strip, findings with their fix. There is one, and it moves. */
final class SegmentBench extends VBox {
    private static final PseudoClass EXCEEDED = PseudoClass.getPseudoClass("exceeded");

    private final LaneSession session;
    private final TargetEditor editor = new TargetEditor();
    private final PairingStrip pairing = new PairingStrip();
    private final ScrollPane pairingScroll = new ScrollPane(pairing);
    private final VBox writing = Parts.styled(new VBox(editor), "column-tight");
    private final Label limit = Parts.styled(new Label(), "caption");
    private final VBox findings = Parts.styled(new VBox(), "column-tight");
    private int index = -1;
    private Segment loaded;
    private boolean loading;
    private boolean wantsFocus;
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
    }

    /** Puts the bench into the row of a segment, its editor into {@code place}, and shows the segment as it stands. */
    void moveTo(GridPane row, VBox place, int segment) {
        wantsFocus |= editor.isFocused();
        if (getParent() != row) {
            if (getParent() instanceof GridPane before) {
                before.getChildren().remove(this);
            }
            row.add(this, 1, 1, 3, 1);
        }
        if (writing.getParent() != place) {
            if (writing.getParent() instanceof VBox before) {
                before.getChildren().remove(writing);
            }
            place.getChildren().setAll(writing);
        }
        Segment now = session.snapshot().segment(segment);
        if (index != segment
                || !now.equals(loaded)
                || !editor.content().equals(session.snapshot().target(segment))) {
            index = segment;
            loaded = now;
            load();
        }
        showAround();
        if (wantsFocus) {
            Platform.runLater(this::takeFocus);
        }
    }

    private void load() {
        loading = true;
        editor.language(TextLanguage.of(
                session.snapshot().targetLanguage(index),
                session.directions(index).target()));
        editor.load(loaded.source(), session.snapshot().target(index));
        editor.setEditable(!loaded.locked());
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
        writing.getChildren().remove(limit);
        if (!limit.getText().isEmpty()) {
            writing.getChildren().add(limit);
        }
        showFindings();
    }

    /** Made anew only when they are others: most letters change nothing about them. */
    private void showFindings() {
        List<Finding> open = session.checking().open(index);
        Optional<Conflict> conflict = session.editing().conflict(index);
        if (open.equals(shownFindings) && conflict.equals(shownConflict)) {
            return;
        }
        shownFindings = open;
        shownConflict = conflict;
        findings.getChildren().clear();
        conflict.ifPresent(each -> findings.getChildren().add(row(each)));
        open.forEach(finding -> findings.getChildren().add(row(finding)));
    }

    private HBox row(Finding finding) {
        Label message = Parts.styled(new Label(finding.message()), "stop-text");
        message.setWrapText(true);
        message.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(message, Priority.ALWAYS);
        HBox row = Parts.styled(new HBox(message), "bench-finding");
        if (finding.suggestion().isPresent()) {
            Button fix = Parts.withKey(
                    Parts.button("fix", "checks.fix", () -> session.editing().fix(finding)), "Alt+F");
            row.getChildren().add(Parts.styled(fix, "small"));
        }
        return row;
    }

    /** What somebody wrote here and could not be kept, since the segment had become another meanwhile. */
    private HBox row(Conflict conflict) {
        String written = TagNotation.write(conflict.wanted().after().target(), loaded.source());
        Label message = Parts.styled(new Label(Strings.say("editing.conflict", written)), "stop-text");
        message.setWrapText(true);
        message.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(message, Priority.ALWAYS);
        HBox row = Parts.styled(new HBox(message), "bench-finding");
        row.setId("conflict");
        row.getChildren()
                .addAll(
                        Parts.styled(
                                Parts.button("conflict-mine", "editing.conflict-mine", () -> session.editing()
                                        .putBack(index)),
                                "small"),
                        Parts.styled(
                                Parts.button("conflict-leave", "editing.conflict-leave", () -> session.editing()
                                        .dismissConflict(index)),
                                "small"));
        return row;
    }

    private void typed() {
        if (!loading && index >= 0 && editor.isEditable()) {
            Content content = editor.content();
            if (!content.equals(session.snapshot().target(index))) {
                session.editing().type(index, content);
            }
        }
    }

    TargetEditor editor() {
        return editor;
    }

    /** To the editor, as soon as the row of the current segment is on the screen. */
    void focusEditor() {
        wantsFocus = true;
        Platform.runLater(this::takeFocus);
    }

    private void takeFocus() {
        if (wantsFocus && editor.getScene() != null) {
            editor.requestFocus();
            wantsFocus = !editor.isFocused();
        }
    }
}
