package org.swaplane.desktop.report;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.IntConsumer;
import javafx.collections.FXCollections;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.chart.BarChart;
import javafx.scene.chart.CategoryAxis;
import javafx.scene.chart.LineChart;
import javafx.scene.chart.NumberAxis;
import javafx.scene.chart.StackedBarChart;
import javafx.scene.chart.XYChart;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.StackPane;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.report.Chart;

/** Draws a chart; its bars and points lead to the row that they stand for. Series differ by pattern as well as by colour. */
final class ChartPane extends StackPane {
    private static final double HEIGHT = 230;
    private static final double ROW = 26;
    private static final double AROUND_ROWS = 90;
    private static final int MOST_ROWS = 40;
    /** More labels than these do not stand side by side. */
    private static final int MOST_LABELS = 16;

    private final PersonSettings person;
    private final IntConsumer chosen;

    ChartPane(PersonSettings person, IntConsumer chosen) {
        this.person = person;
        this.chosen = chosen;
        setId("report-chart");
        getStyleClass().add("report-chart");
    }

    void show(Chart chart) {
        getChildren().clear();
        setAccessibleText(chart.title());
        if (chart.isEmpty()) {
            getChildren().add(Controls.quiet(Strings.text("report.chart.none")));
            size(HEIGHT);
            return;
        }
        boolean rows = chart.kind() == Chart.Kind.STACKED_ROWS;
        Chart drawn = rows ? chart.atMost(MOST_ROWS, Strings.text("report.chart.others")) : chart;
        XYChart<?, ?> node = rows ? stacked(drawn) : upright(drawn);
        node.setAnimated(false);
        node.setLegendVisible(drawn.series().size() > 1);
        size(rows ? Math.max(HEIGHT, AROUND_ROWS + drawn.labels().size() * ROW) : HEIGHT);
        getChildren().add(node);
    }

    /** As high as so many pixels where the text has its usual size. */
    private void size(double height) {
        setMinHeight(height * person.scale());
        setPrefHeight(height * person.scale());
    }

    private XYChart<String, Number> upright(Chart chart) {
        CategoryAxis names = names(chart.labels());
        NumberAxis values = values(chart);
        XYChart<String, Number> node =
                chart.kind() == Chart.Kind.LINE ? new LineChart<>(names, values) : new BarChart<>(names, values);
        if (node instanceof BarChart<?, ?> bars) {
            bars.setBarGap(1);
            bars.setCategoryGap(chart.labels().size() > MOST_LABELS ? 1 : 12);
        }
        List<String> categories = unique(chart.labels());
        for (Chart.Series each : chart.series()) {
            XYChart.Series<String, Number> series = new XYChart.Series<>();
            series.setName(each.name());
            for (int i = 0; i < categories.size(); i++) {
                if (!each.values().get(i).isNaN()) {
                    series.getData()
                            .add(new XYChart.Data<>(
                                    categories.get(i), each.values().get(i)));
                }
            }
            node.getData().add(series);
            series.getData().forEach(data -> lead(data.getNode(), chart, each, categories.indexOf(data.getXValue())));
        }
        return node;
    }

    private XYChart<Number, String> stacked(Chart chart) {
        CategoryAxis names = new CategoryAxis();
        List<String> categories = unique(chart.labels());
        List<String> fromBelow = new ArrayList<>(categories);
        Collections.reverse(fromBelow);
        names.setCategories(FXCollections.observableArrayList(fromBelow));
        StackedBarChart<Number, String> node = new StackedBarChart<>(values(chart), names);
        node.setCategoryGap(8);
        for (Chart.Series each : chart.series()) {
            XYChart.Series<Number, String> series = new XYChart.Series<>();
            series.setName(each.name());
            for (int i = 0; i < categories.size(); i++) {
                series.getData().add(new XYChart.Data<>(each.values().get(i), categories.get(i)));
            }
            node.getData().add(series);
            series.getData().forEach(data -> lead(data.getNode(), chart, each, categories.indexOf(data.getYValue())));
        }
        return node;
    }

    /** An axis knows its categories by their names, so that two of the same name are one. */
    private static List<String> unique(List<String> labels) {
        List<String> categories = new ArrayList<>();
        for (String label : labels) {
            String free = label;
            while (categories.contains(free)) {
                free += '\u200B';
            }
            categories.add(free);
        }
        return categories;
    }

    private static CategoryAxis names(List<String> labels) {
        CategoryAxis axis = new CategoryAxis();
        axis.setCategories(FXCollections.observableArrayList(unique(labels)));
        axis.setTickLabelsVisible(labels.size() <= MOST_LABELS);
        axis.setTickMarkVisible(labels.size() <= MOST_LABELS);
        if (labels.size() > MOST_LABELS) {
            axis.setLabel(Strings.text("report.chart.from-to", labels.get(0), labels.get(labels.size() - 1)));
        }
        return axis;
    }

    private static NumberAxis values(Chart chart) {
        List<Double> ticks = chart.ticks();
        NumberAxis axis = new NumberAxis(0, ticks.get(ticks.size() - 1), ticks.get(1));
        axis.setLabel(chart.unit());
        axis.setMinorTickVisible(false);
        return axis;
    }

    private void lead(Node node, Chart chart, Chart.Series series, int row) {
        if (node == null) {
            return;
        }
        String value = Strings.text(
                "report.chart.value", chart.labels().get(row), series.values().get(row));
        Tooltip.install(node, new Tooltip(series.name().isEmpty() ? value : series.name() + ": " + value));
        node.setCursor(Cursor.HAND);
        node.setOnMouseClicked(event -> chosen.accept(row));
    }
}
