package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.DoubleBinding;
import javafx.beans.value.ObservableDoubleValue;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import org.swaplane.check.Pairing;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;

/**
 * Every tag, placeholder and number of the source above, its counterpart in the target below, a line between the two; what has
 * no counterpart stands out.
 */
final class PairingStrip extends Pane {
    private static final double TOP = 4;
    private static final double BOTTOM = 44;
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
        fill();
    }

    private void fill() {
        getChildren().clear();
        Label source = caption("pairing.source", TOP);
        Label target = caption("pairing.target", BOTTOM);
        DoubleBinding start =
                max(source.widthProperty().add(GAP * 2), target.widthProperty().add(GAP * 2));
        List<Label> above = place(pairing.source(), TOP, true, start, List.of());
        List<Label> below = place(pairing.target(), BOTTOM, false, start, above);
        for (Pairing.Link link : pairing.links()) {
            Label from = above.get(link.source());
            Label to = below.get(link.target());
            Line line = Controls.styled(new Line(), "pairing-line");
            line.startXProperty()
                    .bind(from.layoutXProperty().add(from.widthProperty().divide(2)));
            line.startYProperty().bind(from.layoutYProperty().add(from.heightProperty()));
            line.endXProperty().bind(to.layoutXProperty().add(to.widthProperty().divide(2)));
            line.endYProperty().bind(to.layoutYProperty());
            getChildren().add(line);
        }
        getChildren().addAll(above);
        getChildren().addAll(below);
    }

    private Label caption(String key, double y) {
        Label label = Controls.styled(new Label(Strings.text(key)), "caption");
        label.relocate(4, y + 4);
        getChildren().add(label);
        return label;
    }

    /** Items side by side, each under its counterpart in {@code above} where there is room. */
    private List<Label> place(
            List<Pairing.Item> items, double y, boolean source, DoubleBinding start, List<Label> above) {
        List<Label> labels = new ArrayList<>();
        DoubleBinding next = start;
        for (int i = 0; i < items.size(); i++) {
            Optional<Pairing.Link> link = link(i, source);
            Label label = item(items.get(i), source);
            label.setLayoutY(y);
            boolean aligned = link.isPresent() && !source;
            label.layoutXProperty()
                    .bind(aligned ? max(next, above.get(link.get().source()).layoutXProperty()) : next);
            next = label.layoutXProperty().add(label.widthProperty()).add(GAP);
            labels.add(label);
        }
        return labels;
    }

    private static DoubleBinding max(DoubleBinding one, ObservableDoubleValue other) {
        return Bindings.createDoubleBinding(() -> Math.max(one.get(), other.get()), one, other);
    }

    private Optional<Pairing.Link> link(int index, boolean source) {
        return pairing.links().stream()
                .filter(link -> (source ? link.source() : link.target()) == index)
                .findFirst();
    }

    private static Label item(Pairing.Item item, boolean source) {
        Label label = Controls.styled(new Label(item.written()), "pairing-item");
        label.getStyleClass().add("pairing-" + item.kind().name().toLowerCase(Locale.ROOT));
        if (!item.settled()) {
            label.getStyleClass().add("pairing-gap");
            label.setText(Strings.text(source ? "pairing.missing" : "pairing.added", item.written()));
        }
        return label;
    }
}
