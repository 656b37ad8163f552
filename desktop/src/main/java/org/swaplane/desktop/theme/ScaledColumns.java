package org.swaplane.desktop.theme;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.control.TableColumnBase;
import javafx.scene.control.TableView;
import javafx.scene.control.TreeTableView;
import org.swaplane.desktop.session.PersonSettings;

/**
 * Columns that become wider with the text: they share the width as the table says while its text is about as large as usual;
 * beyond that the table is scrolled sideways, so that words are not shortened.
 */
public final class ScaledColumns {
    private static final double USUAL_UP_TO = 1.3;

    private record Widths(double least, double usual) {}

    private final List<? extends TableColumnBase<?, ?>> columns;
    private final PersonSettings person;
    private final Map<TableColumnBase<?, ?>, Widths> usual = new HashMap<>();

    private ScaledColumns(List<? extends TableColumnBase<?, ?>> columns, PersonSettings person) {
        this.columns = columns;
        this.person = person;
        columns.forEach(column -> usual.put(column, new Widths(column.getMinWidth(), column.getPrefWidth())));
    }

    /** Columns of a table that has all of them, with the widths for text of the usual size. */
    public static <T> void of(TableView<T> table, PersonSettings person) {
        ScaledColumns columns = new ScaledColumns(table.getColumns(), person);
        var policy = table.getColumnResizePolicy();
        columns.follow(
                () -> table.setColumnResizePolicy(columns.areUsual() ? policy : TableView.UNCONSTRAINED_RESIZE_POLICY));
    }

    /** The same of a tree. */
    public static <T> void of(TreeTableView<T> table, PersonSettings person) {
        ScaledColumns columns = new ScaledColumns(table.getColumns(), person);
        var policy = table.getColumnResizePolicy();
        columns.follow(() ->
                table.setColumnResizePolicy(columns.areUsual() ? policy : TreeTableView.UNCONSTRAINED_RESIZE_POLICY));
    }

    private boolean areUsual() {
        return person.scale() < USUAL_UP_TO;
    }

    private void follow(Runnable policy) {
        Runnable apply = () -> {
            columns.forEach(this::scale);
            policy.run();
        };
        double[] shown = {person.scale()};
        person.onChange(() -> {
            if (shown[0] != person.scale()) {
                shown[0] = person.scale();
                apply.run();
            }
        });
        apply.run();
    }

    private void scale(TableColumnBase<?, ?> column) {
        Widths widths = usual.get(column);
        column.setMinWidth(widths.least() * person.scale());
        column.setPrefWidth(widths.usual() * person.scale());
    }
}
