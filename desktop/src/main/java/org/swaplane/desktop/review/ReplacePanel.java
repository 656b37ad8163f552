package org.swaplane.desktop.review;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.compare.TextDifference;
import org.swaplane.desktop.session.FindReplace;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.review.TextSearch;

/** Finds text and replaces it: every place is listed with what it would become, and those that are ticked are replaced. */
final class ReplacePanel extends VBox {
    private static final double HEIGHT = 240;

    private final LaneSession session;
    private final ReviewModel model;
    private final Runnable close;
    private final TextField text = field("replace-text", "replace.text");
    private final TextField by = field("replace-with", "replace.with");
    private final CheckBox regex = box("replace-regex", "replace.regex");
    private final CheckBox matchCase = box("replace-case", "references.match-case");
    private final CheckBox words = box("replace-words", "replace.words");
    private final ComboBox<TextSearch.Where> where = Choice.of(
            "replace-where",
            List.of(TextSearch.Where.TARGET, TextSearch.Where.SOURCE, TextSearch.Where.BOTH, TextSearch.Where.NOTES),
            each -> Strings.text("replace.in." + each.name().toLowerCase(Locale.ROOT)));
    private final ComboBox<FindReplace.Scope> scope = Choice.of(
            "replace-scope",
            List.of(FindReplace.Scope.values()),
            each -> Strings.text("replace.scope." + each.name().toLowerCase(Locale.ROOT)));
    private final ListView<FindReplace.Place> places = new ListView<>();
    private final Set<FindReplace.Place> ticked = new HashSet<>();
    private final Label count = Controls.quiet("");
    private final Button replace;
    private final Consumer<FindReplace.Place> shown;

    /**
     * @param shown told which place somebody wants to see
     * @param close told when it is done with
     */
    ReplacePanel(LaneSession session, ReviewModel model, Consumer<FindReplace.Place> shown, Runnable close) {
        this.session = session;
        this.model = model;
        this.shown = shown;
        this.close = close;
        getStyleClass().addAll("card", "column-tight");
        setId("replace-panel");
        replace = Controls.button("replace-all", "replace.replace", this::replace);
        places.setId("replace-places");
        places.setAccessibleText(Strings.text("replace.places"));
        places.setPrefHeight(HEIGHT);
        places.setPlaceholder(Controls.quiet(Strings.text("replace.hint")));
        places.setCellFactory(list -> new PlaceCell());
        places.setOnKeyPressed(event -> {
            FindReplace.Place place = places.getSelectionModel().getSelectedItem();
            if (event.getCode() == KeyCode.ENTER && place != null) {
                shown.accept(place);
            } else if (event.getCode() == KeyCode.SPACE && place != null) {
                tick(place, !ticked.contains(place));
                places.refresh();
            }
        });
        places.setOnMouseClicked(event -> {
            FindReplace.Place place = places.getSelectionModel().getSelectedItem();
            if (event.getClickCount() == 2 && place != null) {
                shown.accept(place);
            }
        });
        HBox.setHgrow(text, Priority.ALWAYS);
        HBox.setHgrow(by, Priority.ALWAYS);
        text.setOnAction(event -> find());
        by.setOnAction(event -> find());
        setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                close.run();
                event.consume();
            } else if (event.getCode() == KeyCode.ENTER && event.isShortcutDown() && !replace.isDisabled()) {
                replace();
                event.consume();
            }
        });
        getChildren()
                .addAll(
                        Controls.row(
                                text,
                                by,
                                Controls.whole(Controls.button("replace-find", "references.find", this::find)),
                                Controls.whole(replace),
                                Controls.whole(Controls.button("replace-close", "replace.close", close))),
                        Controls.wrapped(where, scope, matchCase, words, regex, count),
                        places);
        showCount();
    }

    private static TextField field(String id, String key) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(Strings.text(key));
        field.setAccessibleText(Strings.text(key));
        return field;
    }

    private static CheckBox box(String id, String key) {
        CheckBox box = new CheckBox(Strings.text(key));
        box.setId(id);
        return box;
    }

    /** Begins, with what was selected in the text. */
    void begin(String selected) {
        if (!selected.isEmpty()) {
            text.setText(selected);
        }
        text.requestFocus();
        text.selectAll();
    }

    private void find() {
        TextSearch search = new TextSearch(
                text.getText(), regex.isSelected(), matchCase.isSelected(), words.isSelected(), where.getValue());
        if (!search.text().isEmpty() && session.hasSegments()) {
            session.findReplace().find(search, by.getText(), scope.getValue(), List.copyOf(model.listed()), this::show);
        }
    }

    private void show(List<FindReplace.Place> found) {
        ticked.clear();
        found.stream().filter(FindReplace.Place::isReplaceable).forEach(ticked::add);
        places.setPlaceholder(Controls.quiet(Strings.text("replace.nothing", text.getText())));
        places.getItems().setAll(found);
        showCount();
    }

    private void tick(FindReplace.Place place, boolean on) {
        if (on && place.isReplaceable()) {
            ticked.add(place);
        } else {
            ticked.remove(place);
        }
        showCount();
    }

    private void showCount() {
        int found = places.getItems().size();
        count.setText(
                found < FindReplace.MOST
                        ? Strings.text("replace.count", found)
                        : Strings.text("replace.count-first", found));
        replace.setText(Strings.text("replace.replace", ticked.size()));
        replace.setDisable(ticked.isEmpty());
    }

    private void replace() {
        List<FindReplace.Place> wanted =
                places.getItems().stream().filter(ticked::contains).toList();
        session.findReplace().replace(wanted, this::find);
    }

    /** A place: tick, number, text with what was found, and what it would become. */
    private final class PlaceCell extends ListCell<FindReplace.Place> {
        private final CheckBox tick = new CheckBox();
        private final Label number = Controls.styled(new Label(), "row-number");
        private final ContentFlow before = new ContentFlow();
        private final ContentFlow after = new ContentFlow();
        private final HBox row = Controls.row(tick, number, before, after);

        private PlaceCell() {
            tick.setFocusTraversable(false);
            tick.setOnAction(event -> ReplacePanel.this.tick(getItem(), tick.isSelected()));
            number.setMinWidth(NUMBERS);
            for (ContentFlow each : List.of(before, after)) {
                each.prefWidthProperty()
                        .bind(places.widthProperty().subtract(ROOM).divide(2));
            }
        }

        @Override
        protected void updateItem(FindReplace.Place place, boolean empty) {
            super.updateItem(place, empty);
            setGraphic(empty || place == null ? null : row);
            if (empty || place == null) {
                return;
            }
            TextSearch.Hit hit = place.hit();
            boolean here = hit.track().track() == session.track();
            number.setText((here ? "" : hit.track().name() + " ") + (hit.index() + 1));
            tick.setSelected(ticked.contains(place));
            tick.setDisable(!place.isReplaceable());
            before.show(hit.text(), hit.spans());
            String becomes = place.replaced().plainText();
            after.show(becomes, TextDifference.between(hit.text(), becomes).after());
        }
    }

    private static final double NUMBERS = 40;
    private static final double ROOM = 140;
}
