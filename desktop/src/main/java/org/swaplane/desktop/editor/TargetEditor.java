package org.swaplane.desktop.editor;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.NodeOrientation;
import javafx.geometry.Point2D;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.IndexRange;
import javafx.scene.control.Label;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.DataFormat;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.text.TextFlow;
import org.fxmisc.richtext.CharacterHit;
import org.fxmisc.richtext.GenericStyledArea;
import org.fxmisc.richtext.TextExt;
import org.fxmisc.richtext.model.PlainTextChange;
import org.fxmisc.richtext.model.ReadOnlyStyledDocument;
import org.fxmisc.richtext.model.StyleSpansBuilder;
import org.fxmisc.richtext.model.StyledDocument;
import org.fxmisc.richtext.model.StyledSegment;
import org.fxmisc.richtext.util.UndoUtils;
import org.fxmisc.wellbehaved.event.EventPattern;
import org.fxmisc.wellbehaved.event.InputMap;
import org.fxmisc.wellbehaved.event.Nodes;
import org.reactfx.util.Either;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.content.TagNumbers;
import org.swaplane.content.Text;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Invisibles;
import org.swaplane.desktop.text.Isolates;
import org.swaplane.desktop.text.LineShapes;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TagChip;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.desktop.text.Words;
import org.swaplane.review.Transliteration;

/** Edits a target: text, and tags as solid chips. */
public final class TargetEditor extends GenericStyledArea<String, Either<String, Optional<Piece>>, String> {
    private static final DataFormat CONTENT = new DataFormat("application/x-swaplane-content");
    private static final String RIGHT_TO_LEFT = "rtl";
    private static final String FOUND = "found-part";
    private static final String ODD_WORD = "odd-word";
    private static final String SPACE = "shown-space";
    private static final double LEAST_HEIGHT = 34;
    private static final double PADDING = 14;
    private static final int LATIN_ENDS = 0x250;

    private final EditHistory history = new EditHistory();
    private String paragraphDirection = "";
    private Optional<Transliteration> letters = Optional.empty();
    private final StringBuilder latin = new StringBuilder();
    private int latinEnd = -1;
    private boolean loading;
    private List<Span> marked = List.of();
    private Content source = Content.EMPTY;
    private TagNumbers numbers = TagNumbers.of(Content.EMPTY);

    public TargetEditor() {
        super("", TargetEditor::direct, "", EditorText.OPS, false, TargetEditor::node);
        getStyleClass().add("target-editor");
        setId("target-editor");
        setWrapText(true);
        setUndoManager(UndoUtils.noOpUndoManager());
        plainTextChanges().subscribe(this::changed);
        totalHeightEstimateProperty().values().subscribe(height -> growToText());
        setAccessibleText(Strings.text("review.editor"));
        addEventFilter(KeyEvent.KEY_TYPED, this::typedLatin);
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
        // The area itself fails at lines of mixed directions, whose width it can count to be below nothing.
        return paragraphDirection.isEmpty() ? super.hit(x, y) : hitOfParagraph(x, y);
    }

    /** What the paragraph at this height says itself. */
    private CharacterHit hitOfParagraph(double x, double y) {
        Point2D inScene = localToScene(x, y);
        List<TextFlow> paragraphs = lookupAll(".paragraph-text").stream()
                .filter(TextFlow.class::isInstance)
                .map(TextFlow.class::cast)
                .sorted(Comparator.comparingDouble(
                        flow -> flow.localToScene(0, 0).getY()))
                .toList();
        for (int i = 0; i < paragraphs.size(); i++) {
            Point2D place = paragraphs.get(i).sceneToLocal(inScene);
            if (place.getY() < paragraphs.get(i).getHeight() || i == paragraphs.size() - 1) {
                double across = paragraphDirection.isEmpty()
                        ? place.getX()
                        : paragraphs.get(i).getWidth() - place.getX();
                int column = paragraphs
                        .get(i)
                        .hitTest(new Point2D(across, place.getY()))
                        .getInsertionIndex();
                int paragraph = firstVisibleParToAllParIndex() + i;
                return CharacterHit.insertionAt(
                        getAbsolutePosition(paragraph, Math.min(column, getParagraphLength(paragraph))));
            }
        }
        return CharacterHit.insertionAt(getLength());
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

    private static Node node(StyledSegment<Either<String, Optional<Piece>>, String> segment) {
        return segment.getSegment()
                .unify(
                        text -> {
                            TextExt node = new TextExt(Invisibles.of(text));
                            node.getStyleClass().setAll("target-text");
                            if (segment.getStyle().startsWith(FOUND)) {
                                node.getStyleClass().add(FOUND);
                            }
                            if (segment.getStyle().contains(SPACE)) {
                                node.getStyleClass().add(SPACE);
                            }
                            return node;
                        },
                        piece -> piece.map(TargetEditor::node).orElseGet(Group::new));
    }

    private static Node node(Piece piece) {
        if (piece instanceof Chip chip) {
            return new TagChip(chip.tag(), chip.number());
        }
        // As a control of its own it is laid out by itself, left to right.
        Label alone = Controls.styled(new Label(((Placeholder) piece).text()), "target-placeholder");
        alone.setMinWidth(Region.USE_PREF_SIZE);
        alone.setNodeOrientation(NodeOrientation.LEFT_TO_RIGHT);
        return alone;
    }

    /** Starts with {@code target}; what was typed before cannot be taken back here any more. */
    public void load(Content source, Content target) {
        marked = List.of();
        this.source = source;
        numbers = TagNumbers.of(source);
        show(target);
        moveTo(getLength());
        history.start(new EditHistory.State(target, getLength()));
        requestFollowCaret();
    }

    /** In one change, so that nobody sees the text half written. */
    private void show(Content target) {
        loading = true;
        replace(0, getLength(), document(target.runs()));
        for (int i = 0; i < getParagraphs().size(); i++) {
            setParagraphStyle(i, paragraphDirection);
        }
        style();
        loading = false;
    }

    private StyledDocument<String, Either<String, Optional<Piece>>, String> document(List<Run> runs) {
        ReadOnlyStyledDocument<String, Either<String, Optional<Piece>>, String> document = text("");
        for (Run run : runs) {
            if (run instanceof Tag tag) {
                document = document.concat(document(tag));
            } else if (paragraphDirection.isEmpty()) {
                document = document.concat(text(((Text) run).value()));
            } else {
                boolean placeholder = false;
                for (String part : Isolates.placeholders(((Text) run).value())) {
                    document = document.concat(placeholder ? EditorText.of(new Placeholder(part)) : text(part));
                    placeholder = !placeholder;
                }
            }
        }
        return document;
    }

    private ReadOnlyStyledDocument<String, Either<String, Optional<Piece>>, String> text(String text) {
        return ReadOnlyStyledDocument.fromString(text, paragraphDirection, "", EditorText.OPS);
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

    private ReadOnlyStyledDocument<String, Either<String, Optional<Piece>>, String> document(Tag tag) {
        return EditorText.of(new Chip(tag, numbers.in(Content.of(tag)).get(0)));
    }

    /** A tag that must not be deleted stays, whatever is pressed. */
    @Override
    public void replace(
            int start, int end, StyledDocument<String, Either<String, Optional<Piece>>, String> replacement) {
        if (loading || keptTags(replacement).containsAll(keptTags(subDocument(start, end)))) {
            super.replace(start, end, replacement);
        }
    }

    private static List<Tag> keptTags(StyledDocument<String, Either<String, Optional<Piece>>, String> document) {
        return EditorText.tags(document).filter(tag -> !tag.rights().delete()).toList();
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
        BitSet spaces = Invisibles.spaces(getText());
        boolean odd = false;
        int at = 0;
        for (String word : paragraphDirection.isEmpty() ? List.of(getText()) : Words.of(getText())) {
            for (int end = at + word.length(); at < end; ) {
                int next = Math.min(ends(found, at, end), ends(spaces, at, end));
                styles.add(
                        (found.get(at) ? FOUND : "") + (spaces.get(at) ? SPACE : "") + (odd ? ODD_WORD : ""),
                        next - at);
                at = next;
            }
            odd = !odd;
        }
        setStyleSpans(0, styles.create());
    }

    /** How far it is the same as at a place. */
    private static int ends(BitSet bits, int at, int end) {
        int next = bits.get(at) ? bits.nextClearBit(at) : bits.nextSetBit(at);
        return next < 0 ? end : Math.min(end, next);
    }

    private void changed(PlainTextChange change) {
        if (loading) {
            return;
        }
        history.changed(change, new EditHistory.State(content(), change.getInsertionEnd()));
        if (!paragraphDirection.isEmpty() || Invisibles.shownProperty().get()) {
            style();
        }
    }

    @Override
    public void undo() {
        history.undo().ifPresent(this::restore);
    }

    @Override
    public void redo() {
        history.redo().ifPresent(this::restore);
    }

    @Override
    public boolean isUndoAvailable() {
        return history.canUndo();
    }

    @Override
    public boolean isRedoAvailable() {
        return history.canRedo();
    }

    private void restore(EditHistory.State state) {
        show(state.content());
        moveTo(Math.min(state.caret(), getLength()));
        requestFollowCaret();
    }

    /** Where an offset in the text without tags stands here, where a piece is one character. */
    private int position(int plain) {
        int left = plain;
        int at = 0;
        for (Object shown : EditorText.pieces(getDocument())) {
            int length = shown instanceof String text
                    ? text.length()
                    : ((Piece) shown).run().length();
            if (shown instanceof String && left <= length) {
                return at + left;
            }
            if (left < length) {
                return at;
            }
            left -= length;
            at += shown instanceof String ? length : 1;
        }
        return at + left;
    }

    /** What stands in the editor. */
    public Content content() {
        return EditorText.content(getDocument());
    }

    /** What is typed in Latin letters becomes letters of another script; empty for typing as it is. */
    public void transliterate(Optional<Transliteration> script) {
        letters = script;
        latin.setLength(0);
    }

    /** A word grows letter by letter, and is written anew with each. */
    private void typedLatin(KeyEvent event) {
        String typed = event.getCharacter();
        boolean letter = typed.length() == 1
                && typed.charAt(0) < LATIN_ENDS
                && (Character.isLetter(typed.charAt(0)) || typed.charAt(0) == '\'');
        if (letters.isEmpty() || !isEditable() || event.isControlDown() || event.isAltDown() || event.isMetaDown()) {
            return;
        }
        if (!letter) {
            latin.setLength(0);
            return;
        }
        if (getCaretPosition() != latinEnd || getSelection().getLength() > 0) {
            latin.setLength(0);
        }
        String before = latin.isEmpty() ? "" : letters.get().written(latin);
        latin.append(typed);
        String after = letters.get().written(latin);
        int end = latin.length() == 1 ? getSelection().getEnd() : getCaretPosition();
        int start = latin.length() == 1 ? getSelection().getStart() : getCaretPosition() - before.length();
        replaceText(start, end, after);
        latinEnd = getCaretPosition();
        event.consume();
    }

    /** Changes the words that are selected, or the one at the caret; tags stay where they are. */
    public void change(UnaryOperator<String> words) {
        IndexRange selected = getSelection();
        int from = selected.getStart();
        int to = selected.getEnd();
        if (from == to) {
            String text = getText();
            while (from > 0 && Character.isLetterOrDigit(text.charAt(from - 1))) {
                from--;
            }
            while (to < text.length() && Character.isLetterOrDigit(text.charAt(to))) {
                to++;
            }
        }
        int caret = getCaretPosition();
        List<Run> runs = EditorText.content(subDocument(from, to)).runs().stream()
                .map(run -> run instanceof Text text ? new Text(words.apply(text.value())) : run)
                .toList();
        replace(from, to, document(runs));
        if (selected.getLength() > 0) {
            selectRange(from, Math.min(from + (to - from), getLength()));
        } else {
            moveTo(Math.min(caret, getLength()));
        }
    }

    /** The text before the caret, without tags. */
    public String beforeCaret() {
        return EditorText.content(subDocument(0, getCaretPosition())).plainText();
    }

    /** Puts a word in the place of one that was begun before the caret. */
    public void complete(String begun, String word) {
        int caret = getCaretPosition();
        replaceText(caret - begun.length(), caret, word);
    }

    /** Draws it again, as what is drawn otherwise now. */
    public void redraw() {
        int caret = getCaretPosition();
        show(content());
        moveTo(Math.min(caret, getLength()));
    }

    /** Copies with tags, for a target; other programs get the text alone. */
    @Override
    public void copy() {
        IndexRange selected = getSelection();
        if (selected.getLength() > 0) {
            Content content = EditorText.content(subDocument(selected.getStart(), selected.getEnd()));
            ClipboardContent clipboard = new ClipboardContent();
            clipboard.put(CONTENT, TagNotation.write(content, source));
            clipboard.putString(content.plainText());
            Clipboard.getSystemClipboard().setContent(clipboard);
        }
    }

    @Override
    public void cut() {
        copy();
        replaceSelection("");
    }

    /** Puts in what was copied; of its tags those that this segment has and that are missing here. */
    @Override
    public void paste() {
        Clipboard clipboard = Clipboard.getSystemClipboard();
        if (clipboard.getContent(CONTENT) instanceof String written) {
            paste(TagNotation.read(written, source).content());
        } else if (clipboard.hasString()) {
            paste(Content.of(new Text(Pasted.text(clipboard.getString()))));
        }
    }

    private void paste(Content pasted) {
        IndexRange selected = getSelection();
        List<Tag> missing = new ArrayList<>(source.tags());
        Stream.of(subDocument(0, selected.getStart()), subDocument(selected.getEnd(), getLength()))
                .flatMap(EditorText::tags)
                .forEach(
                        tag -> missing.stream().filter(tag::matches).findFirst().ifPresent(missing::remove));
        List<Run> fitting = pasted.runs().stream()
                .filter(run -> !(run instanceof Tag tag)
                        || missing.stream()
                                .filter(tag::matches)
                                .findFirst()
                                .map(missing::remove)
                                .orElse(false))
                .toList();
        replaceSelection(document(fitting));
    }
}
