package org.swaplane.desktop.report;

import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;

/** What amounts are computed by: the lane's rate cards, and the offer. */
final class AmountTools extends VBox {
    private final RateCardPane cards;

    AmountTools(LaneSession session, FilePicker picker) {
        this.cards = new RateCardPane(session, picker);
        getStyleClass().add("column-tight");
        Controls.showIf(cards, false);
        Button offer = Controls.styled(
                Controls.button("make-offer", "report.make-offer", session.jobReporting()::offer), "small");
        Button open = Controls.styled(
                Controls.button("open-cards", "report.cards.open", () -> Controls.showIf(cards, !cards.isVisible())),
                "small");
        getChildren().addAll(Controls.row(open, offer), cards);
        setDisable(session.lane().isReadOnly());
    }

    void refresh() {
        cards.refresh();
    }
}
