package org.swaplane.desktop.checks;

import java.util.Locale;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import org.swaplane.check.Finding;
import org.swaplane.check.Severity;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;

/** A finding in the list: number of the segment, how severe it is, what was found, and the source. */
final class FindingCell extends ListCell<Finding> {
    private static final PseudoClass STOPS = PseudoClass.getPseudoClass("stops");

    private final LaneSession session;
    private final Label number = Controls.styled(new Label(), "row-number");
    private final Label severity = Controls.styled(new Label(), "severity");
    private final Label message = new Label();
    private final Label text = Controls.styled(new Label(), "quiet");
    private final HBox line = new HBox(8, number, severity, message, text);

    FindingCell(LaneSession session) {
        this.session = session;
        number.setMinWidth(44);
        severity.setMinWidth(56);
        line.setAlignment(Pos.BASELINE_LEFT);
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
            severity.setText(
                    Strings.text("profile.severity." + finding.severity().name().toLowerCase(Locale.ROOT)));
            severity.pseudoClassStateChanged(STOPS, finding.severity() == Severity.ERROR);
            message.setText(finding.message());
            text.setText(session.snapshot()
                    .segment(finding.segment())
                    .source()
                    .plainText()
                    .replace('\n', ' '));
        }
    }
}
