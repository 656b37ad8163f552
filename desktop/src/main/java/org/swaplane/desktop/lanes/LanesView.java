package org.swaplane.desktop.lanes;

import java.nio.file.Path;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.beans.binding.Bindings;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableRow;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.shell.MessageBar;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.ReviewedWords;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.desktop.theme.ScaledColumns;
import org.swaplane.lane.LaneOverview;

/** All lanes of the person as a table; beside it the form of a new one, or the person's settings. */
public final class LanesView extends StackPane {
    private static final double ROW_HEIGHT = 48;

    private final LanesModel model;
    private final FilePicker picker;
    private final TableView<LanesModel.Row> table = new TableView<>();
    private final NewLaneForm form;
    private final PersonPane person;
    private final Button fresh;
    private final ScrollPane side = new ScrollPane();

    /** {@code checkFiles} opens a window for files that belong to no lane. */
    public LanesView(LanesModel model, FilePicker picker, FileOpener opener, Runnable checkFiles, PersonPane person) {
        this.model = model;
        this.picker = picker;
        this.person = person;
        this.form = new NewLaneForm(model, picker, this::hideSide);
        fresh = Controls.primary("new-lane", "lanes.new", () -> showForm(null));
        Button open = Controls.button("open-lane", "lanes.open", this::openOther);
        Button check = Controls.button("check-files", "lanes.check-files", checkFiles);
        Button settings = Controls.button("person-settings", "lanes.person", this::togglePerson);
        fillTable();
        side.setFitToWidth(true);
        side.getStyleClass().add("side-form");
        side.setId("lanes-side");
        side.addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                hideSide();
                event.consume();
            }
        });
        HBox split = Controls.styled(new HBox(table, side), "dry-run-split");
        HBox.setHgrow(table, Priority.ALWAYS);
        VBox.setVgrow(split, Priority.ALWAYS);
        VBox page = Controls.styled(
                new VBox(
                        Controls.row(Controls.title("lanes.title"), Controls.spacer(), check, settings, open, fresh),
                        split),
                "view");
        MessageBar messages = new MessageBar(model.messageProperty(), opener, model::dismissMessage);
        StackPane.setAlignment(messages, Pos.BOTTOM_CENTER);
        StackPane.setMargin(messages, new Insets(0, 24, 16, 24));
        getChildren().addAll(page, messages);
        hideSide();
    }

    private void fillTable() {
        table.setId("lanes");
        table.setItems(model.rows());
        table.setFixedCellSize(ROW_HEIGHT);
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        table.setPlaceholder(Controls.quiet(Strings.text("lanes.empty")));
        column("name", 260, LanesModel.Row::name).setCellFactory(any -> new NameCell());
        column("languages", 150, LanesView::languages);
        column("due", 90, LanesView::due);
        column("files", 60, row -> number(row, LaneOverview::files));
        column("words", 140, row -> number(row, lane -> (int) lane.words())).setCellFactory(any -> new WordsCell());
        column("waits", 160, LanesView::waits);
        column("opened", 130, row -> Dates.minute(row.openedAt()))
                .setComparator(Comparator.comparing(LanesModel.Row::openedAt));
        ScaledColumns.of(table, model.person());
        table.setOnMouseClicked(event -> {
            if (event.getClickCount() == 2) {
                openSelected();
            }
        });
        table.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                openSelected();
                event.consume();
            }
        });
        ContextMenu menu = new ContextMenu(
                item("lanes.open-selected", this::openSelected),
                item("lanes.duplicate", () -> showForm(selected())),
                item("lanes.archive", this::archive),
                item("lanes.forget", () -> model.forget(selected())));
        table.setRowFactory(any -> withMenu(menu));
    }

    /** A row with a menu, which an empty one has not. */
    private static TableRow<LanesModel.Row> withMenu(ContextMenu menu) {
        TableRow<LanesModel.Row> row = new TableRow<>();
        row.contextMenuProperty()
                .bind(Bindings.when(row.emptyProperty())
                        .then((ContextMenu) null)
                        .otherwise(menu));
        return row;
    }

    private static MenuItem item(String key, Runnable action) {
        MenuItem item = new MenuItem(Strings.text(key));
        item.setOnAction(event -> action.run());
        return item;
    }

    private LanesModel.Row selected() {
        return table.getSelectionModel().getSelectedItem();
    }

    private void openSelected() {
        if (selected() != null) {
            model.open(selected().folder());
        }
    }

    private void openOther() {
        picker.chooseFolder().ifPresent(model::open);
    }

    private void archive() {
        LanesModel.Row row = selected();
        picker.chooseTarget(row.folder().getFileName() + ".zip").ifPresent((Path to) -> model.archive(row, to));
    }

    private void showForm(LanesModel.Row asIn) {
        form.show(asIn);
        showSide(form);
        form.begin();
    }

    /** Shows the person's settings, or puts them away again. */
    private void togglePerson() {
        if (side.isVisible() && side.getContent() == person) {
            hideSide();
        } else {
            person.show();
            showSide(person);
            person.begin();
        }
    }

    private void showSide(Node content) {
        side.setContent(content);
        Controls.showIf(side, true);
    }

    private void hideSide() {
        Controls.showIf(side, false);
        table.requestFocus();
    }

    /** Looks into the lanes again. */
    public void refresh() {
        model.refresh();
        (model.person().lanes().isEmpty() ? fresh : table).requestFocus();
    }

    private TableColumn<LanesModel.Row, LanesModel.Row> column(
            String key, double width, Function<LanesModel.Row, String> words) {
        TableColumn<LanesModel.Row, LanesModel.Row> column = new WordsColumn<>("lanes.column." + key, width, words);
        table.getColumns().add(column);
        return column;
    }

    private static String languages(LanesModel.Row row) {
        return row.overview()
                .map(lane -> lane.languages().isEmpty()
                        ? lane.sourceLanguage()
                        : Strings.text("strip.languages", lane.sourceLanguage(), String.join(", ", lane.languages())))
                .orElse("");
    }

    private static String due(LanesModel.Row row) {
        return row.overview()
                .flatMap(LaneOverview::due)
                .map(day -> Dates.day(day.atStartOfDay(ZoneId.systemDefault()).toInstant()))
                .orElse("");
    }

    private static String number(LanesModel.Row row, Function<LaneOverview, Integer> of) {
        return row.overview()
                .map(lane -> Strings.text("lanes.number", of.apply(lane)))
                .orElse("");
    }

    private static String waits(LanesModel.Row row) {
        return row.overview()
                .map(lane -> List.of(
                                lane.away() == 0 ? "" : Strings.text("lanes.away", lane.away()),
                                lane.overdue() == 0 ? "" : Strings.text("lanes.overdue", lane.overdue()))
                        .stream()
                        .filter(words -> !words.isEmpty())
                        .collect(Collectors.joining(" · ")))
                .orElse(row.problem());
    }

    private static final class NameCell extends TableCell<LanesModel.Row, LanesModel.Row> {
        private final Label name = Controls.styled(new Label(), "board-name");
        private final Label client = Controls.styled(new Label(), "caption");
        private final VBox both = Controls.styled(new VBox(name, client), "board-file");

        @Override
        protected void updateItem(LanesModel.Row row, boolean empty) {
            super.updateItem(row, empty);
            setGraphic(empty || row == null ? null : both);
            if (!empty && row != null) {
                name.setText(row.name());
                client.setText(row.overview()
                        .map(LaneOverview::client)
                        .filter(words -> !words.isEmpty())
                        .orElse(row.folder().toString()));
            }
        }
    }

    private static final class WordsCell extends TableCell<LanesModel.Row, LanesModel.Row> {
        private final ReviewedWords words = new ReviewedWords();

        @Override
        protected void updateItem(LanesModel.Row row, boolean empty) {
            super.updateItem(row, empty);
            boolean known = !empty && row != null && row.overview().isPresent();
            setGraphic(known ? words : null);
            if (known) {
                LaneOverview lane = row.overview().orElseThrow();
                words.show(lane.reviewedWords(), lane.words());
            }
        }
    }
}
