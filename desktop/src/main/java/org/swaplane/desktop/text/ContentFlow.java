package org.swaplane.desktop.text;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.geometry.NodeOrientation;
import javafx.scene.Node;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.content.TagNumbers;

/** Draws a segment's text with its tags as chips and some of its parts marked. */
public final class ContentFlow extends TextFlow {
    /** Longer texts are drawn up to here; the whole text is in the editor. */
    private static final int MOST_CHARACTERS = 4000;

    private static final double DOT = 1.5;

    /** Drawn behind the text and no part of it, so that marks leave its order alone where two directions mix. */
    private final Path marks = new Path();

    private final Path lines = new Path();
    private final Path hits = new Path();
    private final Path terms = new Path();
    private final Path dots = new Path();
    private List<Span> marked = List.of();
    private List<Span> hit = List.of();
    private List<Span> term = List.of();

    public ContentFlow() {
        getStyleClass().add("content");
        marks.getStyleClass().add("marked");
        marks.setManaged(false);
        lines.getStyleClass().add("marked-line");
        lines.setManaged(false);
        hits.getStyleClass().add("search-hit");
        hits.setManaged(false);
        terms.getStyleClass().add("term-line");
        terms.setManaged(false);
        dots.getStyleClass().add("space-dot");
        dots.setManaged(false);
        LineShapes.follow(this);
    }

    /** Shows {@code content}; {@code plainSpans} count in its plain text. */
    public void show(Content content, TagNumbers numbers, List<Span> plainSpans) {
        show(content, numbers, plainSpans, List.of());
    }

    /** Shows a text in tag notation with its tags as chips; differences are counted in the written form, and marks go with the text only. */
    public void showWritten(Content source, String written, List<Span> marked) {
        TagNotation.Reading reading = TagNotation.read(written, source);
        if (reading.content().tags().isEmpty()) {
            show(written, marked);
        } else {
            show(reading.content(), TagNumbers.of(source), inText(written, marked, source));
        }
    }

    private static List<Span> inText(String written, List<Span> marked, Content source) {
        return marked.stream()
                .map(span -> new Span(
                        TagNotation.textBefore(written, span.start(), source),
                        TagNotation.textBefore(written, span.end(), source)))
                .filter(span -> span.end() > span.start())
                .toList();
    }

    /** The same, with what was searched for marked in another way. */
    public void show(Content content, TagNumbers numbers, List<Span> plainSpans, List<Span> plainHits) {
        show(content, numbers, plainSpans, plainHits, List.of());
    }

    /** The same, with a dotted line below terms. */
    public void show(
            Content content, TagNumbers numbers, List<Span> plainSpans, List<Span> plainHits, List<Span> plainTerms) {
        boolean rightToLeft = getNodeOrientation() == NodeOrientation.RIGHT_TO_LEFT;
        List<Node> nodes = new ArrayList<>();
        List<Integer> chips = new ArrayList<>();
        Iterator<Integer> number = numbers.in(content).iterator();
        int at = 0;
        for (Run run : content.runs()) {
            if (run instanceof Tag tag) {
                nodes.add(new TagChip(tag, number.next()));
                chips.add(at);
            } else if (run instanceof org.swaplane.content.Text text && at < MOST_CHARACTERS) {
                List<Integer> isolates = rightToLeft ? Isolates.of(text.value()) : List.of();
                String shown = Isolates.apply(text.value(), isolates);
                (rightToLeft ? Words.of(shown) : List.of(shown))
                        .forEach(word -> nodes.add(new Text(Invisibles.of(word))));
                for (int isolate : isolates) {
                    chips.add(at + isolate);
                }
            }
            at += run.length();
        }
        show(nodes, inFlow(plainSpans, chips), inFlow(plainHits, chips), inFlow(plainTerms, chips));
    }

    /** A chip is one character of the flow, and so is what isolates a placeholder. */
    private static List<Span> inFlow(List<Span> plain, List<Integer> chips) {
        return plain.stream()
                .map(span -> new Span(
                        span.start() + before(span.start() + 1, chips), span.end() + before(span.end(), chips)))
                .toList();
    }

    private static int before(int offset, List<Integer> chips) {
        return (int) chips.stream().filter(chip -> chip < offset).count();
    }

    /** Shows plain text. */
    public void show(String text, List<Span> spans) {
        show(text.isEmpty() ? List.of() : List.of(new Text(Invisibles.of(text))), spans, List.of(), List.of());
    }

    private void show(List<Node> nodes, List<Span> spans, List<Span> searched, List<Span> termSpans) {
        marked = spans;
        hit = searched;
        term = termSpans;
        List<Node> all = new ArrayList<>(nodes.size() + 5);
        all.add(hits);
        all.add(marks);
        all.add(lines);
        all.add(terms);
        all.add(dots);
        all.addAll(nodes);
        getChildren().setAll(all);
    }

    @Override
    protected void layoutChildren() {
        super.layoutChildren();
        draw(marks, marked);
        draw(hits, hit);
        underline(marks, lines);
        Path below = new Path();
        draw(below, term);
        underline(below, terms);
        dot();
    }

    /** A dot in each space that is to be seen. */
    private void dot() {
        dots.getElements().clear();
        int at = 0;
        for (Node node : getChildren()) {
            if (node instanceof Text text) {
                for (int space : Invisibles.spaces(text.getText()).stream().toArray()) {
                    Path place = new Path(rangeShape(at + space, at + space + 1));
                    Bounds box = place.getBoundsInLocal();
                    double x = box.getCenterX();
                    double y = box.getCenterY();
                    dots.getElements().addAll(new MoveTo(x, y), new LineTo(x + DOT, y));
                }
            }
            at += node instanceof Text text ? text.getText().length() : node.isManaged() ? 1 : 0;
        }
    }

    /** Below every mark a line, for those who do not see its colour. */
    private static void underline(Path above, Path lines) {
        lines.getElements().clear();
        double left = 0;
        double right = 0;
        double bottom = 0;
        for (PathElement element : above.getElements()) {
            if (element instanceof MoveTo move) {
                line(lines, left, right, bottom);
                left = move.getX();
                right = move.getX();
                bottom = move.getY();
            } else if (element instanceof LineTo to) {
                left = Math.min(left, to.getX());
                right = Math.max(right, to.getX());
                bottom = Math.max(bottom, to.getY());
            }
        }
        line(lines, left, right, bottom);
    }

    private static void line(Path lines, double left, double right, double bottom) {
        if (right > left) {
            lines.getElements().addAll(new MoveTo(left, bottom), new LineTo(right, bottom));
        }
    }

    private void draw(Path path, List<Span> spans) {
        path.getElements().clear();
        for (Span span : spans) {
            path.getElements().addAll(rangeShape(span.start(), span.end()));
        }
    }
}
