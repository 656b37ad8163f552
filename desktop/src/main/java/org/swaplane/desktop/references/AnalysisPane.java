package org.swaplane.desktop.references;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.ToIntFunction;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Memories;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.memory.WordAnalysis;

/** Words by band: a row for each file, and one for all. */
final class AnalysisPane extends VBox {
    private static final double NAME = 140;
    private static final double BAND = 66;
    private static final double WIDE = 86;
    private static final double HEIGHT = 150;

    private final LaneSession session;
    private final TableView<Row> table = new TableView<>();
    private final Label hint = Controls.quiet(Strings.text("analysis.none"));
    private final Button report;

    private record Row(String name, Map<WordAnalysis.Band, WordAnalysis.Amount> amounts) {
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
        for (WordAnalysis.Band band : WordAnalysis.Band.values()) {
            WordsColumn<Row> column = column(row -> row.words(band));
            if (band == WordAnalysis.Band.REPETITION) {
                column.setPrefWidth(WIDE);
            }
            column.setText(Strings.text("analysis.band." + band.word().toLowerCase(Locale.ROOT)));
            table.getColumns().add(column);
        }
        table.getColumns().add(column(Row::all));
        table.getColumns()
                .add(new WordsColumn<>(
                        "analysis.weighted",
                        WIDE,
                        row -> number(
                                weighted(row).setScale(0, RoundingMode.HALF_UP).intValueExact()),
                        Comparator.comparing(this::weighted)));
        table.setPrefHeight(HEIGHT);
        table.setMinHeight(HEIGHT);
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
        Controls.showIf(hint, analysis == null);
        List<Row> rows = new ArrayList<>();
        if (analysis != null) {
            analysis.files().forEach((name, amounts) -> rows.add(new Row(name, amounts)));
            rows.add(new Row(Strings.text("analysis.total"), analysis.total()));
        }
        table.getItems().setAll(rows);
    }
}
