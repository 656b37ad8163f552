package org.swaplane.desktop.review;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.scene.Parent;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.swaplane.compare.Span;
import org.swaplane.desktop.editor.TargetEditor;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.FindReplace;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.SegmentSelection;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Invisibles;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.theme.TitleBar;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.State;
import org.swaplane.lane.TrackSnapshot;

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
    private final FilterBar filters;
    private final VBox node;
    private final ReadingPane reading;
    private final SplitPane split;
    private final ToggleButton details = new ToggleButton(Strings.text("review.details"));
    private final ReplacePanel replacing;
    private final OutlinePane outline;
    private final SegmentCommands ofSegment;
    private final CommandMenu menu = new CommandMenu();
    private final Label nothing = Controls.styled(Controls.quiet(""), "empty");
    private double detailsAt = 0.76;
    private final ToggleButton read = new ToggleButton(Strings.text("reading.toggle"));
    private final FileOpener opener;
    private static final PseudoClass DENSE = PseudoClass.getPseudoClass("dense");
    private static final double OUTLINE = 0.18;

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

    public ReviewView(LaneSession session, FileOpener opener) {
        this.opener = opener;
        this.reading = new ReadingPane(session);
        this.session = session;
        this.model = new ReviewModel(session);
        this.bench = new SegmentBench(session);
        this.side = new SegmentSide(session, bench::insertWords, this::markTerms, bench::focusEditor, opener);
        this.list = new SegmentList(session, bench, model, this::refresh);
        this.filters = new FilterBar(session, model, this::listed, bench::focusEditor);
        bench.standIn(list.flow(), this::bringCurrent);
        CompletionHint completion =
                new CompletionHint(session, bench.editor(), side.terms()::wordings, side.matches()::texts);
        bench.onTyped(completion::typed, completion.node());
        ofSegment = new SegmentCommands(
                session, model, bench, side, list, completion, opener, () -> details.setSelected(true));
        Invisibles.shownProperty().addListener((property, before, now) -> redrawAll());
        replacing = new ReplacePanel(session, model, this::showPlace, () -> showReplacing(false));
        Controls.showIf(replacing, false);
        split = Controls.styled(new SplitPane(list.node(), side), "review-split");
        split.setDividerPosition(0, detailsAt);
        SplitPane.setResizableWithParent(side, false);
        outline = new OutlinePane(session, index -> session.currentProperty().set(index));
        SplitPane.setResizableWithParent(outline, false);
        VBox.setVgrow(split, Priority.ALWAYS);
        node = Controls.styled(new VBox(titleBar(), filters.panel(), nothing, split, replacing, reading), "view");
        showDensity();
        VBox.setVgrow(reading, Priority.ALWAYS);
        read.setId("read-through");
        Controls.whole(read);
        read.setFocusTraversable(false);
        read.selectedProperty().addListener((property, before, reads) -> showReading(reads));
        showReading(false);
        sideLater.setOnFinished(event -> side.show(session.currentProperty().get()));
        session.currentProperty().addListener((property, before, now) -> {
            if (session.hasSegments()) {
                model.cameFrom(before.intValue(), now.intValue());
            }
            currentChanged();
        });
        bench.heightProperty().addListener((property, before, now) -> roomForBench());
    }

    private void showReading(boolean reads) {
        Controls.showIf(reading, reads);
        Controls.showIf(split, !reads);
        Controls.showIf(details, !reads);
        filters.showUnless(reads);
        if (reads) {
            Controls.showIf(replacing, false);
        }
        if (reads && session.hasSegments()) {
            session.editing().endStep();
            reading.show(session.snapshot());
        } else if (!reads) {
            OptionalInt place = reading.current();
            reading.stopEditing();
            place.ifPresent(session.currentProperty()::set);
            bench.focusEditor();
        }
    }

    private TitleBar titleBar() {
        details.setId("review-details");
        details.setFocusTraversable(false);
        details.setSelected(true);
        details.selectedProperty().addListener((property, before, shows) -> showDetails(shows));
        return new TitleBar(session.person(), "view.review", filters, read, Controls.whole(details), menu);
    }

    private void showDetails(boolean shows) {
        if (!shows) {
            detailsAt = split.getDividerPositions()[split.getDividers().size() - 1];
            split.getItems().remove(side);
        } else if (!split.getItems().contains(side)) {
            split.getItems().add(side);
            split.setDividerPosition(split.getDividers().size() - 1, detailsAt);
        }
    }

    private void toggleOutline() {
        if (split.getItems().contains(outline)) {
            double details = split.getDividerPositions()[split.getDividers().size() - 1];
            split.getItems().remove(outline);
            if (!split.getDividers().isEmpty()) {
                split.setDividerPosition(0, details);
            }
            bench.focusEditor();
            return;
        }
        double details = split.getDividers().isEmpty() ? detailsAt : split.getDividerPositions()[0];
        split.getItems().add(0, outline);
        split.setDividerPosition(0, OUTLINE);
        if (split.getDividers().size() > 1) {
            split.setDividerPosition(1, details);
        }
        outline.refresh();
        outline.begin();
    }

    private void listed() {
        refresh();
        list.bring(Math.max(0, model.position(session.currentProperty().get())));
    }

    private void clearPrefilled(boolean reviewedToo) {
        session.editing()
                .clearPrefilled(reviewedToo)
                .ifPresent(cleared -> session.notify(Notification.Tone.DONE, Strings.text("review.cleared", cleared)));
    }

    /** Adds what the keys do here to the table. */
    @Override
    public void addCommands(Commands commands) {
        BooleanSupplier open = () -> session.viewProperty().get().equals(ViewId.REVIEW) && session.hasSegments();
        // Where the document is read there is no current row that they could mean.
        BooleanSupplier here = () -> open.getAsBoolean() && !read.isSelected();
        commands.add(
                "reviewed",
                "Shortcut+Enter",
                () -> open.getAsBoolean()
                        && !side.notes().isWriting()
                        && !side.errors().isWriting()
                        && !replacing.isFocusWithin(),
                () -> {
                    if (read.isSelected()) {
                        reading.reviewed();
                    } else {
                        model.reviewed();
                    }
                });
        commands.add("open-again", "Alt+U", here, () -> model.setState(State.TRANSLATED));
        commands.add("final", "", here, () -> model.setState(State.FINAL));
        commands.add("clear-prefilled", "", here, () -> clearPrefilled(false));
        commands.add("next-segment", "Alt+Down", here, () -> model.move(1));
        commands.add("previous-segment", "Alt+Up", here, () -> model.move(-1));
        commands.add("page-down", "Alt+Page_Down", here, () -> model.move(20));
        commands.add("page-up", "Alt+Page_Up", here, () -> model.move(-20));
        commands.add("lock", "Alt+L", here, model::toggleLock);
        commands.add("clear-source-copies", "", here, () -> clearPrefilled(true));
        BooleanSupplier inDocument =
                () -> here.getAsBoolean() && session.snapshot().isDocument();
        commands.add("join-segment", "Alt+J", inDocument, () -> side.cut().join());
        commands.add("split-segment", "Alt+S", inDocument, () -> side.cut().focusSource());
        commands.add("read-through", "Alt+R", open, () -> read.setSelected(!read.isSelected()));
        commands.add("open-target", "", open, () -> session.releasing().openTarget(opener));
        commands.add("filter", "Shortcut+F", here, filters::focusText);
        commands.add("more-filters", "Alt+K", here, filters::togglePanel);
        ofSegment.addTaking(commands, here);
        ofSegment.addEditing(commands, here);
        ofSegment.addGoing(commands, here);
        commands.add("outline", "Alt+X", here, this::toggleOutline);
        commands.add("dense-rows", "Alt+Z", here, this::toggleDense);
        commands.add("stacked", "Alt+Shift+Z", here, this::toggleStacked);
        commands.add("find-replace", "Shortcut+Shift+F", here, () -> showReplacing(true));
        commands.add("choose-down", "Alt+Shift+M", here, () -> extend(1));
        commands.add("choose-up", "Alt+Shift+U", here, () -> extend(-1));
        commands.add("choose-listed", "", here, this::chooseAll);
        commands.add("clear-targets", "", here, model::clearTargets);
        commands.add("send-chosen", "", here, this::sendChosen);
        commands.add("clear-filter", "Alt+0", here, filters::clear);
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

    private void markTerms(List<Span> spans) {
        model.markTerms(session.currentProperty().get(), spans);
        list.refresh();
    }

    private void toggleDense() {
        session.person().setDense(!session.person().isDense());
        showDensity();
    }

    /** Source above target, or beside it. */
    private void toggleStacked() {
        session.person().setStacked(!session.person().isStacked());
        list.redraw();
    }

    private void showDensity() {
        node.pseudoClassStateChanged(DENSE, session.person().isDense());
    }

    private void redrawAll() {
        bench.redraw();
        list.redraw();
    }

    /** Lists the selected segments only, and goes where copies are made of what is listed. */
    private void sendChosen() {
        TrackSnapshot track = session.snapshot();
        Set<String> keys =
                model.chosen().stream().map(index -> track.segment(index).key()).collect(Collectors.toSet());
        if (!keys.isEmpty()) {
            session.selectionProperty()
                    .set(new SegmentSelection(track.track(), keys, Strings.text("review.chosen", keys.size())));
        }
        session.viewProperty().set(ViewId.EXCHANGE);
        session.notify(Notification.Tone.DONE, Strings.text("review.send-listed"));
    }

    private void showReplacing(boolean shows) {
        Controls.showIf(replacing, shows);
        if (shows) {
            replacing.begin(bench.selected());
        } else {
            bench.focusEditor();
        }
    }

    private void showPlace(FindReplace.Place place) {
        filters.clear();
        session.choose(place.hit().track().track(), place.hit().index());
    }

    /** Letter by letter while there is something typed in the editor, then step by step through the journal. */
    private void undo() {
        Optional<TargetEditor> editor =
                bench.editor().isFocused() ? Optional.of(bench.editor()) : reading.editorWithKeyboard();
        if (editor.filter(TargetEditor::isUndoAvailable).isPresent()) {
            editor.get().undo();
        } else {
            reading.stopEditing();
            session.editing().undo();
        }
    }

    private void extend(int by) {
        model.extend(by);
        refresh();
    }

    private void chooseAll() {
        model.chooseAll();
        refresh();
    }

    private void currentChanged() {
        model.forgetChosen();
        if (session.viewProperty().get().equals(ViewId.REVIEW) && session.hasSegments()) {
            bench.show(session.currentProperty().get());
            showCurrent();
            bringCurrent();
            if (!model.isListing()) {
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
            filters.listParts(now);
            model.list(this::listed);
            read.setSelected(false);
            bringCurrent();
        }
        if (read.isSelected()) {
            reading.follow();
        }
        filters.refresh();
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

    private void showCurrent() {
        int position = model.position(session.currentProperty().get());
        if (position < 0 && !model.listed().isEmpty()) {
            return;
        }
        list.refresh();
        if (split.getItems().contains(outline)) {
            outline.refresh();
        }
        sideLater.setDuration(side.shows(session.currentProperty().get()) ? TYPING : LEAFING);
        sideLater.playFromStart();
    }
}
