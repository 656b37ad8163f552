package org.swaplane.desktop.review;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.geometry.Bounds;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.text.Invisibles;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.review.Formatting;
import org.swaplane.review.LetterCase;
import org.swaplane.review.SourceElements;
import org.swaplane.review.Transliteration;
import org.swaplane.speech.PreparedDictation;

/** What the keys do with the segment in hand: taking what is at hand, editing its text, and going on from it. */
final class SegmentCommands {
    private static final List<String> TAGS =
            List.of("tag-1", "tag-2", "tag-3", "tag-4", "tag-5", "tag-6", "tag-7", "tag-8", "tag-9");
    private static final List<String> MATCHES =
            List.of("take-match-1", "take-match-2", "take-match-3", "take-match-4", "take-match-5");

    /** What stands for a tag in the text of the editor. */
    private static final char CHIP = '\uFFFC';

    static final String TRANSLITERATED = "transliterated";

    private final LaneSession session;
    private final ReviewModel model;
    private final SegmentBench bench;
    private final SegmentSide side;
    private final SegmentList list;
    private final CompletionHint completion;
    private final SpellingMenu spelling;
    private final LookUpMenu lookUps;
    private final Runnable showDetails;

    SegmentCommands(
            LaneSession session,
            ReviewModel model,
            SegmentBench bench,
            SegmentSide side,
            SegmentList list,
            CompletionHint completion,
            FileOpener opener,
            Runnable showDetails) {
        this.session = session;
        this.model = model;
        this.bench = bench;
        this.side = side;
        this.list = list;
        this.completion = completion;
        this.spelling = new SpellingMenu(session, bench.editor());
        this.lookUps = new LookUpMenu(session, opener);
        this.showDetails = showDetails;
    }

    /** What is taken from what is at hand, or added to it. */
    void addTaking(Commands commands, BooleanSupplier here) {
        commands.add("insert-tag", "Alt+T", here, this::insertTag);
        commands.add("special-character", "Alt+I", here, bench::openCharacters);
        commands.add("copy-source", "Alt+C", here, model::copySource);
        commands.add("take-proposal", "Alt+P", here, () -> model.takeProposal(0));
        for (int i = 0; i < MATCHES.size(); i++) {
            int number = i;
            commands.add(MATCHES.get(i), "Alt+Shift+" + (i + 1), here, () -> sideOfCurrent()
                    .matches()
                    .take(number));
        }
        commands.add(
                "draft-segment", "Alt+A", here, () -> sideOfCurrent().matches().askForDraft());
        commands.add("insert-term", "Alt+E", here, () -> sideOfCurrent()
                .terms()
                .insertNext(bench.editor().content().plainText()));
        commands.add("add-term", "Alt+N", here, this::addTerm);
        commands.add("search-known", "Alt+M", here, this::searchKnown);
        commands.add("propagate", "Alt+G", here, () -> propagate(false));
        commands.add("fix", "Alt+F", here, model::fixFirst);
        commands.add("add-note", "Alt+O", here, this::addNote);
        commands.add("mark-error", "F9", here, this::markError);
        commands.add("mark-source-error", "Shift+F9", here, () -> {
            showDetails.run();
            sideOfCurrent();
            side.errors().beginSource();
        });
        commands.add("bookmark", "Alt+B", here, () -> session.annotations()
                .toggleBookmark(session.snapshot()
                        .segment(session.currentProperty().get())
                        .key()));
    }

    /** The details follow a moment after the segment; hands do not wait for them. */
    private SegmentSide sideOfCurrent() {
        int current = session.currentProperty().get();
        if (!side.shows(current)) {
            side.show(current);
        }
        return side;
    }

    private void propagate(boolean onlyEmpty) {
        session.editing()
                .propagate(
                        session.currentProperty().get(),
                        onlyEmpty,
                        count -> session.notify(Notification.Tone.DONE, Strings.text("review.propagated", count)));
    }

    /** What is done with the text of the segment in hand. */
    void addEditing(Commands commands, BooleanSupplier here) {
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
        commands.add("propagate-empty", "", here, () -> propagate(true));
    }

    /** Where one goes from the segment in hand. */
    void addGoing(Commands commands, BooleanSupplier here) {
        commands.add("next-open", "Alt+Period", here, model::nextOpen);
        commands.add("next-finding", "Alt+Comma", here, model::nextFinding);
        commands.add("next-note", "Alt+Minus", here, model::nextNote);
        commands.add("next-empty", "", here, model::nextEmpty);
        commands.add("next-repetition", "Alt+Shift+G", here, model::nextRepetition);
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
            bench.insertWords(missing.get(0));
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
                        bench.insertWords(words);
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
        String text = bench.selected().isEmpty()
                ? session.snapshot().segment(index).source().plainText()
                : bench.selected();
        Bounds place = bench.editor().localToScreen(bench.editor().getBoundsInLocal());
        lookUps.open(
                bench.editor(), place == null ? 0 : place.getMinX(), place == null ? 0 : place.getMaxY(), text, index);
    }

    /** About the part of the target that is selected, or at all segments that are selected. */
    private void addNote() {
        showDetails.run();
        sideOfCurrent();
        if (model.chosen().size() > 1) {
            TrackSnapshot track = session.snapshot();
            side.notes()
                    .openFor(model.chosen().stream()
                            .map(index -> track.segment(index).key())
                            .toList());
            return;
        }
        Span selected = selected();
        side.notes().open(selected.start(), selected.end());
    }

    /** Marks what is selected in the editor as an error; nothing selected is the whole target. */
    private void markError() {
        showDetails.run();
        sideOfCurrent();
        Span selected = selected();
        side.errors().begin(selected.start(), selected.end());
    }

    /** What is selected in the editor, counted without tags; from -1 to -1 where nothing is. */
    private Span selected() {
        String written = bench.editor().getText();
        int from = bench.editor().getSelection().getStart();
        int to = bench.editor().getSelection().getEnd();
        int before =
                (int) written.substring(0, from).chars().filter(c -> c == CHIP).count();
        int within =
                (int) written.substring(from, to).chars().filter(c -> c == CHIP).count();
        return to - from > within ? new Span(from - before, to - before - within) : new Span(-1, -1);
    }

    /** A term whose target is what is selected in the editor. */
    private void addTerm() {
        showDetails.run();
        sideOfCurrent();
        side.terms().open("", bench.selected());
    }

    /** What is selected in the editor, is looked for in all that is known. */
    private void searchKnown() {
        String selected = bench.selected();
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
}
