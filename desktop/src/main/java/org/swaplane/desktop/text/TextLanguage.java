package org.swaplane.desktop.text;

import com.ibm.icu.util.ULocale;
import java.util.Set;
import javafx.geometry.NodeOrientation;
import javafx.scene.Node;
import org.swaplane.desktop.theme.Fonts;
import org.swaplane.document.Directions;

/** How the text of a language is laid out: its direction, and a font that has its characters. */
public record TextLanguage(NodeOrientation direction, boolean cjk) {
    private static final Set<String> CJK = Set.of("zh", "ja", "ko", "yue");

    /** Of the language with this code, which may be empty, unless the file states another direction. */
    public static TextLanguage of(String code, Directions.Direction stated) {
        ULocale locale = ULocale.forLanguageTag(code);
        boolean rightToLeft =
                switch (stated) {
                    case BY_LANGUAGE -> !code.isEmpty() && locale.isRightToLeft();
                    case LEFT_TO_RIGHT -> false;
                    case RIGHT_TO_LEFT -> true;
                };
        return new TextLanguage(
                rightToLeft ? NodeOrientation.RIGHT_TO_LEFT : NodeOrientation.LEFT_TO_RIGHT,
                CJK.contains(locale.getLanguage()));
    }

    /** Lays the node out for this language. */
    public void apply(Node node) {
        if (node.getNodeOrientation() != direction) {
            node.setNodeOrientation(direction);
        }
        applyFont(node);
    }

    /** Only the font, where the direction is set elsewhere. */
    public void applyFont(Node node) {
        if (cjk != node.getStyleClass().contains("cjk")) {
            if (cjk) {
                Fonts.loadCjk();
                node.getStyleClass().add("cjk");
            } else {
                node.getStyleClass().remove("cjk");
            }
        }
    }
}
