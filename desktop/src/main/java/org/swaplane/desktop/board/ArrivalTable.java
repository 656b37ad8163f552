package org.swaplane.desktop.board;

import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import javafx.scene.control.CheckBox;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.desktop.theme.ScaledColumns;
import org.swaplane.document.Counts;
import org.swaplane.intake.Arrival;
import org.swaplane.intake.NewVersion;

/** The files that arrived, one row each: whether they are to be added, what they are, and how much. Several can be selected at once. */
final class ArrivalTable extends TableView<Arrival> {
    private static final double ROW_HEIGHT = 30;

    private final Set<Arrival> chosen;
    private final Runnable changed;

    /** {@code chosen} are those that are to be added; {@code changed} is told when it is others. */
    ArrivalTable(Set<Arrival> chosen, PersonSettings person, Runnable changed) {
        this.chosen = chosen;
        this.changed = changed;
        setId("arrivals");
        setFixedCellSize(ROW_HEIGHT * person.scale());
        getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        TableColumn<Arrival, Arrival> add = column("add", 52, arrival -> String.valueOf(!chosen.contains(arrival)));
        add.setCellFactory(any -> new AddCell());
        column("file", 212, arrival -> arrival.source().name());
        column("folder", 130, Arrival::folder);
        column("kind", 100, arrival -> words(arrival.role()));
        column("languages", 120, ArrivalTable::languages);
        number("segments", 80, Counts::segments);
        number("words", 80, Counts::words);
        column("note", 220, ArrivalTable::note);
        ScaledColumns.of(this, person);
        setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.SPACE) {
                toggleSelected();
                event.consume();
            }
        });
    }

    private TableColumn<Arrival, Arrival> column(String key, double width, Function<Arrival, String> words) {
        TableColumn<Arrival, Arrival> column = new WordsColumn<>("intake.column." + key, width, words);
        getColumns().add(column);
        return column;
    }

    /** Numbers stand in the order of their size; files without any come first. */
    private void number(String key, double width, ToIntFunction<Counts> of) {
        getColumns()
                .add(new WordsColumn<>(
                        "intake.column." + key,
                        width,
                        arrival -> arrival.counts()
                                .map(counts -> Strings.text("lanes.number", of.applyAsInt(counts)))
                                .orElse(""),
                        Comparator.comparingInt(arrival -> arrival.counts()
                                .map(counts -> of.applyAsInt(counts))
                                .orElse(-1))));
    }

    static String words(Arrival.Role role) {
        return Strings.text("role." + role.name().toLowerCase(Locale.ROOT));
    }

    private static String languages(Arrival arrival) {
        return arrival.role().isTrack()
                ? Strings.text(
                        "strip.languages",
                        arrival.document().sourceLanguage(),
                        arrival.document().targetLanguage())
                : "";
    }

    private static String note(Arrival arrival) {
        if (!arrival.problem().isEmpty()) {
            return arrival.problem();
        }
        if (!arrival.same().isEmpty()) {
            return Strings.text("intake.same", arrival.same().get(0).name());
        }
        if (arrival.version().isPresent()) {
            return version(arrival.version().get());
        }
        return arrival.repetitions() == 0 ? "" : Strings.text("intake.repetitions", arrival.repetitions());
    }

    /** What a new version would change. */
    static String version(NewVersion version) {
        return Strings.text("intake.version", version.tracks().get(0).name()) + " "
                + version.counts().entrySet().stream()
                        .filter(each -> each.getValue() > 0)
                        .map(each -> Strings.text(
                                "intake.version-count",
                                each.getValue(),
                                Strings.text("outcome." + each.getKey().word()),
                                version.words().get(each.getKey())))
                        .collect(Collectors.joining(" · "));
    }

    /** Whether a file can be added at all. */
    static boolean isAddable(Arrival arrival) {
        return arrival.role() != Arrival.Role.UNREADABLE && arrival.role() != Arrival.Role.RETURNED;
    }

    /** All selected are added, or none of them where all were. */
    private void toggleSelected() {
        List<Arrival> selected = getSelectionModel().getSelectedItems().stream()
                .filter(ArrivalTable::isAddable)
                .toList();
        if (chosen.containsAll(selected)) {
            selected.forEach(chosen::remove);
        } else {
            chosen.addAll(selected);
        }
        refresh();
        changed.run();
    }

    /** The selected ones, in the order of the table. */
    Set<Arrival> selected() {
        return new LinkedHashSet<>(getSelectionModel().getSelectedItems());
    }

    private final class AddCell extends TableCell<Arrival, Arrival> {
        private final CheckBox add = new CheckBox();

        private AddCell() {
            add.setFocusTraversable(false);
            add.setOnAction(event -> {
                if (add.isSelected()) {
                    chosen.add(getItem());
                } else {
                    chosen.remove(getItem());
                }
                changed.run();
            });
        }

        @Override
        protected void updateItem(Arrival arrival, boolean empty) {
            super.updateItem(arrival, empty);
            setGraphic(empty || arrival == null ? null : add);
            if (!empty && arrival != null) {
                add.setDisable(!isAddable(arrival));
                add.setSelected(chosen.contains(arrival));
                add.setAccessibleText(arrival.source().name());
            }
        }
    }
}
