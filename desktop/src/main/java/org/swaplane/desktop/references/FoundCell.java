package org.swaplane.desktop.references;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import org.swaplane.content.Content;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.Directions;
import org.swaplane.memory.MemoryUnit;

/** A unit that was found: source, target, and where it comes from. */
final class FoundCell extends ListCell<MemoryUnit> {
    private static final double GAP = 12;
    private static final double FROM = 130;
    private static final double SCROLL_BAR = 30;

    private final GridPane row = new GridPane();
    private final ContentFlow source = new ContentFlow();
    private final ContentFlow target = new ContentFlow();
    private final Label from = Controls.quiet("");
    private final WordHits hits;

    FoundCell(ListView<MemoryUnit> list, WordHits hits) {
        this.hits = hits;
        row.setHgap(GAP);
        ColumnConstraints text = new ColumnConstraints();
        text.prefWidthProperty()
                .bind(list.widthProperty().subtract(FROM + SCROLL_BAR + 2 * GAP).divide(2));
        row.getColumnConstraints().setAll(text, text, new ColumnConstraints(FROM));
        row.addRow(0, source, target, from);
        for (Node each : List.of(source, target, from)) {
            GridPane.setValignment(each, VPos.TOP);
        }
    }

    @Override
    protected void updateItem(MemoryUnit unit, boolean empty) {
        super.updateItem(unit, empty);
        setGraphic(empty || unit == null ? null : row);
        if (!empty && unit != null) {
            show(source, unit.sourceLanguage(), unit.source(), unit);
            show(target, unit.targetLanguage(), unit.target(), unit);
            from.setText(unit.origin());
        }
    }

    private void show(ContentFlow flow, String language, Content content, MemoryUnit unit) {
        TextLanguage.of(language, Directions.Direction.BY_LANGUAGE).apply(flow);
        flow.show(content, TagNumbers.of(unit.source()), List.of(), hits.in(content.plainText()));
    }
}
