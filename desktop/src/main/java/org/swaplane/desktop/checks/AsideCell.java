package org.swaplane.desktop.checks;

import java.util.Locale;
import java.util.OptionalInt;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.SetAside;
import org.swaplane.wording.Wording;

/** A finding that was set aside: what, what for, and why. */
final class AsideCell extends ListCell<SetAside> {
    private final LaneSession session;
    private final Label message = new Label();
    private final Label why = Controls.quiet("");
    private final VBox lines = Controls.styled(new VBox(message, why), "column-tight");

    AsideCell(LaneSession session) {
        this.session = session;
    }

    /** Of the segment where it was found, as far as the file still has it. */
    private String number(SetAside one) {
        OptionalInt index = session.snapshot() == null
                ? OptionalInt.empty()
                : session.snapshot().index(one.key());
        return index.isPresent() ? index.getAsInt() + 1 + "   " : "";
    }

    @Override
    protected void updateItem(SetAside one, boolean empty) {
        super.updateItem(one, empty);
        setGraphic(empty ? null : lines);
        if (!empty) {
            String scope = Strings.text("checks.scope." + one.scope().name().toLowerCase(Locale.ROOT));
            message.setText(
                    one.scope() == SetAside.Scope.KIND
                            ? Wording.text("check-name." + one.check())
                            : number(one) + one.message());
            why.setText(Strings.text("checks.aside-because", scope, one.reason(), one.who()));
        }
    }
}
