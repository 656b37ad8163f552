package org.swaplane.desktop.references;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToIntFunction;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TablePosition;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Memories;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.desktop.theme.ScaledColumns;
import org.swaplane.memory.WordAnalysis;

/** Words by band: a row for each file, and one for all; a number leads to its segments. */
final class AnalysisPane extends VBox {
    private static final double LEAST_HEIGHT = 130;
    private static final double NAME = 120;
    private static final double BAND = 58;
    private static final double WIDE = 80;
    private static final double BAR = 90;

    private static final Set<WordAnalysis.Band> WIDER =
            Set.of(WordAnalysis.Band.CONTEXT, WordAnalysis.Band.REPETITION, WordAnalysis.Band.LOCKED);

    private final LaneSession session;
    private final TableView<Row> table = new TableView<>();
    private final Label hint = Controls.quiet(Strings.text("analysis.none"));
    private final Button report;

    /** {@code file} is null in the row of all files. */
    private record Row(String name, Map<WordAnalysis.Band, WordAnalysis.Amount> amounts, Memories.Analyzed file) {
        int words(WordAnalysis.Band band) {
            return amounts.getOrDefault(band, WordAnalysis.Amount.NOTHING).words();
        }

        int all() {
            return Stream.of(WordAnalysis.Band.values())
                    .filter(WordAnalysis.Band::isWork)
                    .mapToInt(this::words)
                    .sum();
        }
    }

    AnalysisPane(LaneSession session, FilePicker picker) {
        this.session = session;
        getStyleClass().add("column");
        table.setId("analysis");
        table.setAccessibleText(Strings.text("analysis.title"));
        table.getColumns().add(new WordsColumn<>("analysis.file", NAME, Row::name));
        table.getColumns().add(bars());
        for (WordAnalysis.Band band : WordAnalysis.Band.values()) {
            WordsColumn<Row> column = column(row -> row.words(band));
            if (WIDER.contains(band)) {
                column.setPrefWidth(WIDE);
            }
            column.setText(BandBar.name(band));
            column.setUserData(band);
            table.getColumns().add(column);
        }
        table.getSelectionModel().setCellSelectionEnabled(true);
        table.setOnMouseClicked(event -> {
            if (event.getClickCount() == 2) {
                showSegments();
            }
        });
        table.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                showSegments();
                event.consume();
            }
        });
        table.getColumns().add(column(Row::all));
        table.getColumns()
                .add(new WordsColumn<>(
                        "analysis.weighted",
                        WIDE,
                        row -> number(
                                weighted(row).setScale(0, RoundingMode.HALF_UP).intValueExact()),
                        Comparator.comparing(this::weighted)));
        ScaledColumns.of(table, session.person());
        VBox.setVgrow(table, Priority.ALWAYS);
        table.setMinHeight(LEAST_HEIGHT);
        report = Controls.button(
                "analysis-report", "analysis.report", () -> picker.chooseTarget(Strings.text("analysis.report-name"))
                        .ifPresent(session.memories()::report));
        getChildren()
                .addAll(
                        Controls.wrapped(
                                Controls.heading("analysis.title"),
                                Controls.button("analyze-file", "analysis.file-only", this::file),
                                Controls.button("analyze-language", "analysis.language", this::language),
                                report,
                                hint),
                        table);
        session.memories().analysisProperty().addListener((property, before, now) -> show(now));
        show(null);
    }

    private static TableColumn<Row, Row> bars() {
        TableColumn<Row, Row> column = new TableColumn<>(Strings.text("analysis.bar"));
        column.setPrefWidth(BAR);
        column.setSortable(false);
        column.setCellValueFactory(row -> new ReadOnlyObjectWrapper<>(row.getValue()));
        column.setCellFactory(any -> new TableCell<>() {
            @Override
            protected void updateItem(Row row, boolean empty) {
                super.updateItem(row, empty);
                setGraphic(empty || row == null ? null : new BandBar(row.amounts()));
            }
        });
        return column;
    }

    /** Those that the number in hand was counted from. */
    @SuppressWarnings("rawtypes")
    private void showSegments() {
        for (TablePosition<?, ?> each :
                List.copyOf((List<TablePosition>) table.getSelectionModel().getSelectedCells())) {
            Row row = table.getItems().get(each.getRow());
            if (row.file() != null && each.getTableColumn().getUserData() instanceof WordAnalysis.Band band) {
                session.memories().show(row.file(), band, BandBar.name(band));
            }
        }
    }

    private static WordsColumn<Row> column(ToIntFunction<Row> words) {
        return new WordsColumn<>(
                "analysis.sum", BAND, row -> number(words.applyAsInt(row)), Comparator.comparingInt(words));
    }

    private BigDecimal weighted(Row row) {
        return session.lane().settings().wordWeights().of(row.amounts());
    }

    private static String number(int words) {
        return Strings.text("analysis.number", words);
    }

    private void file() {
        if (session.track() != null) {
            session.memories().analyze(List.of(session.track()));
        }
    }

    /** All files in the language of this one. */
    void language() {
        if (session.track() != null) {
            String target = session.track().summary().targetLanguage();
            session.memories()
                    .analyze(session.lane().tracks().stream()
                            .filter(track -> track.summary().targetLanguage().equals(target))
                            .toList());
        }
    }

    private void show(Memories.Analysis analysis) {
        report.setDisable(analysis == null);
        Controls.showIf(table, analysis != null);
        hint.setText(Strings.text(analysis == null ? "analysis.none" : "analysis.leads"));
        List<Row> rows = new ArrayList<>();
        if (analysis != null) {
            analysis.files()
                    .forEach(file -> rows.add(new Row(file.name(), file.words().amounts(), file)));
            rows.add(new Row(Strings.text("analysis.total"), analysis.total(), null));
        }
        table.getItems().setAll(rows);
    }
}
