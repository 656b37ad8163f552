package org.swaplane.desktop.text;

import com.ibm.icu.util.ULocale;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.NodeOrientation;
import javafx.scene.Node;
import org.swaplane.desktop.theme.Fonts.Script;
import org.swaplane.document.Directions;

/** How the text of a language is laid out: its direction, and a font that has its characters. */
public record TextLanguage(NodeOrientation direction, Optional<Script> script) {
    private static final Set<String> CJK = Set.of("Hans", "Hant", "Jpan", "Kore");
    private static final Set<String> RIGHT_TO_LEFT = Set.of("Arab", "Hebr");

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
                script(ULocale.addLikelySubtags(locale).getScript()));
    }

    private static Optional<Script> script(String code) {
        return CJK.contains(code)
                ? Optional.of(Script.CJK)
                : RIGHT_TO_LEFT.contains(code) ? Optional.of(Script.RIGHT_TO_LEFT) : Optional.empty();
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
        for (Script each : Script.values()) {
            boolean wanted = script.filter(each::equals).isPresent();
            if (wanted != node.getStyleClass().contains(each.styleClass())) {
                if (wanted) {
                    each.load();
                    node.getStyleClass().add(each.styleClass());
                } else {
                    node.getStyleClass().remove(each.styleClass());
                }
            }
        }
    }
}
