package org.swaplane.desktop.checks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.swaplane.check.Finding;
import org.swaplane.check.OwnPattern;
import org.swaplane.check.Severity;
import org.swaplane.desktop.session.Checking;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;

/** Patterns of one's own, tried on the track in hand while they are typed. */
final class PatternsPane extends VBox {
    private static final int SHOWN = 5;
    /** Width of a file's name beside a sample. */
    private static final double FILE = 150;

    private final LaneSession session;
    private final Consumer<List<OwnPattern>> changed;
    private final VBox list = Controls.column();
    private final TextField name = field("pattern-name", "patterns.name");
    private final TextField source = field("pattern-source", "patterns.source");
    private final TextField target = field("pattern-target", "patterns.target");
    private final TextField message = field("pattern-message", "patterns.message");
    private final CheckBox required = new CheckBox(Strings.text("patterns.required"));
    private final CheckBox ignoreCase = new CheckBox(Strings.text("patterns.ignore-case"));
    private final ComboBox<Severity> severity = Choice.of(
            "pattern-severity",
            List.of(Severity.WARNING, Severity.ERROR),
            each -> Strings.text("profile.severity." + each.name().toLowerCase(Locale.ROOT)));
    private final Label fault = Controls.styled(new Label(), "stop-text");
    private final VBox tried = Controls.styled(new VBox(), "column");
    /** A lane is not searched for each letter of a word. */
    private final PauseTransition typing = new PauseTransition(Duration.millis(250));

    private List<OwnPattern> patterns = List.of();

    PatternsPane(LaneSession session, Consumer<List<OwnPattern>> changed) {
        this.session = session;
        this.changed = changed;
        getStyleClass().add("column");
        setId("patterns");
        required.setId("pattern-required");
        ignoreCase.setId("pattern-ignore-case");
        typing.setOnFinished(event -> tryOut());
        List.of(name, source, target, message)
                .forEach(field -> field.textProperty().addListener((property, before, now) -> typing.playFromStart()));
        List.of(required, ignoreCase)
                .forEach(box -> box.selectedProperty().addListener((property, before, now) -> tryOut()));
        getChildren()
                .addAll(
                        Controls.heading("patterns.title"),
                        Controls.quiet(Strings.text("patterns.explained")),
                        list,
                        Controls.wrapped(name, source, target, message),
                        Controls.styled(
                                new FlowPane(
                                        required,
                                        ignoreCase,
                                        severity,
                                        Controls.button("add-pattern", "patterns.add", this::add)),
                                "wrapped-row"),
                        fault,
                        tried);
    }

    private static TextField field(String id, String key) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(Strings.text(key));
        field.setPrefWidth(230);
        return field;
    }

    void show(List<OwnPattern> all) {
        patterns = all;
        list.getChildren().setAll(all.stream().map(this::line).toList());
    }

    private HBox line(OwnPattern pattern) {
        Label words = new Label(Strings.text(
                pattern.required() ? "patterns.line-required" : "patterns.line",
                pattern.name(),
                pattern.source(),
                pattern.target()));
        words.setWrapText(true);
        HBox.setHgrow(words, Priority.ALWAYS);
        return Controls.row(
                words,
                Controls.button("edit-pattern", "patterns.edit", () -> edit(pattern)),
                Controls.button("remove-pattern", "profile.remove", () -> changed.accept(without(pattern))));
    }

    private List<OwnPattern> without(OwnPattern one) {
        return patterns.stream().filter(each -> !each.name().equals(one.name())).toList();
    }

    private void edit(OwnPattern pattern) {
        name.setText(pattern.name());
        source.setText(pattern.source());
        target.setText(pattern.target());
        message.setText(pattern.message());
        required.setSelected(pattern.required());
        ignoreCase.setSelected(pattern.ignoreCase());
        severity.setValue(pattern.severity());
    }

    private OwnPattern typed() {
        return new OwnPattern(
                name.getText().strip(),
                source.getText(),
                target.getText(),
                message.getText().strip(),
                required.isSelected(),
                ignoreCase.isSelected(),
                severity.getValue());
    }

    /** Adds what is typed, or puts it in the place of the pattern with its name. */
    private void add() {
        OwnPattern pattern = typed();
        if (pattern.name().isEmpty()) {
            name.requestFocus();
        } else if (pattern.fault().isEmpty()) {
            List<OwnPattern> all = new ArrayList<>(without(pattern));
            all.add(pattern);
            List.of(name, source, target, message).forEach(TextField::clear);
            changed.accept(all);
        }
    }

    /** Shows what the typed pattern finds in the lane. */
    private void tryOut() {
        OwnPattern pattern = typed();
        boolean empty = pattern.source().isEmpty() && pattern.target().isEmpty();
        fault.setText(empty ? "" : pattern.fault());
        tried.getChildren().clear();
        if (empty || !pattern.fault().isEmpty() || session.track() == null) {
            return;
        }
        session.checking().tryOut(pattern, SHOWN, found -> {
            tried.getChildren()
                    .setAll(Controls.quiet(Strings.text(
                            found.size() < SHOWN ? "patterns.found" : "patterns.found-first", found.size())));
            found.forEach(each -> tried.getChildren().add(sample(each)));
        });
    }

    private HBox sample(Checking.Trial trial) {
        Finding finding = trial.finding();
        ContentFlow before = new ContentFlow();
        ContentFlow after = new ContentFlow();
        before.show(trial.track().segment(finding.segment()).source().plainText(), finding.source());
        after.show(trial.track().target(finding.segment()).plainText(), finding.target());
        List.of(before, after).forEach(flow -> {
            flow.setPrefWidth(100);
            HBox.setHgrow(flow, Priority.ALWAYS);
        });
        Label file = Controls.quiet(trial.track().name());
        file.setMinWidth(FILE);
        file.setMaxWidth(FILE);
        file.setWrapText(false);
        return Controls.styled(new HBox(before, after, file), "preview-row");
    }
}
