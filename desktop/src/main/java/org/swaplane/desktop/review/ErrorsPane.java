package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import org.swaplane.check.Finding;
import org.swaplane.compare.TextDifference;
import org.swaplane.desktop.session.Evaluating;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.State;
import org.swaplane.lane.QualityError;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.quality.CheckCategories;
import org.swaplane.quality.Judgement;
import org.swaplane.quality.QualityScheme;

/**
 * Errors that were marked at the segment in hand. An error is marked with three keys: one that begins, a digit for the category, a digit
 * for the severity.
 */
final class ErrorsPane extends VBox {
    private final LaneSession session;
    private final Runnable back;
    private final VBox entries = Controls.styled(new VBox(), "column-tight");
    private final VBox choices = Controls.styled(new VBox(), "column-tight");
    private final Label asked = new Label();
    private final TextField comment = new TextField();
    private final TextField correction = new TextField();
    private final VBox form;
    private Marked marked;
    private String category = "";
    private int index = -1;

    /** What an error is marked about. */
    private record Marked(String key, boolean inSource, int start, int end, String text) {}

    /** {@code back} is where the keyboard goes afterwards. */
    ErrorsPane(LaneSession session, Runnable back) {
        this.session = session;
        this.back = back;
        getStyleClass().add("column-tight");
        setId("errors");
        asked.setWrapText(true);
        comment.setId("error-comment");
        comment.setPromptText(Strings.text("errors.comment"));
        comment.setAccessibleText(Strings.text("errors.comment"));
        correction.setId("error-correction");
        correction.setPromptText(Strings.text("errors.correction"));
        correction.setAccessibleText(Strings.text("errors.correction"));
        choices.setId("error-choices");
        choices.setFocusTraversable(true);
        // Not when the key goes down: the editor, which has the keyboard afterwards, would get the letter.
        choices.addEventHandler(KeyEvent.KEY_TYPED, this::typed);
        form = Controls.styled(
                new VBox(
                        asked,
                        choices,
                        comment,
                        correction,
                        Controls.styled(Controls.button("cancel-error", "terms.cancel", this::close), "small")),
                "entry");
        form.addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                close();
                event.consume();
            }
        });
        Controls.showIf(form, false);
        getChildren().addAll(entries, form);
    }

    boolean isWriting() {
        return comment.isFocused() || correction.isFocused() || choices.isFocused();
    }

    private QualityScheme scheme() {
        return session.evaluating().stateProperty().get().scheme();
    }

    /** Begins to mark a part of the target; of all of it where nothing is selected, or of what a finding is about. */
    void begin(int start, int end) {
        if (index < 0 || session.lane().isReadOnly()) {
            return;
        }
        TrackSnapshot now = session.snapshot();
        String target = now.target(index).plainText();
        String key = now.segment(index).key();
        Optional<Finding> finding = session.checking().open(index).stream().findFirst();
        if (start < 0 && finding.isPresent()) {
            begin(finding.get());
            return;
        }
        int from = start < 0 ? 0 : start;
        int to = start < 0 ? target.length() : Math.min(end, target.length());
        open(new Marked(key, false, from, to, target.substring(from, to)), "", "");
        askCategory(Optional.empty());
    }

    /** Begins to mark the source, which can be wrong, too. */
    void beginSource() {
        if (index >= 0 && !session.lane().isReadOnly()) {
            TrackSnapshot now = session.snapshot();
            String source = now.segment(index).source().plainText();
            open(new Marked(now.segment(index).key(), true, 0, source.length(), source), "", "");
            askCategory(Optional.empty());
        }
    }

    /** A finding suggests its category; the digits choose another one. */
    private void begin(Finding finding) {
        TrackSnapshot now = session.snapshot();
        String target = now.target(index).plainText();
        int from = finding.target().isEmpty() ? 0 : finding.target().get(0).start();
        int to = finding.target().isEmpty()
                ? target.length()
                : finding.target().get(0).end();
        open(
                new Marked(now.segment(index).key(), false, from, to, target.substring(from, to)),
                finding.message(),
                finding.suggestion().map(content -> content.plainText()).orElse(""));
        askCategory(Optional.of(CheckCategories.category(finding.check(), scheme())));
    }

    /** What somebody changed is an error of the text before. */
    private void beginChange() {
        TrackSnapshot now = session.snapshot();
        String before = now.segment(index).target().plainText();
        String after = now.target(index).plainText();
        String changed = TextDifference.between(before, after).before().stream()
                .map(span -> before.substring(span.start(), span.end()))
                .reduce((one, other) -> one + " … " + other)
                .orElse(before);
        open(new Marked(now.segment(index).key(), false, 0, after.length(), changed), "", after);
        askCategory(Optional.empty());
    }

    private void open(Marked about, String said, String better) {
        marked = about;
        category = "";
        comment.setText(said);
        correction.setText(better);
        Controls.showIf(form, true);
        choices.requestFocus();
    }

    private void askCategory(Optional<String> suggested) {
        List<Node> buttons = new ArrayList<>();
        suggested.ifPresent(each -> buttons.add(choice(0, scheme().categoryName(each), () -> choose(each))));
        List<QualityScheme.Category> all = scheme().categories();
        for (int i = 0; i < all.size(); i++) {
            String id = all.get(i).id();
            buttons.add(choice(i + 1, scheme().categoryName(id), () -> choose(id)));
        }
        asked.setText(Strings.text("errors.which-category", marked.text()));
        choices.getChildren().setAll(buttons);
    }

    private void choose(String id) {
        category = id;
        List<Node> buttons = new ArrayList<>();
        List<String> all = List.copyOf(scheme().severities().keySet());
        for (int i = 0; i < all.size(); i++) {
            String severity = all.get(i);
            buttons.add(choice(i + 1, scheme().severityName(severity), () -> save(severity)));
        }
        asked.setText(Strings.text("errors.which-severity", scheme().categoryName(id)));
        choices.getChildren().setAll(buttons);
        choices.requestFocus();
    }

    private static Button choice(int number, String words, Runnable action) {
        Button button = new Button(Strings.text("errors.choice", number, words));
        button.setFocusTraversable(false);
        button.setMaxWidth(Double.MAX_VALUE);
        button.setUserData(number);
        button.setOnAction(event -> action.run());
        return Controls.styled(Controls.styled(button, "small"), "left");
    }

    private void typed(KeyEvent event) {
        String text = event.getCharacter();
        if (text.length() == 1 && Character.isDigit(text.charAt(0))) {
            int number = Character.digit(text.charAt(0), 10);
            event.consume();
            choices.getChildren().stream()
                    .filter(node -> Integer.valueOf(number).equals(node.getUserData()))
                    .findFirst()
                    .ifPresent(node -> ((Button) node).fire());
        }
    }

    private void save(String severity) {
        session.evaluating()
                .mark(
                        marked.key(),
                        marked.inSource(),
                        marked.start(),
                        marked.end(),
                        marked.text(),
                        new Judgement(category, severity),
                        comment.getText().strip(),
                        correction.getText().strip());
        close();
    }

    private void close() {
        marked = null;
        Controls.showIf(form, false);
        back.run();
    }

    void show(TrackSnapshot track, int segment) {
        String key = track.segment(segment).key();
        if (marked != null && !marked.key().equals(key)) {
            marked = null;
            Controls.showIf(form, false);
        }
        index = segment;
        List<Node> nodes = new ArrayList<>();
        for (QualityError error : session.evaluating().errors(key)) {
            nodes.add(entry(error));
        }
        Evaluating.State state = session.evaluating().stateProperty().get();
        boolean isPreference = state.preferences().contains(key);
        boolean changed = !track.segment(segment).target().isEmpty()
                && !track.segment(segment).target().sameAs(track.target(segment))
                && track.state(segment) != State.INITIAL;
        if (changed && nodes.isEmpty() && !isPreference && !session.lane().isReadOnly()) {
            nodes.add(Controls.wrapped(
                    Controls.quiet(Strings.text("errors.changed")),
                    Controls.styled(Controls.button("change-error", "errors.as-error", this::beginChange), "small"),
                    Controls.styled(
                            Controls.button("change-preference", "errors.as-preference", () -> session.evaluating()
                                    .prefer(key)),
                            "small")));
        }
        if (isPreference) {
            nodes.add(Controls.quiet(Strings.text("errors.is-preference")));
        }
        entries.getChildren().setAll(nodes);
    }

    private VBox entry(QualityError error) {
        Label what = new Label(Strings.text(
                "errors.entry",
                scheme().categoryName(error.judgement().category()),
                scheme().severityName(error.judgement().severity())));
        what.setWrapText(true);
        VBox entry = Controls.styled(new VBox(what, Controls.quiet(error.marked())), "entry");
        for (String more : List.of(error.correction(), error.comment())) {
            if (!more.isEmpty()) {
                Label label = new Label(more);
                label.setWrapText(true);
                entry.getChildren().add(label);
            }
        }
        if (!session.lane().isReadOnly()) {
            entry.getChildren()
                    .add(Controls.styled(
                            Controls.button("remove-error", "quality.remove", () -> session.evaluating()
                                    .remove(error)),
                            "small"));
        }
        return entry;
    }
}
