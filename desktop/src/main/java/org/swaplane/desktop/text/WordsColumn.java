package org.swaplane.desktop.text;

import java.util.Comparator;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.Tooltip;

/** A column of a table that says one thing about each row; what has no room is whole in a tooltip. */
public final class WordsColumn<T> extends TableColumn<T, T> {
    private static final double LEAST_WIDTH = 40;

    /** Sorted by its words. */
    public WordsColumn(String titleKey, double width, Function<T, String> words) {
        this(titleKey, width, words, Comparator.comparing(words));
    }

    public WordsColumn(String titleKey, double width, Function<T, String> words, Comparator<T> order) {
        super(Strings.text(titleKey));
        setPrefWidth(width);
        setMinWidth(Math.min(width, LEAST_WIDTH));
        setCellValueFactory(row -> new ReadOnlyObjectWrapper<>(row.getValue()));
        setCellFactory(any -> new WordsCell<>(words));
        setComparator(order);
    }

    private static final class WordsCell<T> extends TableCell<T, T> {
        private final Function<T, String> words;

        private WordsCell(Function<T, String> words) {
            this.words = words;
            setOnMouseEntered(event -> {
                if (getText() != null && !getText().isEmpty()) {
                    setTooltip(new Tooltip(getText()));
                }
            });
        }

        @Override
        protected void updateItem(T row, boolean empty) {
            super.updateItem(row, empty);
            setTooltip(null);
            setText(empty || row == null ? null : words.apply(row));
        }
    }
}
