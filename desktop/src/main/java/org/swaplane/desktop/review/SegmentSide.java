package org.swaplane.desktop.review;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import org.swaplane.compare.Span;
import org.swaplane.compare.TextDifference;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.LaneMark;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.Note;
import org.swaplane.document.Proposal;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.lane.HistoryEntry;
import org.swaplane.lane.Origin;
import org.swaplane.lane.Repetitions;
import org.swaplane.lane.SegmentRemark;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;

/** Beside the list: what the file and people say of the segment in hand, and what happened to it. */
final class SegmentSide extends ScrollPane {
    private final LaneSession session;
    private final CutPanel cut;
    private final MatchesPane matches;
    private final TermsPane terms;
    private final NotesPane notes;
    private final ErrorsPane errors;
    private final SideSection errorsSection;
    private final PicturesPane pictures;
    private final VBox clientNotes = Controls.styled(new VBox(), "column-tight");
    private final SideSection matchesSection;
    private final SideSection termsSection;
    private final SideSection notesSection;
    private final SideSection picturesSection;
    private final SideSection historySection;
    private final Label repeated = Controls.quiet("");
    private final VBox content = Controls.styled(new VBox(), "side");
    private final VBox history = Controls.styled(new VBox(), "column");
    private Shown shown;
    private List<HistoryEntry> entries = List.of();

    /** What stands here; while it stays the same, nothing but the history is looked at again. */
    private record Shown(
            Track track, int index, Segment segment, State state, boolean draft, List<SegmentRemark> remarks) {}

    /** {@code insert} puts words into the target of the segment in hand, where the keyboard goes {@code back} to; {@code terms} is told where they stand in its source. */
    SegmentSide(
            LaneSession session,
            Consumer<String> insert,
            Consumer<List<Span>> terms,
            Runnable back,
            FileOpener opener) {
        this.session = session;
        this.cut = new CutPanel(session);
        this.matches = new MatchesPane(session);
        this.notes = new NotesPane(session, back);
        this.errors = new ErrorsPane(session, back);
        this.errorsSection = new SideSection(session.person(), "side.errors", errors);
        this.terms = new TermsPane(session, insert, terms, back);
        this.matchesSection = new SideSection(session.person(), "side.matches", matches);
        this.termsSection = new SideSection(session.person(), "side.terms", this.terms);
        this.notesSection = new SideSection(
                session.person(), "side.notes", Controls.styled(new VBox(clientNotes, notes), "column-tight"));
        this.pictures = new PicturesPane(session, opener, this::showPictures);
        this.picturesSection = new SideSection(session.person(), "side.pictures", pictures);
        showPictures();
        this.historySection = new SideSection(session.person(), "side.history", history);
        setContent(content);
        setFitToWidth(true);
        setId("segment-side");
        getStyleClass().add("side-scroll");
        setPrefWidth(264);
        setMinWidth(200);
    }

    private void showPictures() {
        Controls.showIf(picturesSection, !pictures.isEmpty());
    }

    TermsPane terms() {
        return terms;
    }

    NotesPane notes() {
        return notes;
    }

    ErrorsPane errors() {
        return errors;
    }

    MatchesPane matches() {
        return matches;
    }

    CutPanel cut() {
        return cut;
    }

    /** Whether it is this segment that stands here. */
    boolean shows(int index) {
        return shown != null && shown.track() == session.track() && shown.index() == index;
    }

    void show(int index) {
        TrackSnapshot track = session.snapshot();
        if (track == null || index >= track.size() || !session.isOpen()) {
            content.getChildren().clear();
            shown = null;
            return;
        }
        Segment segment = track.segment(index);
        List<SegmentRemark> remarks = session
                .lane()
                .trips()
                .remarks(track.track().id())
                .stream()
                .filter(remark -> remark.key().equals(segment.key()))
                .toList();
        Shown now = new Shown(
                track.track(),
                index,
                segment,
                track.state(index),
                track.value(index).isDraft(),
                remarks);
        if (!now.equals(shown)) {
            shown = now;
            fill(track, now);
        }
        notes.show(track, index);
        errors.show(track, index);
        pictures.show(segment);
        matches.show(track, index);
        terms.show(track, index);
        readHistory(now);
        countRepetitions(track, now);
    }

    /** How often the source stands in the file, where that is more than once. */
    private void countRepetitions(TrackSnapshot track, Shown of) {
        session.background()
                .read(
                        Strings.text("task.history"),
                        progress -> Repetitions.of(track, of.index()),
                        all -> {
                            if (of.equals(shown)) {
                                Controls.showIf(repeated, all.size() > 1);
                                repeated.setText(
                                        Strings.text("side.repeated", all.indexOf(of.index()) + 1, all.size()));
                            }
                        },
                        session::failed);
    }

    /** Whether it is hidden where texts come from. */
    private boolean isBlind() {
        return session.evaluating().stateProperty().get().isBlind();
    }

    private void fill(TrackSnapshot track, Shown now) {
        int index = now.index();
        Segment segment = now.segment();
        content.getChildren().clear();
        add(heading(index, track, segment));
        add(Controls.styled(wrapped(segment.key()), "code"));
        String own = segment.nativeState().isEmpty() ? Strings.text("side.no-native-state") : segment.nativeState();
        add(Controls.quiet(Strings.text("side.native-state", own)));
        if (segment.locked()) {
            add(Controls.quiet(Strings.text("side.lock." + segment.lock().name().toLowerCase(Locale.ROOT))));
        }
        repeated.setText("");
        add(repeated);
        Origin origin = track.value(index).origin();
        if (track.value(index).isDraft() && !isBlind()) {
            add(Controls.quiet(Strings.text("side.is-draft", session.drafts().words(origin.name()))));
        }
        if (segment.about().score() >= 0) {
            add(Controls.quiet(Strings.text("side.score", segment.about().score())));
        }
        TextLanguage language = TextLanguage.of(
                session.snapshot().targetLanguage(index),
                session.directions(index).target());
        add(matchesSection);
        add(termsSection);
        showProposals(index, segment, language);
        clientNotes.getChildren().clear();
        for (Note note : segment.notes()) {
            clientNotes.getChildren().add(entry(caption(note), note.text()));
        }
        for (SegmentRemark remark : now.remarks()) {
            clientNotes.getChildren().add(entry(Strings.text("side.remark", remark.author()), remark.text()));
        }
        add(notesSection);
        add(errorsSection);
        add(picturesSection);
        if (track.isDocument()) {
            cut.show(index);
            add(cut);
        }
        Controls.showIf(historySection, !isBlind());
        add(historySection);
        showHistory(segment, language, List.of());
    }

    /** The number, and the word for the mark. */
    private static Label heading(int index, TrackSnapshot track, Segment segment) {
        String state = LaneMark.words(track.state(index), segment.locked());
        return Controls.styled(wrapped(Strings.text("side.segment", index + 1, state)), "heading");
    }

    private void readHistory(Shown of) {
        TextLanguage language = TextLanguage.of(
                session.snapshot().targetLanguage(of.index()),
                session.directions(of.index()).target());
        session.background()
                .read(
                        Strings.text("task.history"),
                        progress -> of.track().history(of.segment().key()),
                        read -> {
                            List<HistoryEntry> changes = read.stream()
                                    .filter(entry -> !entry.before().equals(entry.after()))
                                    .toList();
                            if (of.equals(shown) && !changes.equals(entries)) {
                                showHistory(of.segment(), language, changes);
                            }
                        },
                        session::failed);
    }

    /** The newest first, and last what the file came with. */
    private void showHistory(Segment segment, TextLanguage language, List<HistoryEntry> read) {
        entries = read;
        history.getChildren()
                .setAll(read.stream()
                        .map(change -> restorable(history(change, segment, language), segment, change.after()))
                        .toList());
        history.getChildren().add(entry(Strings.text("side.as-came"), segment.target(), segment, List.of(), language));
    }

    /** With a way back to what the segment held then. */
    private VBox restorable(VBox entry, Segment segment, Value then) {
        int index = shown.index();
        if (!segment.locked() && !then.target().equals(session.snapshot().target(index))) {
            Button restore = Controls.button("restore", "side.restore", () -> session.editing()
                    .apply(StepKind.TYPED, Map.of(index, then.withLock(false))));
            entry.getChildren().add(Controls.styled(restore, "small"));
        }
        return entry;
    }

    /** What the file proposes as translation. */
    private void showProposals(int index, Segment segment, TextLanguage language) {
        if (segment.proposals().isEmpty()) {
            return;
        }
        add(Controls.heading("side.proposals"));
        for (int i = 0; i < segment.proposals().size(); i++) {
            Proposal proposal = segment.proposals().get(i);
            int number = i;
            String score = proposal.score() < 0 ? "" : Strings.text("side.proposal-score", proposal.score());
            String caption = score.isEmpty() || proposal.origin().isEmpty()
                    ? score + proposal.origin()
                    : score + " · " + proposal.origin();
            VBox entry = entry(caption, proposal.target(), segment, List.of(), language);
            add(entry);
            if (!proposal.source().isEmpty() && !proposal.source().sameAs(segment.source())) {
                String of = TagNotation.write(proposal.source(), segment.source());
                String is = TagNotation.write(segment.source(), segment.source());
                ContentFlow then = new ContentFlow();
                then.show(of, TextDifference.between(of, is).before());
                entry.getChildren().addAll(Controls.quiet(Strings.text("side.proposal-then")), then);
            }
            if (!segment.locked()) {
                Button take =
                        Controls.button("take-proposal-" + (number + 1), "side.take-proposal", () -> session.editing()
                                .takeProposal(index, number));
                entry.getChildren().add(Controls.styled(take, "small"));
            }
        }
    }

    private static String caption(Note note) {
        String from = note.from();
        String caption =
                switch (note.kind()) {
                    case GENERAL -> from;
                    case CONTEXT -> from.isEmpty() ? Strings.text("side.context") : from;
                    case SOURCE -> Strings.text("side.about-source", from).strip();
                    case TARGET -> Strings.text("side.about-target", from).strip();
                    case TERM -> Strings.text("side.term");
                };
        return note.priority() > 0 ? Strings.text("side.priority", caption, note.priority()) : caption;
    }

    private void add(Node node) {
        content.getChildren().add(node);
    }

    private static Label wrapped(String text) {
        Label label = new Label(text);
        label.setWrapText(true);
        return label;
    }

    private static VBox entry(String caption, String text) {
        Label words = wrapped(text.isEmpty() ? Strings.text("side.empty") : text);
        return Controls.styled(new VBox(Controls.quiet(caption), words), "entry");
    }

    /** What was changed, with the parts that are new marked. */
    private static VBox history(HistoryEntry change, Segment segment, TextLanguage language) {
        String kind = Strings.text(
                "step." + change.kind().name().toLowerCase(Locale.ROOT).replace('_', '-'));
        String state = Strings.text("state." + change.after().state().name().toLowerCase(Locale.ROOT));
        String undone = change.undone() ? Strings.text("side.undone") : "";
        String caption = Strings.text("side.change", kind, change.who(), Dates.minute(change.at()), state) + undone;
        Content before = change.before().target();
        Content after = change.after().target();
        if (before.equals(after)) {
            return Controls.styled(new VBox(Controls.quiet(caption)), "entry");
        }
        List<Span> marked =
                TextDifference.between(before.plainText(), after.plainText()).after();
        return entry(caption, after, segment, marked, language);
    }

    /** A text with its tags as they are drawn everywhere. */
    private static VBox entry(String caption, Content text, Segment segment, List<Span> marked, TextLanguage language) {
        if (text.isEmpty()) {
            return entry(caption, "");
        }
        ContentFlow flow = new ContentFlow();
        language.apply(flow);
        flow.show(text, TagNumbers.of(segment.source()), marked);
        return Controls.styled(new VBox(Controls.quiet(caption), flow), "entry");
    }
}
