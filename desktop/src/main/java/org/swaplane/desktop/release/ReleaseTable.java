package org.swaplane.desktop.release;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Releasing;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.desktop.theme.ScaledColumns;
import org.swaplane.lane.Track;
import org.swaplane.release.Gate;
import org.swaplane.wording.Wording;

/** All tracks of the lane down, the conditions of their release across. */
final class ReleaseTable extends TableView<Releasing.Row> {
    private static final double CONDITION = 96;
    private static final double LEAST_CONDITION = 80;
    private static final double CHOSEN = 40;

    private final LaneSession session;
    private List<String> shownConditions = List.of();

    ReleaseTable(LaneSession session) {
        this.session = session;
        setId("release-tracks");
        setAccessibleText(Strings.text("release.tracks"));
        setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        setPlaceholder(Controls.quiet(Strings.text("release.no-tracks")));
        setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.SPACE) {
                toggleSelected();
                event.consume();
            }
        });
    }

    /** The rows that are selected. */
    List<Releasing.Row> selected() {
        return List.copyOf(getSelectionModel().getSelectedItems());
    }

    void toggleSelected() {
        List<Track> tracks = selected().stream().map(Releasing.Row::track).toList();
        if (!tracks.isEmpty()) {
            session.releasing().choose(tracks, !session.releasing().isChosen(tracks.get(0)));
        }
    }

    /** Shows these rows; what was selected stays so. */
    void show(List<Releasing.Row> rows) {
        List<String> conditions = new ArrayList<>();
        for (String id : all()) {
            if (rows.stream().anyMatch(row -> row.gate().stream()
                    .flatMap(gate -> gate.conditions().stream())
                    .anyMatch(condition -> condition.id().equals(id)))) {
                conditions.add(id);
            }
        }
        if (!conditions.equals(shownConditions) || getColumns().isEmpty()) {
            shownConditions = conditions;
            makeColumns();
        }
        List<Track> before = selected().stream().map(Releasing.Row::track).toList();
        getItems().setAll(rows);
        sort();
        getSelectionModel().clearSelection();
        for (int i = 0; i < getItems().size(); i++) {
            if (before.contains(getItems().get(i).track())) {
                getSelectionModel().select(i);
            }
        }
        if (getSelectionModel().isEmpty()) {
            getSelectionModel().selectFirst();
        }
    }

    private static List<String> all() {
        List<String> all = new ArrayList<>(Gate.OPTIONAL);
        all.addAll(Gate.ALWAYS);
        return all;
    }

    private void makeColumns() {
        TableColumn<Releasing.Row, Releasing.Row> chosen = new TableColumn<>();
        chosen.setPrefWidth(CHOSEN);
        chosen.setMinWidth(CHOSEN);
        chosen.setMaxWidth(CHOSEN);
        chosen.setCellValueFactory(row -> new ReadOnlyObjectWrapper<>(row.getValue()));
        chosen.setCellFactory(any -> new ChosenCell());
        chosen.setComparator(Comparator.comparing(row -> !session.releasing().isChosen(row.track())));
        WordsColumn<Releasing.Row> file = new WordsColumn<>("trip.column.file", 190, ReleaseTable::name);
        WordsColumn<Releasing.Row> language = new WordsColumn<>(
                "board.column.language", 80, row -> row.track().summary().targetLanguage());
        WordsColumn<Releasing.Row> state = new WordsColumn<>(
                "release.column.state",
                100,
                ReleaseTable::state,
                Comparator.comparing(
                        row -> row.gate().isEmpty() ? -1 : row.open().size()));
        file.setMinWidth(130);
        language.setMinWidth(60);
        state.setMinWidth(78);
        getColumns().setAll(List.of(chosen, file, language, state));
        shownConditions.forEach(id -> getColumns().add(condition(id)));
        ScaledColumns.of(this, session.person());
    }

    private static String name(Releasing.Row row) {
        String folder = row.track().plan().folder();
        return folder.isEmpty()
                ? row.track().name()
                : folder + '/' + row.track().name();
    }

    private static String state(Releasing.Row row) {
        if (row.gate().isEmpty()) {
            return Strings.text("release.state.unknown");
        }
        return row.isReady()
                ? Strings.text("release.state.ready")
                : Strings.text("release.state.open", row.open().size());
    }

    private TableColumn<Releasing.Row, Releasing.Row> condition(String id) {
        TableColumn<Releasing.Row, Releasing.Row> column = new TableColumn<>();
        Label head = new Label(Wording.text("gate." + id + ".name"));
        head.setWrapText(true);
        head.getStyleClass().add("column-head");
        head.maxWidthProperty().bind(column.widthProperty().subtract(8));
        column.setGraphic(head);
        column.setId("condition-" + id);
        column.setPrefWidth(CONDITION);
        column.setMinWidth(LEAST_CONDITION);
        column.setCellValueFactory(row -> new ReadOnlyObjectWrapper<>(row.getValue()));
        column.setCellFactory(any -> new ConditionCell(id));
        column.setComparator(Comparator.comparing(row -> word(row, id)));
        return column;
    }

    private static Optional<Gate.Condition> of(Releasing.Row row, String id) {
        return row.gate().stream()
                .flatMap(gate -> gate.conditions().stream())
                .filter(condition -> condition.id().equals(id))
                .findFirst();
    }

    private static String word(Releasing.Row row, String id) {
        return of(row, id)
                .map(condition -> condition.holds()
                        ? Strings.text("gate.held")
                        : Strings.text(row.waivers().containsKey(id) ? "gate.waived" : "gate.open"))
                .orElse("");
    }

    private static final class ConditionCell extends TableCell<Releasing.Row, Releasing.Row> {
        private final String id;

        ConditionCell(String id) {
            this.id = id;
        }

        @Override
        protected void updateItem(Releasing.Row row, boolean empty) {
            super.updateItem(row, empty);
            getStyleClass().removeIf(each -> each.startsWith("verdict"));
            setTooltip(null);
            setText(empty || row == null ? null : word(row, id));
            if (!empty && row != null) {
                of(row, id).ifPresent(condition -> {
                    boolean waived = row.waivers().containsKey(id);
                    getStyleClass().add(condition.holds() ? "verdict-pass" : waived ? "verdict-warn" : "verdict-fail");
                    setTooltip(new Tooltip(condition.message()));
                });
            }
        }
    }

    private final class ChosenCell extends TableCell<Releasing.Row, Releasing.Row> {
        private final CheckBox box = new CheckBox();

        ChosenCell() {
            box.setFocusTraversable(false);
            box.setAccessibleText(Strings.text("release.chosen"));
            box.setOnAction(
                    event -> session.releasing().choose(List.of(getItem().track()), box.isSelected()));
        }

        @Override
        protected void updateItem(Releasing.Row row, boolean empty) {
            super.updateItem(row, empty);
            setGraphic(empty || row == null ? null : box);
            if (!empty && row != null) {
                box.setSelected(session.releasing().isChosen(row.track()));
            }
        }
    }
}
