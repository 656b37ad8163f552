package org.swaplane.desktop.text;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.shape.Path;
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

    /** Drawn behind the text and no part of it, so that marks leave its order alone where two directions mix. */
    private final Path marks = new Path();

    private List<Span> marked = List.of();

    public ContentFlow() {
        getStyleClass().add("content");
        marks.getStyleClass().add("marked");
        marks.setManaged(false);
        LineShapes.follow(this);
    }

    /** Shows {@code content}; {@code plainSpans} count in its plain text. */
    public void show(Content content, TagNumbers numbers, List<Span> plainSpans) {
        List<Node> nodes = new ArrayList<>();
        List<Integer> chips = new ArrayList<>();
        Iterator<Integer> number = numbers.in(content).iterator();
        int at = 0;
        for (Run run : content.runs()) {
            if (run instanceof Tag tag) {
                nodes.add(new TagChip(tag, number.next()));
                chips.add(at);
            } else if (run instanceof org.swaplane.content.Text text && at < MOST_CHARACTERS) {
                nodes.add(new Text(text.value()));
            }
            at += run.length();
        }
        // A chip is one character of the flow.
        show(
                nodes,
                plainSpans.stream()
                        .map(span -> new Span(
                                span.start() + before(span.start() + 1, chips), span.end() + before(span.end(), chips)))
                        .toList());
    }

    private static int before(int offset, List<Integer> chips) {
        return (int) chips.stream().filter(chip -> chip < offset).count();
    }

    /** Shows plain text. */
    public void show(String text, List<Span> spans) {
        show(text.isEmpty() ? List.of() : List.of(new Text(text)), spans);
    }

    private void show(List<Node> nodes, List<Span> spans) {
        marked = spans;
        getChildren().setAll(nodes);
        getChildren().add(0, marks);
    }

    @Override
    protected void layoutChildren() {
        super.layoutChildren();
        marks.getElements().clear();
        for (Span span : marked) {
            marks.getElements().addAll(rangeShape(span.start(), span.end()));
        }
    }
}
