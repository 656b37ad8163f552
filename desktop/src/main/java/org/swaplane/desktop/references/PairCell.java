package org.swaplane.desktop.references;

import java.util.List;
import java.util.function.Supplier;
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
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.Directions;
import org.swaplane.memory.AlignedDocuments;
import org.swaplane.memory.AlignedPair;

/** A pair of texts, and how certain it is. */
final class PairCell extends ListCell<AlignedPair> {
    private static final double GAP = 12;
    private static final double CERTAINTY = 60;
    private static final double SCROLL_BAR = 30;

    private final GridPane row = new GridPane();
    private final ContentFlow source = new ContentFlow();
    private final ContentFlow target = new ContentFlow();
    private final Label certainty = Controls.quiet("");
    private final Supplier<AlignedDocuments> documents;

    PairCell(ListView<AlignedPair> list, Supplier<AlignedDocuments> documents) {
        this.documents = documents;
        row.setHgap(GAP);
        ColumnConstraints text = new ColumnConstraints();
        text.prefWidthProperty()
                .bind(list.widthProperty()
                        .subtract(CERTAINTY + SCROLL_BAR + 2 * GAP)
                        .divide(2));
        row.getColumnConstraints().setAll(text, text, new ColumnConstraints(CERTAINTY));
        row.addRow(0, source, target, certainty);
        for (Node each : List.of(source, target, certainty)) {
            GridPane.setValignment(each, VPos.TOP);
        }
    }

    @Override
    protected void updateItem(AlignedPair pair, boolean empty) {
        super.updateItem(pair, empty);
        boolean shown = !empty && pair != null && documents.get() != null;
        setGraphic(shown ? row : null);
        if (shown) {
            AlignedDocuments all = documents.get();
            show(source, all.sourceLanguage(), all.source(pair));
            show(target, all.targetLanguage(), all.target(pair));
            certainty.setText(Strings.text("alignment.certainty", (int) (pair.confidence() * 100)));
        }
    }

    private static void show(ContentFlow flow, String language, Content content) {
        TextLanguage.of(language, Directions.Direction.BY_LANGUAGE).apply(flow);
        flow.show(content, TagNumbers.of(content), List.of(), List.of());
    }
}
