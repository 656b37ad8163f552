package org.swaplane.desktop.desk;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import javafx.beans.binding.Bindings;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import org.swaplane.desk.DeskTask;
import org.swaplane.desktop.session.DeskWork;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.desktop.theme.ScaledColumns;
import org.swaplane.exchange.DueTime;
import org.swaplane.lane.DeskJob;

/** The tasks of the desk, those that the lane works at first. */
final class TaskTable extends TableView<DeskWork.Row> {
    TaskTable(LaneSession session) {
        setId("desk-tasks");
        setAccessibleText(Strings.text("desk.tasks"));
        setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        Label none = Controls.quiet(Strings.text("desk.not-asked"));
        none.textProperty()
                .bind(Bindings.when(session.deskWork().answeredProperty())
                        .then(Strings.text("desk.no-tasks"))
                        .otherwise(Strings.text("desk.not-asked")));
        setPlaceholder(none);
        getColumns()
                .addAll(List.of(
                        new WordsColumn<>(
                                "desk.column.title", 260, row -> row.task().title()),
                        new WordsColumn<>("desk.column.state", 170, TaskTable::state),
                        new WordsColumn<>(
                                "desk.column.languages",
                                160,
                                row -> Strings.text(
                                        "strip.languages",
                                        row.task().sourceLanguage(),
                                        String.join(", ", row.task().targetLanguages()))),
                        new WordsColumn<>(
                                "lanes.column.files",
                                60,
                                row -> Strings.text(
                                        "lanes.number", row.task().files().size()),
                                Comparator.comparing(row -> row.task().files().size())),
                        new WordsColumn<>(
                                "desk.column.due",
                                100,
                                row -> due(row.task().due()),
                                Comparator.comparing(row -> row.task().due())),
                        new WordsColumn<>(
                                "desk.column.person", 120, row -> row.task().person())));
        ScaledColumns.of(this, session.person());
    }

    /** A date that we do not understand is shown as the desk has it. */
    private static String due(String date) {
        return DueTime.parse(date).map(Dates::due).orElse(date);
    }

    /** How far a task is, in words. */
    static String state(DeskWork.Row row) {
        if (row.job().isEmpty()) {
            return Strings.text(
                    row.task().state() == DeskTask.State.OFFERED ? "desk.state.offered" : "desk.state.elsewhere");
        }
        DeskJob job = row.job().get();
        String state = job.isClosed()
                ? "closed"
                : !job.problems().isEmpty()
                        ? "problems"
                        : !job.accepted().isEmpty() ? "returned" : job.isHere() ? "here" : "accepted";
        return Strings.text(
                "desk.state." + state.toLowerCase(Locale.ROOT), job.problems().size());
    }

    /** Shows these; what was selected stays so. */
    void show(List<DeskWork.Row> rows) {
        DeskWork.Row selected = getSelectionModel().getSelectedItem();
        getItems().setAll(rows);
        getItems().stream()
                .filter(row -> selected != null
                        && row.task().id().equals(selected.task().id()))
                .findFirst()
                .ifPresentOrElse(
                        getSelectionModel()::select, () -> getSelectionModel().selectFirst());
    }
}
