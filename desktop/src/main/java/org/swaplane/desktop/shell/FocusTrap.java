package org.swaplane.desktop.shell;

import javafx.beans.value.ChangeListener;
import javafx.scene.Node;

/** Keeps the keyboard in something that lies over the page while it is shown: a page that comes to be drawn late must not take it away. */
final class FocusTrap {
    private FocusTrap() {}

    /** While {@code overlay} is visible, whatever outside it gets the keyboard hands it on to {@code inside}. */
    static void keepIn(Node overlay, Node inside) {
        ChangeListener<Node> moved = (property, before, now) -> {
            if (overlay.isVisible() && now != null && !isWithin(now, overlay)) {
                inside.requestFocus();
            }
        };
        overlay.sceneProperty().addListener((property, before, now) -> {
            if (before != null) {
                before.focusOwnerProperty().removeListener(moved);
            }
            if (now != null) {
                now.focusOwnerProperty().addListener(moved);
            }
        });
    }

    private static boolean isWithin(Node node, Node overlay) {
        for (Node each = node; each != null; each = each.getParent()) {
            if (each == overlay) {
                return true;
            }
        }
        return false;
    }
}
