package org.swaplane.desktop.editor;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.NodeOrientation;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.IndexRange;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.text.TextFlow;
import org.fxmisc.richtext.CharacterHit;
import org.fxmisc.richtext.GenericStyledArea;
import org.fxmisc.richtext.TextExt;
import org.fxmisc.richtext.model.Paragraph;
import org.fxmisc.richtext.model.ReadOnlyStyledDocument;
import org.fxmisc.richtext.model.SegmentOps;
import org.fxmisc.richtext.model.StyleSpansBuilder;
import org.fxmisc.richtext.model.StyledDocument;
import org.fxmisc.richtext.model.StyledSegment;
import org.fxmisc.richtext.model.TextOps;
import org.fxmisc.wellbehaved.event.EventPattern;
import org.fxmisc.wellbehaved.event.InputMap;
import org.fxmisc.wellbehaved.event.Nodes;
import org.reactfx.util.Either;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNumbers;
import org.swaplane.content.Text;
import org.swaplane.desktop.text.LineShapes;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TagChip;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.desktop.text.Words;

/** Edits a target: text, and tags as solid chips. */
public final class TargetEditor extends GenericStyledArea<String, Either<String, Optional<Chip>>, String> {
    private static final TextOps<String, String> TEXT = SegmentOps.styledTextOps();
    private static final TextOps<Either<String, Optional<Chip>>, String> EITHER =
            TEXT._or(new ChipOps(), (one, other) -> Optional.empty());

    private static final String RIGHT_TO_LEFT = "rtl";
    private static final String FOUND = "found-part";
    private static final String ODD_WORD = "odd-word";
    private static final double LEAST_HEIGHT = 34;
    private static final double PADDING = 14;

    private String paragraphDirection = "";
    private boolean loading;
    private List<Span> marked = List.of();
    private TagNumbers numbers = TagNumbers.of(Content.EMPTY);

    public TargetEditor() {
        super("", TargetEditor::direct, "", EITHER, false, TargetEditor::node);
        getStyleClass().add("target-editor");
        setId("target-editor");
        setWrapText(true);
        plainTextChanges().subscribe(change -> restyle());
        totalHeightEstimateProperty().values().subscribe(height -> growToText());
        setAccessibleText(Strings.text("review.editor"));
        // Tab goes on to what comes next in the window; a tab character is put in by the list of special characters.
        Nodes.addInputMap(this, InputMap.ignore(EventPattern.keyPressed(KeyCode.TAB)));
        Nodes.addInputMap(this, InputMap.ignore(EventPattern.keyPressed(KeyCode.TAB, KeyCombination.SHIFT_DOWN)));
    }

    /** The direction belongs to the paragraph: turned round as a whole, the area would cut its text off. */
    private static void direct(TextFlow flow, String direction) {
        flow.setNodeOrientation(
                direction.equals(RIGHT_TO_LEFT) ? NodeOrientation.RIGHT_TO_LEFT : NodeOrientation.LEFT_TO_RIGHT);
        LineShapes.follow(flow);
    }

    /** Where the mouse hits a text; like shapes, places in right-to-left lines are counted from the right. */
    @Override
    public CharacterHit hit(double x, double y) {
        return super.hit(paragraphDirection.isEmpty() ? x : getWidth() - x, y);
    }

    /** How the text that is loaded next is laid out. */
    public void language(TextLanguage language) {
        boolean rightToLeft = language.direction() == NodeOrientation.RIGHT_TO_LEFT;
        language.applyFont(this);
        paragraphDirection = rightToLeft ? RIGHT_TO_LEFT : "";
    }

    /** As high as its text, however its lines wrap; while it is laid out anew the height is passing through others. */
    private void growToText() {
        Platform.runLater(() -> {
            Double height = totalHeightEstimateProperty().getValue();
            double wanted = Math.max(LEAST_HEIGHT, (height == null ? 0 : height) + PADDING);
            if (Math.abs(wanted - getPrefHeight()) > 1) {
                setPrefHeight(wanted);
            }
        });
    }

    private static Node node(StyledSegment<Either<String, Optional<Chip>>, String> segment) {
        return segment.getSegment()
                .unify(
                        text -> {
                            TextExt node = new TextExt(text);
                            node.getStyleClass().setAll("target-text");
                            if (segment.getStyle().startsWith(FOUND)) {
                                node.getStyleClass().add(FOUND);
                            }
                            return node;
                        },
                        chip -> chip.<Node>map(each -> new TagChip(each.tag(), each.number()))
                                .orElseGet(Group::new));
    }

    /** Starts with {@code target}; what was typed before cannot be taken back here any more. */
    public void load(Content source, Content target) {
        loading = true;
        marked = List.of();
        numbers = TagNumbers.of(source);
        clear();
        Iterator<Integer> number = numbers.in(target).iterator();
        for (Run run : target.runs()) {
            if (run instanceof Text text) {
                appendText(text.value());
            } else if (run instanceof Tag tag) {
                append(document(new Chip(tag, number.next())));
            }
        }
        for (int i = 0; i < getParagraphs().size(); i++) {
            setParagraphStyle(i, paragraphDirection);
        }
        style();
        getUndoManager().forgetHistory();
        moveTo(getLength());
        requestFollowCaret();
        loading = false;
    }

    private static ReadOnlyStyledDocument<String, Either<String, Optional<Chip>>, String> document(Chip chip) {
        return ReadOnlyStyledDocument.fromSegment(Either.right(Optional.of(chip)), "", "", EITHER);
    }

    /**
     * Puts in the first of the tags that are missing: around the selection, if both halves of a pair are missing and something is
     * selected, else at the caret or behind the selection. No word is ever replaced by a tag.
     */
    public void insert(List<Tag> missing) {
        if (missing.isEmpty()) {
            return;
        }
        Tag first = missing.get(0);
        IndexRange selected = getSelection();
        Optional<Tag> close = missing.stream()
                .filter(tag -> tag.kind() == Tag.Kind.CLOSE && tag.id().equals(first.id()))
                .findFirst();
        boolean opens = first.kind() == Tag.Kind.OPEN;
        if (selected.getLength() > 0 && opens && close.isPresent()) {
            replace(
                    selected.getStart(),
                    selected.getEnd(),
                    document(first)
                            .concat(subDocument(selected.getStart(), selected.getEnd()))
                            .concat(document(close.get())));
            moveTo(selected.getEnd() + 2);
        } else {
            int at = opens ? selected.getStart() : selected.getEnd();
            replace(at, at, document(first));
            moveTo(at + 1);
        }
    }

    private ReadOnlyStyledDocument<String, Either<String, Optional<Chip>>, String> document(Tag tag) {
        return document(new Chip(tag, numbers.in(Content.of(tag)).get(0)));
    }

    /** A tag that must not be deleted stays, whatever is pressed. */
    @Override
    public void replace(
            int start, int end, StyledDocument<String, Either<String, Optional<Chip>>, String> replacement) {
        if (loading || keptTags(replacement).containsAll(keptTags(subDocument(start, end)))) {
            super.replace(start, end, replacement);
        }
    }

    private static List<Tag> keptTags(StyledDocument<String, Either<String, Optional<Chip>>, String> document) {
        return tags(document).filter(tag -> !tag.rights().delete()).toList();
    }

    private static Stream<Tag> tags(StyledDocument<String, Either<String, Optional<Chip>>, String> document) {
        return document.getParagraphs().stream()
                .flatMap(paragraph -> paragraph.getSegments().stream())
                .flatMap(segment -> segment.<Stream<Tag>>unify(
                        text -> Stream.empty(), chip -> chip.stream().map(Chip::tag)));
    }

    /** Marks parts of the text, which count in it without its tags, as those that findings are about. */
    public void mark(List<Span> plainSpans) {
        if (plainSpans.isEmpty() && marked.isEmpty()) {
            return;
        }
        marked = plainSpans;
        style();
    }

    /** Styles what is found, and in right-to-left text every other word, so that each is drawn on its own ({@link Words}). */
    private void style() {
        if (getLength() == 0) {
            return;
        }
        BitSet found = new BitSet();
        marked.forEach(
                span -> found.set(position(span.start()), Math.max(position(span.start()), position(span.end()))));
        StyleSpansBuilder<String> styles = new StyleSpansBuilder<>();
        boolean odd = false;
        int at = 0;
        for (String word : paragraphDirection.isEmpty() ? List.of(getText()) : Words.of(getText())) {
            for (int end = at + word.length(); at < end; ) {
                int next = Math.min(end, found.get(at) ? found.nextClearBit(at) : nextSet(found, at, end));
                styles.add((found.get(at) ? FOUND : "") + (odd ? ODD_WORD : ""), next - at);
                at = next;
            }
            odd = !odd;
        }
        setStyleSpans(0, styles.create());
    }

    private static int nextSet(BitSet found, int at, int end) {
        int next = found.nextSetBit(at);
        return next < 0 ? end : next;
    }

    private void restyle() {
        if (!loading && !paragraphDirection.isEmpty()) {
            style();
        }
    }

    /** Where an offset in the text without tags stands here, where a tag is one character. */
    private int position(int plain) {
        int left = plain;
        int at = 0;
        for (Run run : content().runs()) {
            if (run instanceof Tag) {
                at++;
            } else if (left <= run.length()) {
                return at + left;
            } else {
                left -= run.length();
                at += run.length();
            }
        }
        return at + left;
    }

    /** What stands in the editor. */
    public Content content() {
        List<Run> runs = new ArrayList<>();
        boolean first = true;
        for (Paragraph<String, Either<String, Optional<Chip>>, String> paragraph : getParagraphs()) {
            if (!first) {
                runs.add(new Text("\n"));
            }
            first = false;
            for (Either<String, Optional<Chip>> segment : paragraph.getSegments()) {
                segment.ifLeft(text -> runs.add(new Text(text)));
                segment.ifRight(chip -> chip.ifPresent(each -> runs.add(each.tag())));
            }
        }
        return new Content(runs);
    }
}
