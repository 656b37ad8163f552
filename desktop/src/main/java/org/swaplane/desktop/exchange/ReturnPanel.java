package org.swaplane.desktop.exchange;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.check.Finding;
import org.swaplane.content.Content;
import org.swaplane.desktop.editor.TargetEditor;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.exchange.ReturnReading;
import org.swaplane.exchange.RowChange;
import org.swaplane.exchange.RowRemark;
import org.swaplane.lane.ReturnImport;

/** A copy that came back: problems of the table first, then three texts for every change, taken or kept one by one. */
final class ReturnPanel extends VBox {
    private static final double ROOM_BESIDE = 40;

    private final LaneSession session;
    private final Label about = Controls.styled(new Label(), "heading");
    private final Label summary = Controls.quiet("");
    private final VBox problems = Controls.styled(new VBox(), "column-tight");
    private final ScrollPane problemsScroll = new ScrollPane(problems);
    private final ListView<RowChange> changes = new ListView<>();
    private final Button take;
    private final Set<Integer> chosen = new HashSet<>();
    private final ComboBox<ReturnFilter> filter = Choice.of(
            "return-filter",
            List.of(ReturnFilter.values()),
            each -> Strings.text("return.filter." + each.name().toLowerCase(Locale.ROOT)));
    private final Map<Integer, Content> worded = new HashMap<>();
    private final TargetEditor wording = new TargetEditor();
    private final Label wordingOf = Controls.quiet("");
    private final HBox wordingRow = Controls.row(wordingOf, wording);
    private boolean loading;
    private ReturnImport.Recognised shown;

    ReturnPanel(LaneSession session) {
        this.session = session;
        getStyleClass().add("column");
        setId("return-panel");
        take = Controls.primary(
                "take-changes", "return.take", () -> session.exchange().take(Set.copyOf(chosen), Map.copyOf(worded)));
        filter.setAccessibleText(Strings.text("return.filter"));
        filter.setOnAction(event -> list());
        changes.setId("return-changes");
        changes.setCellFactory(list -> new ChangeCell());
        changes.setOnKeyPressed(event -> {
            RowChange change = changes.getSelectionModel().getSelectedItem();
            if (change == null || event.isShortcutDown() || event.isAltDown()) {
                return;
            }
            switch (event.getCode()) {
                case SPACE -> decide(change, !chosen.contains(change.number()));
                case A -> decideAndGoOn(change, true);
                case K -> decideAndGoOn(change, false);
                case F2 -> wording.requestFocus();
                default -> {
                    return;
                }
            }
            event.consume();
        });
        VBox.setVgrow(changes, Priority.ALWAYS);
        wording.setId("return-wording");
        wording.setAccessibleText(Strings.text("return.wording-label"));
        HBox.setHgrow(wording, Priority.ALWAYS);
        wordingRow.setMinHeight(USE_PREF_SIZE);
        wording.plainTextChanges().subscribe(change -> worded());
        wording.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                changes.requestFocus();
                event.consume();
            }
        });
        changes.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> showWording(now));
        session.exchange().othersProperty().addListener((property, before, now) -> changes.refresh());
        problemsScroll.setFitToWidth(true);
        problemsScroll.setMinHeight(96);
        problemsScroll.setMaxHeight(112);
        Button sound =
                Controls.button("choose-sound", "return.choose-sound", () -> choose(change -> shown.isSafe(change)));
        Button all = Controls.button(
                "choose-all",
                "return.choose-all",
                () -> choose(change -> change.applicable().isPresent()));
        Button none = Controls.button("choose-none", "return.choose-none", () -> choose(change -> false));
        Button leave = Controls.button("leave-returned", "return.leave", session.exchange()::leave);
        getChildren()
                .addAll(
                        Controls.row(about, summary, Controls.spacer(), filter),
                        problemsScroll,
                        changes,
                        wordingRow,
                        Controls.quiet(Strings.text("return.keys")),
                        Controls.wrapped(sound, all, none, leave, take));
    }

    void show(ReturnImport.Recognised copy) {
        setVisible(copy != null);
        setManaged(copy != null);
        chosen.clear();
        worded.clear();
        if (copy == null) {
            changes.getItems().clear();
            return;
        }
        about.setText(
                Strings.text("return.about", copy.trip().person(), copy.track().name()));
        summary.setText(Strings.text(
                "return.summary",
                copy.copy().name(),
                Dates.day(copy.trip().sentAt()),
                copy.reading().changes().size(),
                copy.reading().untouched(),
                copy.reading().remarks().size()));
        shown = copy;
        showProblems(copy.reading());
        changes.setPlaceholder(Controls.quiet(Strings.text("return.nothing")));
        filter.setValue(ReturnFilter.ALL);
        list();
        choose(copy::isSafe);
        // The panel has just come into sight, and would give the keyboard to the first of its controls.
        Platform.runLater(changes::requestFocus);
    }

    /** What needs a person's look comes first. */
    private void list() {
        if (shown != null) {
            changes.getItems()
                    .setAll(shown.reading().changes().stream()
                            .filter(change -> filter.getValue().holds(change, shown))
                            .sorted(Comparator.comparing(shown::isSafe))
                            .toList());
            changes.getSelectionModel().selectFirst();
        }
    }

    /** What is wrong with the table, and what people remarked where they changed nothing. */
    private void showProblems(ReturnReading reading) {
        problems.getChildren().clear();
        if (!reading.problems().isEmpty()) {
            problems.getChildren().add(Controls.heading("return.problems"));
            reading.problems().forEach(problem -> problems.getChildren().add(new Label(problem.message())));
        }
        Set<Integer> changed = reading.changes().stream().map(RowChange::index).collect(Collectors.toSet());
        List<RowRemark> others = reading.remarks().stream()
                .filter(remark -> !changed.contains(remark.index()))
                .toList();
        if (!others.isEmpty()) {
            problems.getChildren().add(Controls.heading("return.remarks"));
            others.forEach(remark -> problems.getChildren()
                    .add(new Label(ChangeRow.words(remark, shown.trip().person(), true))));
        }
        Controls.showIf(problemsScroll, !problems.getChildren().isEmpty());
    }

    private List<Finding> newFindings(RowChange change) {
        return shown.newFindings().getOrDefault(change.number(), List.of());
    }

    private List<RowRemark> remarks(RowChange change) {
        return shown.reading().remarks().stream()
                .filter(remark -> remark.index() == change.index())
                .toList();
    }

    void focusFirst() {
        changes.requestFocus();
    }

    /** What would be taken of the change that is selected, to be put into other words. */
    private void showWording(RowChange change) {
        Optional<Content> taken = Optional.ofNullable(change).flatMap(RowChange::applicable);
        Controls.showIf(wordingRow, taken.isPresent());
        if (taken.isEmpty() || wording.isFocused()) {
            return;
        }
        loading = true;
        wordingOf.setText(Strings.text("return.wording", change.number()));
        wording.language(TextLanguage.of(
                shown.compared().targetLanguage(change.index()),
                session.directions(change.index()).target()));
        wording.load(change.segment().source(), worded.getOrDefault(change.number(), taken.get()));
        loading = false;
    }

    private void worded() {
        RowChange change = changes.getSelectionModel().getSelectedItem();
        if (loading || change == null || change.applicable().isEmpty()) {
            return;
        }
        Content content = wording.content();
        if (content.equals(change.applicable().get())) {
            worded.remove(change.number());
        } else {
            worded.put(change.number(), content);
        }
        decide(change, true);
    }

    private void choose(Predicate<RowChange> which) {
        // Of those that are listed; the others stay as they are.
        changes.getItems().forEach(change -> {
            chosen.remove(change.number());
            if (which.test(change)) {
                chosen.add(change.number());
            }
        });
        chosenChanged();
    }

    private void decide(RowChange change, boolean accept) {
        chosen.remove(change.number());
        if (accept && change.applicable().isPresent()) {
            chosen.add(change.number());
        }
        chosenChanged();
    }

    private void decideAndGoOn(RowChange change, boolean accept) {
        decide(change, accept);
        changes.getSelectionModel().selectNext();
        changes.scrollTo(Math.max(0, changes.getSelectionModel().getSelectedIndex() - 1));
    }

    private void chosenChanged() {
        take.setText(Strings.text("return.take-count", chosen.size()));
        changes.refresh();
    }

    private final class ChangeCell extends ListCell<RowChange> {
        private final ChangeRow row =
                new ChangeRow(changes.widthProperty().subtract(ROOM_BESIDE), ReturnPanel.this::decide);

        ChangeCell() {
            prefWidthProperty().bind(changes.widthProperty().subtract(24));
        }

        @Override
        protected void updateItem(RowChange change, boolean empty) {
            super.updateItem(change, empty);
            setGraphic(empty ? null : row);
            if (!empty) {
                row.show(
                        change,
                        newFindings(change),
                        remarks(change),
                        shown.trip().person(),
                        chosen.contains(change.number()));
                row.showOthers(session.exchange().othersProperty().get().getOrDefault(change.index(), List.of()));
                row.showWorded(Optional.ofNullable(worded.get(change.number())));
            }
        }
    }
}
