package org.swaplane.desktop.review;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;
import java.util.Set;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;

/** A text as it will look: formatting tags are formatting, placeholders stand as they are written, all other tags are gone. */
final class ResolvedText extends TextFlow {
    private static final Set<String> BOLD = Set.of("b", "strong", "strongemphasis");
    private static final Set<String> ITALIC = Set.of("i", "em", "emphasis", "cite");
    private static final Set<String> BREAKS = Set.of("br", "cr");

    private final Deque<String> open = new ArrayDeque<>();

    void clear() {
        getChildren().clear();
        open.clear();
    }

    /** Adds a content; {@code missing} if it stands there for want of a translation. */
    void add(Content content, boolean missing) {
        for (Run run : content.runs()) {
            if (run instanceof org.swaplane.content.Text text) {
                piece(text.value(), missing);
            } else if (run instanceof Tag tag) {
                tag(tag, missing);
            }
        }
    }

    private void tag(Tag tag, boolean missing) {
        if (tag.kind() == Tag.Kind.OPEN) {
            open.push(tag.label());
        } else if (tag.kind() == Tag.Kind.CLOSE) {
            open.poll();
        } else if (BREAKS.contains(tag.id().replaceFirst(":.*", ""))) {
            piece("\n", missing);
        } else if (tag.id().startsWith(Tag.PLACEHOLDER) || tag.isProtectedText()) {
            piece(tag.label().isEmpty() ? tag.code() : tag.label(), missing);
        }
    }

    private void piece(String value, boolean missing) {
        Text piece = new Text(value);
        piece.getStyleClass().add("reading-text");
        if (missing) {
            piece.getStyleClass().add("missing");
        }
        if (isIn(BOLD)) {
            piece.getStyleClass().add("bold");
        }
        if (isIn(ITALIC)) {
            piece.getStyleClass().add("italic");
        }
        getChildren().add(piece);
    }

    /** Whether an open tag has one of these names; labels can name several. */
    private boolean isIn(Set<String> names) {
        for (String label : open) {
            for (String name : label.toLowerCase(Locale.ROOT).split(" ")) {
                if (names.contains(name)) {
                    return true;
                }
            }
        }
        return false;
    }
}
