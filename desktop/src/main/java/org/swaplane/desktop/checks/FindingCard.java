package org.swaplane.desktop.checks;

import java.util.List;
import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.swaplane.check.Finding;
import org.swaplane.content.Content;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.editor.TargetEditor;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.lane.SetAside;
import org.swaplane.wording.Wording;

/** The finding in hand: both texts with its parts marked, what is suggested, and what can be done about it; the target is
 * corrected here. */
final class FindingCard extends VBox {
    private static final int NONE = -1;

    private final LaneSession session;
    private final Label said = Controls.styled(Controls.quiet(""), "finding-said");
    private final ContentFlow source = new ContentFlow();
    private final TargetEditor target = new TargetEditor();
    private final ContentFlow suggestion = new ContentFlow();
    private final VBox suggested = column("checks.suggestion", suggestion);
    private final TextField reason = new TextField();
    private final ComboBox<SetAside.Scope> scope = Choice.of(
            "aside-scope",
            List.of(SetAside.Scope.values()),
            each -> Strings.text("checks.scope." + each.name().toLowerCase(Locale.ROOT)));
    private final Button fix;
    private final Button fixAll;
    private final Button setAside;
    private final Button open;
    private Finding shown;
    private int segment = NONE;
    private boolean loading;

    FindingCard(
            LaneSession session, Runnable openInReview, Runnable fixAllOfKind, Runnable done, Runnable afterEditing) {
        this.session = session;
        getStyleClass().add("card");
        this.fix = Controls.withKey(Controls.primary("apply-fix", "checks.fix", this::fix), "Alt+F");
        this.fixAll = Controls.button("fix-all", "checks.fix-all-none", fixAllOfKind);
        this.open = Controls.button("open-in-review", "checks.open", openInReview);
        this.setAside = Controls.button("set-aside", "checks.set-aside", () -> {
            setAside();
            done.run();
        });
        target.setId("card-target");
        target.plainTextChanges().subscribe(change -> typed());
        target.focusedProperty().addListener((property, before, now) -> {
            if (!now) {
                afterEditing.run();
            } else if (segment != NONE) {
                session.currentProperty().set(segment);
            }
        });
        target.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                done.run();
                event.consume();
            }
        });
        reason.setId("aside-reason");
        reason.setPromptText(Strings.text("checks.reason"));
        reason.setPrefWidth(230);
        reason.setOnAction(event -> {
            setAside();
            done.run();
        });
        VBox left = column("pairing.source", source);
        VBox right = column("pairing.target", target);
        right.getChildren().add(suggested);
        for (VBox side : List.of(left, right)) {
            side.setPrefWidth(100);
            HBox.setHgrow(side, Priority.ALWAYS);
        }
        HBox both = Controls.styled(new HBox(left, right), "finding-texts");
        both.setMinHeight(96);
        getChildren().addAll(said, both, Controls.wrapped(fix, fixAll, open, reason, scope, setAside));
    }

    private static VBox column(String key, Region flow) {
        return Controls.styled(
                new VBox(Controls.styled(new Label(Strings.text(key)), "caption"), flow), "column-tight");
    }

    void fix() {
        if (shown != null && shown.suggestion().isPresent()) {
            session.editing().fix(shown);
        }
    }

    /** To the target, to correct it here. */
    void edit() {
        if (shown != null && target.isEditable()) {
            target.requestFocus();
        }
    }

    private void typed() {
        if (loading || segment == NONE || !target.isEditable()) {
            return;
        }
        Content content = target.content();
        if (!content.equals(session.snapshot().target(segment))) {
            session.editing().type(segment, content);
        }
    }

    void askForReason() {
        reason.requestFocus();
    }

    private void setAside() {
        if (shown == null) {
            return;
        }
        if (reason.getText().isBlank()) {
            reason.requestFocus();
            return;
        }
        session.checking().setAside(shown, scope.getValue(), reason.getText().strip());
        reason.clear();
    }

    /** {@code finding} is null when there is none; {@code fixes} is how many of its kind have a fix. */
    void show(Finding finding, int fixes) {
        if (target.isFocused() && segment != NONE) {
            // What is being corrected stays in sight, though its finding is gone by now.
            return;
        }
        shown = finding;
        boolean there = finding != null;
        fix.setDisable(!there || finding.suggestion().isEmpty());
        fixAll.setDisable(fixes < 2);
        fixAll.setText(fixes < 2 ? Strings.text("checks.fix-all-none") : Strings.text("checks.fix-all", fixes));
        List.of(open, setAside, reason, scope).forEach(node -> node.setDisable(!there));
        suggested.setVisible(there && finding.suggestion().isPresent());
        said.setText(there ? Wording.text("check-name." + finding.check()) + ": " + finding.message() : "");
        if (!there) {
            source.show("", List.of());
            load(NONE, Content.EMPTY, Content.EMPTY);
            return;
        }
        int index = finding.segment();
        Content content = session.snapshot().segment(index).source();
        TagNumbers numbers = TagNumbers.of(content);
        TextLanguage.of(
                        session.snapshot().sourceLanguage(index),
                        session.directions(index).source())
                .apply(source);
        TextLanguage to = TextLanguage.of(
                session.snapshot().targetLanguage(index),
                session.directions(index).target());
        target.language(to);
        to.apply(suggestion);
        source.show(content, numbers, finding.source());
        load(index, content, session.snapshot().target(index));
        target.mark(finding.target());
        finding.suggestion().ifPresent(fixed -> suggestion.show(fixed, numbers, List.of()));
    }

    private void load(int index, Content of, Content written) {
        loading = true;
        segment = index;
        target.load(of, written);
        target.setEditable(index != NONE
                && !session.snapshot().segment(index).locked()
                && session.editing().isAllowed());
        loading = false;
    }
}
