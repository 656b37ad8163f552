package org.swaplane.desktop.text;

import javafx.beans.binding.Bindings;
import javafx.collections.ListChangeListener;
import javafx.geometry.NodeOrientation;
import javafx.scene.Node;
import javafx.scene.shape.Shape;
import javafx.scene.text.TextFlow;
import javafx.scene.transform.Scale;

/** Shapes that follow the lines of a text: a flow measures right-to-left lines from its right edge, and is drawn from its left. */
public final class LineShapes {
    private static final String FOLLOWED = "line-shapes";

    private LineShapes() {}

    /** Every shape in the flow, now or later, turns round with the direction of its lines. */
    public static void follow(TextFlow flow) {
        if (flow.getProperties().putIfAbsent(FOLLOWED, true) == null) {
            flow.getChildren().forEach(child -> follow(flow, child));
            flow.getChildren().addListener((ListChangeListener<Node>) change -> {
                while (change.next()) {
                    change.getAddedSubList().forEach(child -> follow(flow, child));
                }
            });
        }
    }

    private static void follow(TextFlow flow, Node child) {
        if (child instanceof Shape && !child.isManaged()) {
            Scale scale = new Scale();
            scale.xProperty()
                    .bind(Bindings.when(
                                    flow.effectiveNodeOrientationProperty().isEqualTo(NodeOrientation.RIGHT_TO_LEFT))
                            .then(-1.0)
                            .otherwise(1.0));
            scale.pivotXProperty().bind(flow.widthProperty().divide(2));
            child.getTransforms().setAll(scale);
        }
    }
}
