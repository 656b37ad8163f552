package org.swaplane.desktop.references;

import java.util.List;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;

/** What is done before the work: filling from memories, drafts, and counting what is left. */
final class PreparationPage extends VBox {
    private final FillForm fill;
    private final DraftForm drafts;
    private final AnalysisPane analysis;

    PreparationPage(LaneSession session, FilePicker picker) {
        getStyleClass().add("column");
        setId("preparation");
        fill = new FillForm(session);
        drafts = new DraftForm(session);
        analysis = new AnalysisPane(session, picker);
        for (VBox each : List.of(fill, drafts)) {
            HBox.setHgrow(each, Priority.ALWAYS);
            each.setPrefWidth(1);
        }
        VBox.setVgrow(analysis, Priority.ALWAYS);
        getChildren().addAll(Controls.row(fill, drafts), analysis);
    }

    void refresh() {
        fill.refresh();
        drafts.refresh();
    }

    void previewFill() {
        fill.preview();
    }

    /** Counts all files in the language of the one that is worked at. */
    void analyze() {
        analysis.language();
    }

    @Override
    public void requestFocus() {
        fill.begin();
    }
}
