package org.swaplane.desktop.dryrun;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.Segment;
import org.swaplane.proof.DryRunResult;

/** The text of a track before and after pseudo-translation. */
final class PreviewPane extends VBox {
    private static final double ROOM_BESIDE = 56;

    private final ListView<Segment> texts = new ListView<>();

    PreviewPane() {
        getStyleClass().add("column");
        texts.setId("dry-run-preview");
        texts.setCellFactory(list -> new PreviewCell());
        texts.setPlaceholder(Controls.quiet(Strings.text("dry-run.no-preview")));
        VBox.setVgrow(texts, Priority.ALWAYS);
        HBox heads = Controls.styled(new HBox(column("dry-run.before"), column("dry-run.after")), "preview-head");
        getChildren().addAll(heads, texts);
    }

    private static Label column(String key) {
        Label label = Controls.styled(new Label(Strings.text(key)), "quiet");
        label.setMaxWidth(Double.MAX_VALUE);
        label.setPrefWidth(100);
        label.setWrapText(true);
        HBox.setHgrow(label, Priority.ALWAYS);
        return label;
    }

    /** {@code result} is null before a dry run. */
    void show(DryRunResult result) {
        texts.getItems().setAll(result == null ? List.of() : result.pseudo().segments());
    }

    private final class PreviewCell extends ListCell<Segment> {
        private final ContentFlow before = new ContentFlow();
        private final ContentFlow after = new ContentFlow();
        private final HBox columns = Controls.styled(new HBox(before, after), "preview-row");

        PreviewCell() {
            // The same width when the height is asked for as when it is drawn.
            List.of(before, after).forEach(column -> {
                column.prefWidthProperty()
                        .bind(texts.widthProperty().subtract(ROOM_BESIDE).divide(2));
                column.setMinWidth(Region.USE_PREF_SIZE);
                column.setMaxWidth(Region.USE_PREF_SIZE);
            });
            prefWidthProperty().bind(texts.widthProperty().subtract(24));
        }

        @Override
        protected void updateItem(Segment segment, boolean empty) {
            super.updateItem(segment, empty);
            setGraphic(empty ? null : columns);
            if (!empty) {
                TagNumbers numbers = TagNumbers.of(segment.source());
                before.show(segment.source(), numbers, List.of());
                after.show(segment.target(), numbers, List.of());
            }
        }
    }
}
