package org.swaplane.desktop.checks;

import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.SetAside;
import org.swaplane.wording.Wording;

/** A finding that was set aside: what, what for, and why. */
final class AsideCell extends ListCell<SetAside> {
    private final Label message = new Label();
    private final Label why = Parts.quiet("");
    private final VBox lines = Parts.styled(new VBox(message, why), "column-tight");

    @Override
    protected void updateItem(SetAside one, boolean empty) {
        super.updateItem(one, empty);
        setGraphic(empty ? null : lines);
        if (!empty) {
            String scope = Strings.say("checks.scope." + one.scope().name().toLowerCase(Locale.ROOT));
            message.setText(
                    one.scope() == SetAside.Scope.KIND
                            ? Wording.say("check-name." + one.check())
                            : one.segment() + 1 + "   " + one.message());
            why.setText(Strings.say("checks.aside-because", scope, one.reason(), one.who()));
        }
    }
}
