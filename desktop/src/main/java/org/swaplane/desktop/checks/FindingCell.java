package org.swaplane.desktop.checks;

import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import org.swaplane.check.Finding;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Parts;

/** A finding in the list: number of the segment, what was found, and the source. */
final class FindingCell extends ListCell<Finding> {
    private final LaneSession session;
    private final Label number = Parts.styled(new Label(), "row-number");
    private final Label message = new Label();
    private final Label text = Parts.styled(new Label(), "quiet");
    private final HBox line = new HBox(8, number, message, text);

    FindingCell(LaneSession session) {
        this.session = session;
        number.setMinWidth(44);
        message.setMinWidth(USE_PREF_SIZE);
        message.setMaxWidth(560);
        setPrefWidth(0);
    }

    @Override
    protected void updateItem(Finding finding, boolean empty) {
        super.updateItem(finding, empty);
        setGraphic(empty ? null : line);
        if (!empty) {
            number.setText(String.valueOf(finding.segment() + 1));
            message.setText(finding.message());
            text.setText(session.track()
                    .segment(finding.segment())
                    .source()
                    .plainText()
                    .replace('\n', ' '));
        }
    }
}
