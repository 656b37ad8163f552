package org.swaplane.desktop.review;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
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
import org.swaplane.check.CheckIds;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
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
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Invisibles;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.State;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.review.Formatting;
import org.swaplane.review.LetterCase;
import org.swaplane.review.SegmentFilter;
import org.swaplane.review.SourceElements;
import org.swaplane.review.Transliteration;
import org.swaplane.speech.PreparedDictation;

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
    private final ComboBox<NamedFilter> filter;
    private final FilterPanel filters;
    private final ToggleButton moreFilters = new ToggleButton(Strings.text("filter.more"));
    private final ComboBox<String> part = new ComboBox<>();
    private final TextField text = new TextField();
    private final Label listed = Controls.quiet("");
    private final VBox node;
    private final ReadingPane reading;
    private final SplitPane split;
    /** What the list is narrowed down to by a figure elsewhere; pressed, it is all again. */
    private final Button selection = Controls.button("review-selection", "review.selection", this::forgetSelection);

    private final ToggleButton details = new ToggleButton(Strings.text("review.details"));
    private final ReplacePanel replacing;
    private final OutlinePane outline;
    private final SpellingMenu spelling;
    private final LookUpMenu lookUps;
    private final CompletionPopup completion;
    private final CommandMenu menu = new CommandMenu();
    private final Label nothing = Controls.styled(Controls.quiet(""), "empty");
    private double detailsAt = 0.76;
    private final ToggleButton read = new ToggleButton(Strings.text("reading.toggle"));
    private final FileOpener opener;
    static final String TRANSLITERATED = "transliterated";
    private static final PseudoClass DENSE = PseudoClass.getPseudoClass("dense");
    private static final List<String> TAGS =
            List.of("tag-1", "tag-2", "tag-3", "tag-4", "tag-5", "tag-6", "tag-7", "tag-8", "tag-9");
    private static final List<String> MATCHES =
            List.of("take-match-1", "take-match-2", "take-match-3", "take-match-4", "take-match-5");
    private static final double OUTLINE = 0.18;

    /** What stands for a tag in the text of the editor. */
    private static final char CHIP = '\uFFFC';

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
    private boolean choosing;

    public ReviewView(LaneSession session, FileOpener opener) {
        this.opener = opener;
        this.reading = new ReadingPane(session, this::editAt);
        this.session = session;
        this.model = new ReviewModel(session);
        this.filter = Choice.of("review-filter", NamedFilter.all(session.person()), NamedFilter::name);
        this.filters = new FilterPanel(session.person(), List.copyOf(CheckIds.ALL), this::applyOwn);
        this.bench = new SegmentBench(session);
        this.side = new SegmentSide(session, this::insertWords, this::markTerms, bench::focusEditor);
        this.list = new SegmentList(session, bench, model, this::refresh);
        bench.standIn(list.flow(), this::bringCurrent);
        spelling = new SpellingMenu(session, bench.editor());
        completion = new CompletionPopup(session, bench.editor(), side.terms()::wordings, side.matches()::texts);
        bench.onTyped(completion::typed);
        lookUps = new LookUpMenu(session, opener);
        Invisibles.shownProperty().addListener((property, before, now) -> redrawAll());
        replacing = new ReplacePanel(session, model, this::showPlace, () -> showReplacing(false));
        Controls.showIf(replacing, false);
        split = Controls.styled(new SplitPane(list.node(), side), "review-split");
        split.setDividerPosition(0, detailsAt);
        SplitPane.setResizableWithParent(side, false);
        outline = new OutlinePane(session, index -> session.currentProperty().set(index));
        SplitPane.setResizableWithParent(outline, false);
        VBox.setVgrow(split, Priority.ALWAYS);
        node = Controls.styled(new VBox(titleBar(), filters, nothing, split, replacing, reading), "view");
        showDensity();
        VBox.setVgrow(reading, Priority.ALWAYS);
        read.setId("read-through");
        Controls.whole(read);
        listed.setWrapText(false);
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
        session.selectionProperty().addListener((property, before, now) -> selectionChanged());
        showSelection();
        bench.heightProperty().addListener((property, before, now) -> roomForBench());
    }

    private void showReading(boolean reads) {
        Controls.showIf(reading, reads);
        Controls.showIf(split, !reads);
        List.of(text, filter, moreFilters, listed, details).forEach(each -> Controls.showIf(each, !reads));
        if (reads) {
            Controls.showIf(replacing, false);
            Controls.showIf(filters, false);
        }
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
        filter.setValue(filter.getItems().get(0));
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
        filter.setPrefWidth(150);
        filter.setValue(rememberedFilter());
        filter.setAccessibleText(Strings.text("review.filter"));
        filters.show(filter.getValue().filter());
        model.filter(filter.getValue().filter(), -1, "", () -> {});
        filter.setOnAction(event -> chooseFilter());
        moreFilters.setId("more-filters");
        moreFilters.setFocusTraversable(false);
        Controls.showIf(filters, false);
        moreFilters.selectedProperty().addListener((property, before, open) -> {
            Controls.showIf(filters, open);
            if (open) {
                filters.begin();
            }
        });
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
                Controls.whole(moreFilters),
                read,
                Controls.whole(details),
                menu);
    }

    /** Everything is listed again; the segment that was current stays so. */
    private void clearFilter() {
        forgetSelection();
        text.clear();
        filter.setValue(filter.getItems().get(0));
        bench.focusEditor();
    }

    private NamedFilter rememberedFilter() {
        String written = session.person().choice(session.lane().settings().id(), FILTERED);
        return NamedFilter.of(SegmentFilter.ofJson(written).orElse(SegmentFilter.ALL), session.person());
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

    private void chooseFilter() {
        if (filter.getValue() != null && !choosing) {
            filters.show(filter.getValue().filter());
            applyFilter();
        }
    }

    /** A filter of several conditions, which may have a name by now, or none any more. */
    private void applyOwn(SegmentFilter own) {
        choosing = true;
        filter.getItems().setAll(NamedFilter.all(session.person()));
        filter.setValue(NamedFilter.of(own, session.person()));
        choosing = false;
        filters.show(own);
        applyFilter();
    }

    /** Narrowing the list down may change the current segment; the words being typed belong to the filter. */
    private void applyFilter() {
        SegmentFilter chosen = filter.getValue().filter();
        session.person().setChoice(session.lane().settings().id(), FILTERED, chosen.toJson());
        filtering = true;
        model.filter(chosen, part.getSelectionModel().getSelectedIndex() - 1, text.getText(), this::listed);
        filtering = false;
    }

    private void listed() {
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
        commands.add(
                "reviewed",
                "Shortcut+Enter",
                () -> here.getAsBoolean() && !side.notes().isWriting(),
                model::reviewed);
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
        commands.add("propagate", "Alt+G", here, () -> propagate(false));
        commands.add("fix", "Alt+F", here, model::fixFirst);
        BooleanSupplier inDocument =
                () -> here.getAsBoolean() && session.snapshot().isDocument();
        commands.add("join-segment", "Alt+J", inDocument, () -> side.cut().join());
        commands.add("split-segment", "Alt+S", inDocument, () -> side.cut().focusSource());
        commands.add("read-through", "Alt+R", here, () -> read.setSelected(!read.isSelected()));
        commands.add("open-target", "", here, () -> session.releasing().openTarget(opener));
        commands.add("filter", "Shortcut+F", here, text::requestFocus);
        commands.add("more-filters", "Alt+K", here, () -> moreFilters.setSelected(!moreFilters.isSelected()));
        addEditing(commands, here);
        addGoing(commands, here);
        commands.add("find-replace", "Shortcut+Shift+F", here, () -> showReplacing(true));
        commands.add("add-note", "Alt+O", here, this::addNote);
        commands.add("bookmark", "Alt+B", here, () -> session.annotations()
                .toggleBookmark(session.snapshot()
                        .segment(session.currentProperty().get())
                        .key()));
        commands.add("choose-down", "Alt+Shift+M", here, () -> extend(1));
        commands.add("choose-up", "Alt+Shift+U", here, () -> extend(-1));
        commands.add("choose-listed", "", here, this::chooseAll);
        commands.add("clear-targets", "", here, model::clearTargets);
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

    private void propagate(boolean onlyEmpty) {
        int count = session.editing().propagate(session.currentProperty().get(), onlyEmpty);
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

    /** What is done with the text of the segment in hand. */
    private void addEditing(Commands commands, BooleanSupplier here) {
        for (int i = 1; i <= TAGS.size(); i++) {
            int number = i;
            commands.add(TAGS.get(i - 1), "Shortcut+" + i, here, () -> insertTag(number));
        }
        commands.add("bold", "Shortcut+B", here, () -> format(Formatting.BOLD));
        commands.add("italic", "Shortcut+I", here, () -> format(Formatting.ITALIC));
        commands.add("underline", "Shortcut+U", here, () -> format(Formatting.UNDERLINE));
        commands.add("copy-element", "Alt+V", here, this::copyElement);
        commands.add("change-case", "Alt+Q", here, this::changeCase);
        commands.add("complete", "Shortcut+Space", here, completion::take);
        commands.add("complete-next", "Shortcut+Shift+Space", here, completion::turn);
        commands.add(
                "spelling",
                "Alt+W",
                here,
                () -> spelling.open(session.currentProperty().get()));
        commands.add("invisibles", "Alt+H", here, () -> Invisibles.shownProperty()
                .set(!Invisibles.shownProperty().get()));
        commands.add("read-target", "Alt+Shift+R", here, () -> readAloud(true));
        commands.add("read-source", "Alt+Shift+S", here, () -> readAloud(false));
        commands.add("dictate", "Alt+Shift+D", here, this::dictate);
        commands.add("transliterate", "Alt+Shift+T", here, this::toggleTransliteration);
        commands.add("look-up", "Alt+Y", here, this::lookUp);
        commands.add("dense-rows", "Alt+Z", here, this::toggleDense);
        commands.add("stacked", "Alt+Shift+Z", here, this::toggleStacked);
        commands.add("propagate-empty", "", here, () -> propagate(true));
    }

    /** Where one goes from the segment in hand. */
    private void addGoing(Commands commands, BooleanSupplier here) {
        commands.add("next-open", "Alt+Period", here, model::nextOpen);
        commands.add("next-finding", "Alt+Comma", here, model::nextFinding);
        commands.add("next-note", "Alt+Minus", here, model::nextNote);
        commands.add("next-empty", "", here, model::nextEmpty);
        commands.add("next-repetition", "Alt+Shift+G", here, model::nextRepetition);
        commands.add("outline", "Alt+X", here, this::toggleOutline);
        commands.add("jump-back", "Alt+Left", here, model::jumpBack);
    }

    private void insertTag(int number) {
        if (bench.editor().isEditable()) {
            bench.editor().insert(model.missingTags(bench.editor().content(), number));
        }
    }

    /** Puts the pair of the source's tags for a format around the selection. */
    private void format(Formatting format) {
        Content source =
                session.snapshot().segment(session.currentProperty().get()).source();
        List<Tag> missing = format.missing(source, bench.editor().content());
        if (missing.isEmpty()) {
            session.notify(Notification.Tone.DONE, Strings.text("review.no-format"));
        } else if (bench.editor().isEditable()) {
            bench.editor().insert(missing);
        }
    }

    /** Puts in the next placeholder, number or name of the source that the target does not have yet. */
    private void copyElement() {
        List<String> missing = SourceElements.missing(
                session.snapshot().checked(session.currentProperty().get()));
        if (missing.isEmpty()) {
            session.notify(Notification.Tone.DONE, Strings.text("review.no-element"));
        } else {
            insertWords(missing.get(0));
        }
    }

    /** From small letters to a capital at the beginning of each word, to capitals, and back. */
    private void changeCase() {
        if (bench.editor().isEditable()) {
            Locale language = Locale.forLanguageTag(
                    session.snapshot().targetLanguage(session.currentProperty().get()));
            bench.editor().change(words -> LetterCase.next(words, language));
        }
    }

    private void readAloud(boolean target) {
        int index = session.currentProperty().get();
        TrackSnapshot track = session.snapshot();
        String text = (target ? track.target(index) : track.segment(index).source()).plainText();
        String language = target ? track.targetLanguage(index) : track.sourceLanguage(index);
        session.speech()
                .read(
                        text,
                        language,
                        word -> showSpoken(index, target, List.of(word)),
                        () -> showSpoken(index, target, List.of()));
    }

    /** Marks the word that is being read. */
    private void showSpoken(int index, boolean target, List<Span> words) {
        if (target && index == session.currentProperty().get()) {
            bench.markSpoken(words);
        } else if (!target) {
            model.markSpoken(index, words);
            list.refresh();
        }
    }

    /** The stand-in plays the best match, or else the source, as if it were spoken. */
    private void dictate() {
        int index = session.currentProperty().get();
        String prepared = side.matches().texts().stream()
                .findFirst()
                .orElseGet(() -> session.snapshot().segment(index).source().plainText());
        session.speech()
                .dictate(new PreparedDictation(prepared), session.snapshot().targetLanguage(index), words -> {
                    if (index == session.currentProperty().get()) {
                        insertWords(words);
                    }
                });
    }

    /** Latin letters become those of the target's script, or stay what they are again; kept for the language. */
    private void toggleTransliteration() {
        String language =
                session.snapshot().targetLanguage(session.currentProperty().get());
        Optional<Transliteration> letters = Transliteration.of(language);
        if (letters.isEmpty()) {
            session.notify(Notification.Tone.DONE, Strings.text("review.no-transliteration", language));
            return;
        }
        boolean on = session.person().choice(TRANSLITERATED, language).isEmpty();
        session.person().setChoice(TRANSLITERATED, language, on ? "on" : "");
        bench.transliterate();
        session.notify(
                Notification.Tone.DONE,
                Strings.text(on ? "review.transliteration-on" : "review.transliteration-off", language));
    }

    /** Looks the selected text up, or the source where nothing is selected. */
    private void lookUp() {
        int index = session.currentProperty().get();
        String text = selected().isEmpty()
                ? session.snapshot().segment(index).source().plainText()
                : selected();
        Bounds place = bench.editor().localToScreen(bench.editor().getBoundsInLocal());
        lookUps.open(
                bench.editor(), place == null ? 0 : place.getMinX(), place == null ? 0 : place.getMaxY(), text, index);
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

    private void showReplacing(boolean shows) {
        Controls.showIf(replacing, shows);
        if (shows) {
            replacing.begin(selected());
        } else {
            bench.focusEditor();
        }
    }

    private void showPlace(FindReplace.Place place) {
        clearFilter();
        session.choose(place.hit().track().track(), place.hit().index());
    }

    /** About the part of the target that is selected. */
    private void addNote() {
        details.setSelected(true);
        String written = bench.editor().getText();
        int from = bench.editor().getSelection().getStart();
        int to = bench.editor().getSelection().getEnd();
        int before =
                (int) written.substring(0, from).chars().filter(c -> c == CHIP).count();
        int within =
                (int) written.substring(from, to).chars().filter(c -> c == CHIP).count();
        if (to - from > within) {
            side.notes().open(from - before, to - before - within);
        } else {
            side.notes().open(-1, -1);
        }
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
            model.list(this::listed);
            read.setSelected(false);
            bringCurrent();
        }
        int chosen = model.chosen().size();
        listed.setText(
                chosen == 0
                        ? Strings.text("review.listed", model.listed().size())
                        : Strings.text("review.listed-chosen", model.listed().size(), chosen));
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
        if (split.getItems().contains(outline)) {
            outline.refresh();
        }
        sideLater.setDuration(side.shows(session.currentProperty().get()) ? TYPING : LEAFING);
        sideLater.playFromStart();
    }
}
