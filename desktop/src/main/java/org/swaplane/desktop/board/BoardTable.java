package org.swaplane.desktop.board;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TreeItem;
import javafx.scene.control.TreeTableCell;
import javafx.scene.control.TreeTableColumn;
import javafx.scene.control.TreeTableView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.LanguageNames;
import org.swaplane.desktop.text.ReviewedWords;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.theme.ScaledColumns;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackPlan;
import org.swaplane.lane.TrackSummary;
import org.swaplane.lane.Trip;

/** The tracks of the lane, one row each, under the titles of their groups. Only what is on the screen is drawn. */
final class BoardTable extends TreeTableView<BoardTable.Entry> {
    private static final int ROWS_BEFORE = 2;
    private static final double LEAST_WIDTH = 60;

    /** Where the window is narrow, what is least needed gives way. */
    private static final Map<String, Double> LEAST =
            Map.of("file", 110.0, "language", 66.0, "due", 76.0, "findings", 76.0, "words", 84.0, "next", 138.0);

    private static final double ROW_HEIGHT = 44;
    private static final PseudoClass GROUP = PseudoClass.getPseudoClass("group");

    private final LaneSession session;
    private final Consumer<BoardModel.Row> goOn;
    private Map<String, Set<Track>> shownKeys = Map.of();
    private boolean filling;

    /** A line of the table: the title of a group, or a track. */
    record Entry(String title, Optional<BoardModel.Row> row, int size, TrackSummary summary, TrackPlan plan) {}

    /** {@code goOn} does what comes next with a track. */
    BoardTable(LaneSession session, Consumer<BoardModel.Row> goOn) {
        this.session = session;
        this.goOn = goOn;
        setId("tracks");
        getStyleClass().add("board-table");
        setFixedCellSize(ROW_HEIGHT * session.person().scale());
        session.person()
                .onChange(() -> setFixedCellSize(ROW_HEIGHT * session.person().scale()));
        setShowRoot(false);
        setRoot(new TreeItem<>());
        getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        setColumnResizePolicy(TreeTableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        TreeTableColumn<Entry, Entry> file =
                column("file", 230, FileCell::new, row -> row.track().name());
        setTreeColumn(file);
        getColumns().add(file);
        getColumns().add(column("language", 86, LanguageCell::new, row -> row.track()
                .summary()
                .targetLanguage()));
        getColumns().add(column("timeline", 150, TimelineCell::new, row -> row.progress()
                .name()));
        getColumns().add(column("with", 130, WithCell::new, BoardTable::with));
        getColumns().add(column("due", 80, DueCell::new, row -> row.track()
                .plan()
                .due()
                .map(LocalDate::toString)
                .orElse("9")));
        getColumns()
                .add(column(
                        "findings",
                        80,
                        FindingsCell::new,
                        row -> String.format(Locale.ROOT, "%09d", Math.max(0, row.findings()))));
        getColumns()
                .add(column("words", 140, WordsCell::new, row -> String.format(Locale.ROOT, "%010.8f", row.done())));
        getColumns().add(column("next", 150, NextCell::new, row -> row.next().name()));
        ScaledColumns.of(this, session.person());
        setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                selectedRows().stream().findFirst().ifPresent(goOn);
                event.consume();
            }
        });
    }

    private TreeTableColumn<Entry, Entry> column(
            String key, double width, Supplier<RowCell> cell, Function<BoardModel.Row, String> order) {
        TreeTableColumn<Entry, Entry> column = new TreeTableColumn<>(Strings.text("board.column." + key));
        column.setId("board-" + key);
        column.setPrefWidth(width);
        column.setMinWidth(LEAST.getOrDefault(key, LEAST_WIDTH));
        column.setCellValueFactory(
                entry -> new ReadOnlyObjectWrapper<>(entry.getValue().getValue()));
        column.setCellFactory(any -> cell.get());
        column.setComparator(
                Comparator.comparing(entry -> entry.row().map(order).orElse(entry.title())));
        return column;
    }

    /** Fills the table; what was selected stays so. Where the same tracks are listed as before, only what changed is drawn. */
    void show(Map<String, List<BoardModel.Row>> groups) {
        if (keys(groups).equals(shownKeys)) {
            Map<Track, BoardModel.Row> rows = groups.values().stream()
                    .flatMap(List::stream)
                    .collect(Collectors.toMap(BoardModel.Row::track, row -> row));
            getRoot().getChildren().forEach(item -> renew(item, rows));
        } else {
            shownKeys = keys(groups);
            fill(groups);
        }
    }

    /** What is listed, whatever its order. */
    private static Map<String, Set<Track>> keys(Map<String, List<BoardModel.Row>> groups) {
        return groups.entrySet().stream().collect(Collectors.toMap(Map.Entry::getKey, group -> group.getValue().stream()
                .map(BoardModel.Row::track)
                .collect(Collectors.toSet())));
    }

    private static void renew(TreeItem<Entry> item, Map<Track, BoardModel.Row> rows) {
        item.getChildren().forEach(child -> renew(child, rows));
        item.getValue().row().ifPresent(before -> {
            BoardModel.Row now = rows.get(before.track());
            Entry entry = new Entry(
                    "", Optional.of(now), 1, now.track().summary(), now.track().plan());
            if (!entry.equals(item.getValue())) {
                item.setValue(entry);
            }
        });
    }

    private void fill(Map<String, List<BoardModel.Row>> groups) {
        Set<Track> selected = selectedRows().stream().map(BoardModel.Row::track).collect(Collectors.toSet());
        filling = true;
        boolean flat = groups.size() == 1 && groups.containsKey("");
        List<TreeItem<Entry>> items = groups.entrySet().stream()
                .flatMap(group -> flat ? leaves(group.getValue()) : Stream.of(branch(group.getKey(), group.getValue())))
                .toList();
        getRoot().getChildren().setAll(items);
        sort();
        getSelectionModel().clearSelection();
        for (int i = 0; i < getExpandedItemCount(); i++) {
            Optional<BoardModel.Row> row = getTreeItem(i).getValue().row();
            if (row.isPresent() && selected.contains(row.get().track())) {
                getSelectionModel().select(i);
            }
        }
        filling = false;
    }

    boolean isFilling() {
        return filling;
    }

    private static Stream<TreeItem<Entry>> leaves(List<BoardModel.Row> rows) {
        return rows.stream()
                .map(row -> new TreeItem<>(new Entry(
                        "",
                        Optional.of(row),
                        1,
                        row.track().summary(),
                        row.track().plan())));
    }

    private static TreeItem<Entry> branch(String title, List<BoardModel.Row> rows) {
        TreeItem<Entry> branch = new TreeItem<>(new Entry(title, Optional.empty(), rows.size(), null, null));
        branch.setExpanded(true);
        branch.getChildren().setAll(leaves(rows).toList());
        return branch;
    }

    /** The selected tracks; those of a selected group too. */
    List<BoardModel.Row> selectedRows() {
        return getSelectionModel().getSelectedItems().stream()
                .filter(Objects::nonNull)
                .flatMap(item -> item.isLeaf() ? Stream.of(item) : item.getChildren().stream())
                .flatMap(item -> item.getValue().row().stream())
                .distinct()
                .toList();
    }

    /** Selects it alone; brings it into view where somebody chose it elsewhere. */
    void select(Track track) {
        for (int i = 0; i < getExpandedItemCount(); i++) {
            if (getTreeItem(i)
                    .getValue()
                    .row()
                    .filter(row -> row.track() == track)
                    .isPresent()) {
                boolean chosenHere = getSelectionModel().isSelected(i);
                getSelectionModel().clearAndSelect(i);
                if (!chosenHere) {
                    int row = Math.max(0, i - ROWS_BEFORE);
                    // The chosen track's panel opens below and takes room from the table.
                    Platform.runLater(() -> scrollTo(row));
                }
                return;
            }
        }
    }

    private static String with(BoardModel.Row row) {
        return row.away().isEmpty()
                ? Strings.text("board.lane.with-us")
                : row.away().stream().map(Trip::person).distinct().collect(Collectors.joining(", "));
    }

    /** A cell of a track; in the row of a group it is empty. */
    private abstract static class RowCell extends TreeTableCell<Entry, Entry> {
        @Override
        protected final void updateItem(Entry entry, boolean empty) {
            super.updateItem(entry, empty);
            setText(null);
            setGraphic(null);
            pseudoClassStateChanged(
                    GROUP, !empty && entry != null && entry.row().isEmpty());
            if (!empty && entry != null) {
                entry.row().ifPresentOrElse(row -> setGraphic(draw(row)), () -> group(entry));
            }
        }

        abstract Node draw(BoardModel.Row row);

        void group(Entry entry) {}
    }

    private static final class FileCell extends RowCell {
        private final Label name = Controls.styled(new Label(), "board-name");
        private final Label folder = Controls.styled(new Label(), "caption");
        private final VBox both = new VBox(name, folder);

        @Override
        Node draw(BoardModel.Row row) {
            name.setText(row.track().name());
            String in = row.track().problem().isEmpty()
                    ? row.track().plan().folder()
                    : row.track().problem();
            folder.setText(in);
            Controls.showIf(folder, !in.isEmpty());
            both.getStyleClass().setAll("board-file");
            return both;
        }

        @Override
        void group(Entry entry) {
            setText(Strings.text("board.group", entry.title(), entry.size()));
        }
    }

    private static final class LanguageCell extends RowCell {
        private final Label code = new Label();

        @Override
        Node draw(BoardModel.Row row) {
            String language = row.track().summary().targetLanguage();
            code.setText(language);
            code.setAccessibleText(LanguageNames.withCode(language));
            return code;
        }
    }

    private final class TimelineCell extends RowCell {
        private final TrackTimeline timeline = new TrackTimeline(false);

        @Override
        Node draw(BoardModel.Row row) {
            timeline.show(row.track(), row.trips(), session.lane().clock().instant());
            return timeline;
        }
    }

    private static final class WithCell extends RowCell {
        private final Label who = new Label();
        private final Label since = Controls.styled(new Label(), "caption");
        private final VBox both = Controls.styled(new VBox(who, since), "board-file");

        @Override
        Node draw(BoardModel.Row row) {
            who.setText(with(row));
            boolean away = !row.away().isEmpty();
            who.getStyleClass().setAll("label", away ? "timeline-name-away" : "quiet");
            Controls.showIf(since, away);
            since.setText(
                    away
                            ? Strings.text(
                                    "board.since", Dates.day(row.away().get(0).sentAt()))
                            : "");
            return both;
        }
    }

    private final class DueCell extends RowCell {
        private final Label due = new Label();
        private final Label late = Controls.styled(new Label(Strings.text("board.overdue")), "timeline-name-away");
        private final VBox both = Controls.styled(new VBox(due, late), "board-file");

        @Override
        Node draw(BoardModel.Row row) {
            due.setText(row.track()
                    .plan()
                    .due()
                    .map(day ->
                            Dates.day(day.atStartOfDay(ZoneId.systemDefault()).toInstant()))
                    .orElse(""));
            Controls.showIf(late, row.progress() == BoardModel.Progress.OVERDUE);
            return both;
        }
    }

    /** How much was found where it was checked; nothing where it was not. */
    private static final class FindingsCell extends RowCell {
        private final Label count = new Label();

        @Override
        Node draw(BoardModel.Row row) {
            count.setText(row.findings() < 0 ? "" : Strings.text("lanes.number", row.findings()));
            return count;
        }
    }

    private static final class WordsCell extends RowCell {
        private final ReviewedWords words = new ReviewedWords();

        @Override
        Node draw(BoardModel.Row row) {
            words.show(
                    row.track().summary().counts().reviewedWords(),
                    row.track().summary().counts().openableWords());
            return words;
        }
    }

    private final class NextCell extends RowCell {
        private final Button next =
                Controls.styled(Controls.button("next-step", "board.next.board", this::run), "small");

        private NextCell() {
            next.setFocusTraversable(false);
        }

        private void run() {
            getItem().row().ifPresent(goOn);
        }

        @Override
        Node draw(BoardModel.Row row) {
            next.setText(Strings.text("board.next." + row.next().name()));
            return next;
        }
    }
}
