package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import org.swaplane.check.Pairing;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;

/**
 * Every tag, placeholder and number of the source above, its counterpart in the target below, a line between the two; what has
 * no counterpart stands out.
 */
final class PairingStrip extends Pane {
    private static final double TOP = 4;
    private static final double BOTTOM = 44;
    private static final double CAPTION = 56;
    private static final double GAP = 8;

    private Pairing pairing = new Pairing(List.of(), List.of(), List.of());

    PairingStrip() {
        getStyleClass().add("pairing");
        setId("pairing-strip");
        setMinHeight(72);
        setPrefHeight(72);
    }

    void show(Pairing shown) {
        pairing = shown;
        setVisible(!shown.isEmpty());
        setManaged(!shown.isEmpty());
        fill();
    }

    private void fill() {
        getChildren().clear();
        caption("pairing.source", TOP);
        caption("pairing.target", BOTTOM);
        List<Label> above = place(pairing.source(), TOP, true);
        List<Label> below = place(pairing.target(), BOTTOM, false);
        for (Pairing.Link link : pairing.links()) {
            Label from = above.get(link.source());
            Label to = below.get(link.target());
            Line line = Parts.styled(new Line(), "pairing-line");
            line.startXProperty().bind(from.layoutXProperty().add(from.widthProperty().divide(2)));
            line.startYProperty().bind(from.layoutYProperty().add(from.heightProperty()));
            line.endXProperty().bind(to.layoutXProperty().add(to.widthProperty().divide(2)));
            line.endYProperty().bind(to.layoutYProperty());
            getChildren().add(line);
        }
        getChildren().addAll(above);
        getChildren().addAll(below);
    }

    private void caption(String key, double y) {
        Label label = Parts.styled(new Label(Strings.say(key)), "caption");
        label.relocate(4, y + 4);
        getChildren().add(label);
    }

    /** Items side by side; each one begins where the one before it ends. */
    private List<Label> place(List<Pairing.Item> items, double y, boolean source) {
        List<Label> labels = new ArrayList<>();
        Label before = null;
        for (int i = 0; i < items.size(); i++) {
            int index = i;
            boolean paired = pairing.links().stream().anyMatch(link -> (source ? link.source() : link.target()) == index);
            Label label = Parts.styled(new Label(items.get(i).written()), "pairing-item");
            label.getStyleClass().add("pairing-" + items.get(i).kind().name().toLowerCase(Locale.ROOT));
            if (!paired) {
                label.getStyleClass().add("pairing-gap");
                label.setText(Strings.say(source ? "pairing.missing" : "pairing.added", items.get(i).written()));
            }
            label.setLayoutY(y);
            if (before == null) {
                label.setLayoutX(CAPTION);
            } else {
                label.layoutXProperty().bind(before.layoutXProperty().add(before.widthProperty()).add(GAP));
            }
            labels.add(label);
            before = label;
        }
        return labels;
    }
}
