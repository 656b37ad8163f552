package org.swaplane.desktop.text;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNumbers;

/** Draws a segment's text with its tags as chips and some of its parts marked. */
public final class ContentFlow extends TextFlow {
    /** Longer texts are drawn up to here; the whole text is in the editor. */
    private static final int MOST_CHARACTERS = 4000;

    public ContentFlow() {
        getStyleClass().add("content");
    }

    /** Shows {@code content}; {@code marked} counts in its plain text. */
    public void show(Content content, TagNumbers numbers, List<Span> marked) {
        List<Node> nodes = new ArrayList<>();
        Iterator<Integer> number = numbers.in(content).iterator();
        int at = 0;
        for (Run run : content.runs()) {
            if (run instanceof Tag tag) {
                nodes.add(new TagChip(tag, number.next()));
            } else if (run instanceof org.swaplane.content.Text text && at < MOST_CHARACTERS) {
                addText(nodes, text.value(), at, marked);
            }
            at += run.length();
        }
        getChildren().setAll(nodes);
    }

    /** Shows plain text. */
    public void show(String text, List<Span> marked) {
        List<Node> nodes = new ArrayList<>();
        addText(nodes, text, 0, marked);
        getChildren().setAll(nodes);
    }

    private static void addText(List<Node> nodes, String text, int offset, List<Span> marked) {
        int at = 0;
        for (Span span : marked) {
            int start = Math.max(at, Math.min(text.length(), span.start() - offset));
            int end = Math.max(start, Math.min(text.length(), span.end() - offset));
            addPiece(nodes, text.substring(at, start), false);
            addPiece(nodes, text.substring(start, end), true);
            at = end;
        }
        addPiece(nodes, text.substring(at), false);
    }

    private static void addPiece(List<Node> nodes, String text, boolean marked) {
        if (text.isEmpty()) {
            return;
        }
        if (marked) {
            // A label has a background, which a text has not; long marks are cut into words so that lines can break.
            for (String word : text.split("(?<=\\s)")) {
                Label label = new Label(word.replace(' ', '\u00A0'));
                label.getStyleClass().add("marked");
                nodes.add(label);
            }
        } else {
            nodes.add(new Text(text));
        }
    }
}
