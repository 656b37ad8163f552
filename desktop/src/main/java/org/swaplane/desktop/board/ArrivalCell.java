package org.swaplane.desktop.board;

import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.intake.Arrival;

/** One file that arrived: whether it is taken in, its name, what it is, and how much. */
final class ArrivalCell extends ListCell<Arrival> {
    private final Set<Arrival> chosen;
    private final CheckBox take = new CheckBox();
    private final Label name = Parts.styled(new Label(), "arrival-name");
    private final Label role = new Label();
    private final Label amount = Parts.styled(new Label(), "quiet");
    private final HBox row = Parts.row(take, name, role, amount);

    ArrivalCell(Set<Arrival> chosen, Runnable changed) {
        this.chosen = chosen;
        // As wide as the list, so that a long reason ends in dots and not in a scroll bar.
        setPrefWidth(0);
        double widest = Parts.widest(
                Stream.of(Arrival.Role.values()).map(ArrivalCell::words).toList());
        role.setMinWidth(widest + 8);
        role.setPrefWidth(widest + 8);
        take.setFocusTraversable(false);
        take.setOnAction(event -> {
            if (take.isSelected()) {
                chosen.add(getItem());
            } else {
                chosen.remove(getItem());
            }
            changed.run();
        });
    }

    @Override
    protected void updateItem(Arrival arrival, boolean empty) {
        super.updateItem(arrival, empty);
        setText(null);
        setGraphic(empty || arrival == null ? null : row);
        if (arrival == null) {
            return;
        }
        boolean readable = arrival.role() != Arrival.Role.UNREADABLE && arrival.role() != Arrival.Role.RETURNED;
        take.setDisable(!readable);
        take.setSelected(chosen.contains(arrival));
        take.setAccessibleText(arrival.source().name());
        name.setText(arrival.source().name());
        role.setText(words(arrival.role()));
        amount.setText(arrival.counts()
                .map(counts -> Strings.say(
                        "intake.amount",
                        arrival.document().format(),
                        counts.segments(),
                        counts.words(),
                        arrival.repetitions()))
                .orElse(arrival.problem()));
    }

    private static String words(Arrival.Role role) {
        return Strings.say("role." + role.name().toLowerCase(Locale.ROOT));
    }
}
