package org.swaplane.desktop.report;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntConsumer;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.report.Cell;
import org.swaplane.report.Report;

/** The rows of some figures, to be sorted; a row leads to its segments. */
final class FiguresTable extends TableView<FiguresTable.Row> {
    private static final double WIDEST = 280;
    private static final double LETTER = 7.5;
    /** Around a text, and around a head with the mark of its order. */
    private static final double AROUND = 20;

    private static final double AROUND_HEAD = 28;

    /** One row; the sums have no number. */
    record Row(int number, List<Cell> cells) {
        boolean isSum() {
            return number < 0;
        }
    }

    FiguresTable(IntConsumer chosen) {
        setId("report-table");
        setPlaceholder(Controls.quiet(Strings.text("report.none")));
        setOnMouseClicked(event -> {
            if (event.getClickCount() == 2) {
                choose(chosen);
            }
        });
        setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                choose(chosen);
                event.consume();
            }
        });
        // The sums stay below, whatever the rows are sorted by.
        setSortPolicy(table -> {
            Comparator<Row> order = table.getComparator();
            Comparator<Row> sumsLast = Comparator.comparing(Row::isSum);
            table.getItems().sort(order == null ? sumsLast.thenComparing(Row::number) : sumsLast.thenComparing(order));
            return true;
        });
    }

    private void choose(IntConsumer chosen) {
        Row row = getSelectionModel().getSelectedItem();
        if (row != null && !row.isSum()) {
            chosen.accept(row.number());
        }
    }

    void show(Report.Section section, double scale) {
        setAccessibleText(section.heading());
        List<TableColumn<Row, Row>> columns = new ArrayList<>();
        for (int i = 0; i < section.heads().size(); i++) {
            columns.add(column(section, i, scale));
        }
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < section.rows().size(); i++) {
            rows.add(new Row(i, section.rows().get(i)));
        }
        if (!section.sums().isEmpty()) {
            rows.add(new Row(-1, section.sums()));
        }
        double wanted = columns.stream().mapToDouble(TableColumn::getPrefWidth).sum();
        // A few columns share the width; many are scrolled.
        setColumnResizePolicy(
                wanted < getWidth() ? CONSTRAINED_RESIZE_POLICY_ALL_COLUMNS : UNCONSTRAINED_RESIZE_POLICY);
        getColumns().setAll(columns);
        getItems().setAll(rows);
        getSelectionModel().selectFirst();
    }

    private static TableColumn<Row, Row> column(Report.Section section, int index, double scale) {
        List<Cell> cells =
                section.rows().stream().map(row -> row.get(index)).limit(200).toList();
        boolean numbers = !cells.isEmpty() && cells.stream().allMatch(cell -> cell.tone() == Cell.Tone.NUMBER);
        int longest = Stream.concat(
                        cells.stream(), section.sums().stream().skip(index).limit(1))
                .mapToInt(cell -> cell.text().length())
                .max()
                .orElse(0);
        TableColumn<Row, Row> column = new TableColumn<>(section.heads().get(index));
        double head = section.heads().get(index).length() * LETTER + AROUND_HEAD;
        column.setPrefWidth(scale * Math.max(head, Math.min(WIDEST, longest * LETTER + AROUND)));
        column.setCellValueFactory(row -> new ReadOnlyObjectWrapper<>(row.getValue()));
        column.setCellFactory(any -> new FigureCell(index));
        Comparator<Row> byNumber = Comparator.comparing(
                row -> row.cells().get(index).number().orElse(null), Comparator.nullsFirst(BigDecimal::compareTo));
        Comparator<Row> byText =
                Comparator.comparing(row -> row.cells().get(index).text());
        column.setComparator(numbers ? byNumber : byText);
        return column;
    }

    /** Shows a value, with its marked parts. */
    private static final class FigureCell extends TableCell<Row, Row> {
        private final int index;

        private FigureCell(int index) {
            this.index = index;
            setOnMouseEntered(event -> {
                String text =
                        getItem() == null ? "" : getItem().cells().get(index).text();
                setTooltip(text.isEmpty() ? null : new Tooltip(text));
            });
        }

        @Override
        protected void updateItem(Row row, boolean empty) {
            super.updateItem(row, empty);
            setGraphic(null);
            setText(null);
            getStyleClass().removeAll("figure-sum", "figure-number", "found");
            if (empty || row == null) {
                return;
            }
            Cell cell = row.cells().get(index);
            if (cell.tone() == Cell.Tone.NUMBER) {
                getStyleClass().add("figure-number");
            }
            if (row.isSum()) {
                getStyleClass().add("figure-sum");
            }
            if (cell.tone() == Cell.Tone.BAD) {
                getStyleClass().add("found");
            }
            if (cell.pieces().stream().anyMatch(Cell.Piece::marked)) {
                TextFlow flow = new TextFlow();
                for (Cell.Piece piece : cell.pieces()) {
                    Text text = Controls.styled(new Text(piece.text()), piece.marked() ? "figure-mark" : "figure-text");
                    flow.getChildren().add(text);
                }
                flow.setMaxHeight(getFont().getSize() * 1.5);
                flow.setPrefHeight(getFont().getSize() * 1.5);
                setGraphic(flow);
            } else {
                String text = cell.text();
                int line = text.indexOf('\n');
                setText(line < 0 ? text : text.substring(0, line) + " …");
            }
        }
    }
}
