package org.swaplane.desktop.review;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.BooleanSupplier;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.swaplane.compare.Span;
import org.swaplane.content.Tag;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.SegmentSelection;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.State;

/** All segments, source and target side by side; the one in hand is open. */
public final class ReviewView implements View {
    public static final ViewDescriptor DESCRIPTOR = new ViewDescriptor(
            ViewId.REVIEW,
            session ->
                    session.snapshot() == null ? 0 : session.snapshot().counts().unreviewed(),
            context -> new ReviewView(context.session(), context.opener()));

    private final LaneSession session;
    private final ReviewModel model;
    private final SegmentBench bench;
    private final SegmentSide side;
    private final SegmentList list;
    private final ComboBox<ReviewModel.Filter> filter = new ComboBox<>();
    private final ComboBox<String> part = new ComboBox<>();
    private final TextField text = new TextField();
    private final Label listed = Controls.quiet("");
    private final VBox node;
    private final ReadingPane reading;
    private final SplitPane split;
    /** What the list is narrowed down to by a figure elsewhere; pressed, it is all again. */
    private final Button selection = Controls.button("review-selection", "review.selection", this::forgetSelection);

    private final ToggleButton details = new ToggleButton(Strings.text("review.details"));
    private final CommandMenu menu = new CommandMenu();
    private final Label nothing = Controls.styled(Controls.quiet(""), "empty");
    private double detailsAt = 0.76;
    private final ToggleButton read = new ToggleButton(Strings.text("reading.toggle"));
    private final FileOpener opener;
    private static final List<String> MATCHES =
            List.of("take-match-1", "take-match-2", "take-match-3", "take-match-4", "take-match-5");
    private static final String FILTERED = "review.filter";
    /** The history is read from the lane; while somebody types or leafs through, it can wait. */
    private static final Duration LEAFING = Duration.millis(120);

    private static final Duration TYPING = Duration.millis(600);
    /** Commands that act on the segment at the mouse. */
    private static final Set<String> OF_SEGMENT = Set.of(
            "reviewed",
            "open-again",
            "final",
            "insert-tag",
            "special-character",
            "copy-source",
            "take-proposal",
            "lock",
            "propagate",
            "fix",
            "join-segment",
            "split-segment");

    private final PauseTransition sideLater = new PauseTransition(LEAFING);

    /** The document whose segments are listed. */
    private BilingualDocument shown;

    private boolean filtering;

    public ReviewView(LaneSession session, FileOpener opener) {
        this.opener = opener;
        this.reading = new ReadingPane(session, this::editAt);
        this.session = session;
        this.model = new ReviewModel(session);
        this.bench = new SegmentBench(session);
        this.side = new SegmentSide(session, this::insertWords, this::markTerms, bench::focusEditor);
        this.list = new SegmentList(session, bench, model);
        bench.standIn(list.flow(), this::bringCurrent);
        split = Controls.styled(new SplitPane(list.node(), side), "review-split");
        split.setDividerPosition(0, detailsAt);
        SplitPane.setResizableWithParent(side, false);
        VBox.setVgrow(split, Priority.ALWAYS);
        node = Controls.styled(new VBox(titleBar(), nothing, split, reading), "view");
        VBox.setVgrow(reading, Priority.ALWAYS);
        read.setId("read-through");
        Controls.whole(read);
        listed.setWrapText(false);
        read.setFocusTraversable(false);
        read.selectedProperty().addListener((property, before, reads) -> showReading(reads));
        showReading(false);
        sideLater.setOnFinished(event -> side.show(session.currentProperty().get()));
        session.currentProperty().addListener((property, before, now) -> currentChanged());
        session.selectionProperty().addListener((property, before, now) -> selectionChanged());
        showSelection();
        bench.heightProperty().addListener((property, before, now) -> roomForBench());
    }

    private void showReading(boolean reads) {
        Controls.showIf(reading, reads);
        Controls.showIf(split, !reads);
        List.of(text, filter, listed, details).forEach(each -> Controls.showIf(each, !reads));
        if (reads && session.hasSegments()) {
            session.editing().endStep();
            reading.show(session.snapshot());
        } else if (!reads) {
            bench.focusEditor();
        }
    }

    private void forgetSelection() {
        session.selectionProperty().set(null);
    }

    private void selectionChanged() {
        text.clear();
        filter.setValue(ReviewModel.Filter.ALL);
        applyFilter();
        bench.focusEditor();
    }

    private void showSelection() {
        SegmentSelection chosen = session.selectionProperty().get();
        boolean here = chosen != null && chosen.track() == session.track();
        Controls.showIf(selection, here && !read.isSelected());
        if (here) {
            selection.setText(Strings.text("review.selection", chosen.words()));
        }
    }

    private void editAt(int index) {
        read.setSelected(false);
        session.currentProperty().set(index);
    }

    private HBox titleBar() {
        filter.setId("review-filter");
        filter.getItems().setAll(ReviewModel.Filter.values());
        filter.setValue(rememberedFilter());
        filter.setCellFactory(list -> new FilterCell());
        filter.setButtonCell(new FilterCell());
        filter.setAccessibleText(Strings.text("review.filter"));
        model.filter(filter.getValue(), -1, "");
        filter.setOnAction(event -> applyFilter());
        part.setId("review-part");
        part.setPrefWidth(160);
        part.setAccessibleText(Strings.text("review.parts"));
        part.setOnAction(event -> applyFilter());
        text.setId("review-text");
        text.setPromptText(Strings.text("review.text"));
        text.setPrefWidth(160);
        text.setOnAction(event -> bench.focusEditor());
        text.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                clearFilter();
                event.consume();
            }
        });
        text.textProperty().addListener((property, before, now) -> applyFilter());
        HBox.setHgrow(text, Priority.ALWAYS);
        details.setId("review-details");
        details.setFocusTraversable(false);
        details.setSelected(true);
        details.selectedProperty().addListener((property, before, shows) -> showDetails(shows));
        return Controls.row(
                Controls.title("view.review"),
                text,
                Controls.whole(selection),
                Controls.whole(listed),
                part,
                filter,
                read,
                Controls.whole(details),
                menu);
    }

    /** Everything is listed again; the segment that was current stays so. */
    private void clearFilter() {
        forgetSelection();
        text.clear();
        filter.setValue(ReviewModel.Filter.ALL);
        bench.focusEditor();
    }

    private ReviewModel.Filter rememberedFilter() {
        String name = session.person().choice(session.lane().settings().id(), FILTERED);
        return Arrays.stream(ReviewModel.Filter.values())
                .filter(each -> each.name().equals(name))
                .findFirst()
                .orElse(ReviewModel.Filter.ALL);
    }

    private void showDetails(boolean shows) {
        if (!shows) {
            detailsAt = split.getDividerPositions()[0];
            split.getItems().remove(side);
        } else if (!split.getItems().contains(side)) {
            split.getItems().add(side);
            split.setDividerPosition(0, detailsAt);
        }
    }

    /** Narrowing the list down may change the current segment; the words being typed belong to the filter. */
    private void applyFilter() {
        filtering = true;
        session.person()
                .setChoice(
                        session.lane().settings().id(),
                        FILTERED,
                        filter.getValue().name());
        model.filter(filter.getValue(), part.getSelectionModel().getSelectedIndex() - 1, text.getText());
        filtering = false;
        refresh();
        list.bring(Math.max(0, model.position(session.currentProperty().get())));
    }

    private void clearPrefilled(boolean reviewedToo) {
        int cleared = session.editing().clearPrefilled(reviewedToo);
        session.notify(Notification.Tone.DONE, Strings.text("review.cleared", cleared));
    }

    /** Adds what the keys do here to the table. */
    @Override
    public void addCommands(Commands commands) {
        BooleanSupplier here = () -> session.viewProperty().get().equals(ViewId.REVIEW) && session.hasSegments();
        commands.add("reviewed", "Shortcut+Enter", here, model::reviewed);
        commands.add("open-again", "Alt+U", here, () -> model.setState(State.TRANSLATED));
        commands.add("final", "", here, () -> model.setState(State.FINAL));
        commands.add("clear-prefilled", "", here, () -> clearPrefilled(false));
        commands.add("next-segment", "Alt+Down", here, () -> model.move(1));
        commands.add("previous-segment", "Alt+Up", here, () -> model.move(-1));
        commands.add("page-down", "Alt+Page_Down", here, () -> model.move(20));
        commands.add("page-up", "Alt+Page_Up", here, () -> model.move(-20));
        commands.add("insert-tag", "Alt+T", here, this::insertTag);
        commands.add("special-character", "Alt+I", here, bench::openCharacters);
        commands.add("copy-source", "Alt+C", here, model::copySource);
        commands.add("take-proposal", "Alt+P", here, () -> model.takeProposal(0));
        for (int i = 0; i < MATCHES.size(); i++) {
            int number = i;
            commands.add(MATCHES.get(i), "Alt+Shift+" + (i + 1), here, () -> side.matches()
                    .take(number));
        }
        commands.add("draft-segment", "Alt+A", here, side.matches()::askForDraft);
        commands.add("insert-term", "Alt+E", here, () -> side.terms()
                .insertNext(bench.editor().content().plainText()));
        commands.add("add-term", "Alt+N", here, this::addTerm);
        commands.add("search-known", "Alt+M", here, this::searchKnown);
        commands.add("lock", "Alt+L", here, model::toggleLock);
        commands.add("clear-source-copies", "", here, () -> clearPrefilled(true));
        commands.add("propagate", "Alt+G", here, this::propagate);
        commands.add("fix", "Alt+F", here, model::fixFirst);
        BooleanSupplier inDocument =
                () -> here.getAsBoolean() && session.snapshot().isDocument();
        commands.add("join-segment", "Alt+J", inDocument, () -> side.cut().join());
        commands.add("split-segment", "Alt+S", inDocument, () -> side.cut().focusSource());
        commands.add("read-through", "Alt+R", here, () -> read.setSelected(!read.isSelected()));
        commands.add("open-target", "", here, () -> session.releasing().openTarget(opener));
        commands.add("filter", "Shortcut+F", here, text::requestFocus);
        commands.add("clear-filter", "Alt+0", here, this::clearFilter);
        commands.add("details", "Alt+D", here, () -> details.setSelected(!details.isSelected()));
        BooleanSupplier outsideFields = () -> session.track() != null && !isInField();
        commands.add("undo", "Shortcut+Z", outsideFields, this::undo);
        commands.add("redo", "Shortcut+Shift+Z", outsideFields, session.editing()::redo);
        menu.offer(commands.of(ViewId.REVIEW.name()));
        ContextMenu atMouse = CommandMenu.context(commands.of(ViewId.REVIEW.name()).stream()
                .filter(each -> OF_SEGMENT.contains(each.id()))
                .toList());
        // The click has chosen the segment, which moves; the menu comes when that is done.
        list.node().addEventFilter(ContextMenuEvent.CONTEXT_MENU_REQUESTED, event -> {
            Platform.runLater(() -> atMouse.show(list.node(), event.getScreenX(), event.getScreenY()));
            event.consume();
        });
    }

    /** Fields of text have an undo of their own. */
    private boolean isInField() {
        return node.getScene() != null && node.getScene().getFocusOwner() instanceof TextInputControl;
    }

    private void propagate() {
        int count = session.editing().propagate(session.currentProperty().get());
        session.notify(Notification.Tone.DONE, Strings.text("review.propagated", count));
    }

    private void insertWords(String words) {
        if (bench.editor().isEditable()) {
            bench.editor().replaceSelection(words);
        }
        bench.focusEditor();
    }

    private void markTerms(List<Span> spans) {
        model.markTerms(session.currentProperty().get(), spans);
        list.refresh();
    }

    /** A term whose target is what is selected in the editor. */
    private void addTerm() {
        details.setSelected(true);
        side.terms().open("", selected());
    }

    private String selected() {
        return bench.editor().getSelectedText().replace("\uFFFC", "").strip();
    }

    /** What is selected in the editor, is looked for in all that is known. */
    private void searchKnown() {
        String selected = selected();
        session.soughtProperty().set("");
        session.viewProperty().set(ViewId.REFERENCES);
        session.soughtProperty().set(selected);
    }

    private void insertTag() {
        if (bench.editor().isEditable()) {
            List<Tag> missing = model.missingTags(bench.editor().content());
            bench.editor().insert(missing);
        }
    }

    /** Letter by letter while there is something typed in the editor, then step by step through the journal. */
    private void undo() {
        if (bench.editor().isFocused() && bench.editor().isUndoAvailable()) {
            bench.editor().undo();
        } else {
            session.editing().undo();
        }
    }

    private void currentChanged() {
        if (session.viewProperty().get().equals(ViewId.REVIEW) && session.hasSegments()) {
            bench.show(session.currentProperty().get());
            showCurrent();
            bringCurrent();
            if (!filtering) {
                bench.focusEditor();
            }
        }
    }

    private void roomForBench() {
        int position = model.position(session.currentProperty().get());
        if (position >= 0) {
            Platform.runLater(() -> list.makeRoom(position));
        }
    }

    private void bringCurrent() {
        int position = model.position(session.currentProperty().get());
        if (position >= 0 && model.isChosenByMouse()) {
            Platform.runLater(() -> list.makeRoom(position));
        } else if (position >= 0) {
            list.bring(position);
        }
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        bench.focusEditor();
        bringCurrent();
    }

    @Override
    public void refresh() {
        BilingualDocument now =
                session.snapshot() == null ? null : session.snapshot().document();
        if (shown != now) {
            shown = now;
            listParts();
            model.list();
            read.setSelected(false);
            bringCurrent();
        }
        listed.setText(Strings.text("review.listed", model.listed().size()));
        showSelection();
        showNothing();
        showCurrent();
    }

    /** An empty view says why, and what brings something in. */
    private void showNothing() {
        boolean empty = model.listed().isEmpty();
        if (session.track() == null) {
            nothing.setText(Strings.text("review.no-track"));
        } else if (session.snapshot() == null) {
            String reason = session.track().problem();
            nothing.setText(
                    reason.isEmpty()
                            ? Strings.text("review.reading", session.track().name())
                            : Strings.text("review.unreadable", reason));
        } else {
            nothing.setText(Strings.text(session.hasSegments() ? "review.nothing-listed" : "review.no-segments"));
        }
        Controls.showIf(nothing, empty && !read.isSelected());
        Controls.showIf(split, !empty && !read.isSelected());
    }

    /** The files within the file, where there are several. */
    private void listParts() {
        List<Part> parts = shown == null ? List.of() : shown.parts();
        part.getItems().setAll(Strings.text("review.all-parts"));
        parts.forEach(each -> part.getItems().add(Strings.text("review.part", each.name(), each.targetLanguage())));
        part.getSelectionModel().select(0);
        part.setVisible(parts.size() > 1);
        part.setManaged(parts.size() > 1);
    }

    private void showCurrent() {
        int position = model.position(session.currentProperty().get());
        if (position < 0 && !model.listed().isEmpty()) {
            return;
        }
        list.refresh();
        sideLater.setDuration(side.shows(session.currentProperty().get()) ? TYPING : LEAFING);
        sideLater.playFromStart();
    }

    private static final class FilterCell extends ListCell<ReviewModel.Filter> {
        @Override
        protected void updateItem(ReviewModel.Filter item, boolean empty) {
            super.updateItem(item, empty);
            setText(empty ? "" : Strings.text("filter." + item.name().toLowerCase(Locale.ROOT)));
        }
    }
}
