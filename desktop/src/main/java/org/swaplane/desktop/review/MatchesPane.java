package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import org.swaplane.compare.Span;
import org.swaplane.compare.TextDifference;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Memories;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.Segment;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;
import org.swaplane.memory.MemoryFragment;
import org.swaplane.memory.MemoryMatch;
import org.swaplane.memory.Provenance;

/** What the memories know for the segment in hand, best first: score, what differs in the source, and the translation to take. */
final class MatchesPane extends VBox {
    /** Length of a date without its time. */
    private static final int DATE = 10;

    private static final Memories.Known NOTHING = new Memories.Known(List.of(), Optional.empty());

    private final LaneSession session;
    private int index = -1;
    private Content source = Content.EMPTY;
    private Memories.Known known = NOTHING;
    private Optional<Value> draft = Optional.empty();
    private boolean isKnown;
    /** A match that was asked for before it was known; negative for none. */
    private int wanted = -1;

    MatchesPane(LaneSession session) {
        this.session = session;
        getStyleClass().add("column");
        setId("matches");
    }

    /** Looks up what is known for a segment; what was shown for another one goes at once. */
    void show(TrackSnapshot track, int segment) {
        if (segment != index || !track.segment(segment).source().equals(source)) {
            getChildren().clear();
            known = NOTHING;
            draft = Optional.empty();
            isKnown = false;
            wanted = -1;
        }
        index = segment;
        source = track.segment(segment).source();
        session.memories().lookup(track, segment, found -> {
            if (segment == index && track.track() == session.track()) {
                fill(track.segment(segment), found);
                isKnown = true;
                if (wanted >= 0) {
                    take(wanted);
                    wanted = -1;
                }
            }
        });
    }

    private void fill(Segment segment, Memories.Known now) {
        if (!now.equals(known) || getChildren().isEmpty()) {
            known = now;
            show(segment);
        }
    }

    private void show(Segment segment) {
        List<Memories.Offer> found = known.offers();
        List<Node> nodes = new ArrayList<>();
        if (found.isEmpty() && known.part().isEmpty() && draft.isEmpty()) {
            nodes.add(Controls.quiet(Strings.text("side.no-matches")));
        }
        TextLanguage language = TextLanguage.of(
                session.snapshot().targetLanguage(index),
                session.directions(index).target());
        for (int i = 0; i < found.size(); i++) {
            nodes.add(entry(i, found.get(i), segment, language));
        }
        draft.ifPresent(value -> nodes.add(draft(found.size(), value, segment, language)));
        known.part().ifPresent(part -> nodes.add(part(part, language)));
        getChildren().setAll(nodes);
    }

    /** Asks the draft service for the segment in hand. */
    void askForDraft() {
        TrackSnapshot track = session.snapshot();
        int segment = index;
        session.drafts().offer(track, segment, offered -> {
            if (segment == index && track.track() == session.track()) {
                draft = Optional.of(offered);
                show(track.segment(segment));
            }
        });
    }

    private VBox draft(int number, Value value, Segment segment, TextLanguage language) {
        ContentFlow target = new ContentFlow();
        language.apply(target);
        target.show(value.target(), TagNumbers.of(segment.source()), List.of());
        VBox entry = Controls.styled(
                new VBox(
                        Controls.quiet(Strings.text(
                                "side.draft",
                                session.drafts().words(value.origin().name()))),
                        target),
                "entry");
        entry.setId("draft");
        if (!segment.locked()) {
            entry.getChildren().add(takeButton(number));
        }
        return entry;
    }

    private Button takeButton(int number) {
        return Controls.styled(
                Controls.button("take-match-" + (number + 1), "side.take-proposal", () -> take(number)), "small");
    }

    /** A part of the segment that a memory knows, marked in the source that has it. */
    private static VBox part(MemoryFragment part, TextLanguage language) {
        ContentFlow from = new ContentFlow();
        String text = part.unit().source().plainText();
        int at = text.toLowerCase(Locale.ROOT).indexOf(part.words().toLowerCase(Locale.ROOT));
        List<Span> marked =
                at < 0 ? List.of() : List.of(new Span(at, at + part.words().length()));
        TagNumbers numbers = TagNumbers.of(part.unit().source());
        from.show(part.unit().source(), numbers, List.of(), marked);
        ContentFlow target = new ContentFlow();
        language.apply(target);
        target.show(part.unit().target(), numbers, List.of());
        VBox entry = Controls.styled(
                new VBox(Controls.quiet(Strings.text("side.known-part", part.words())), from, target), "entry");
        entry.setId("known-part");
        return entry;
    }

    private VBox entry(int number, Memories.Offer offer, Segment segment, TextLanguage language) {
        MemoryMatch match = offer.match();
        VBox entry = Controls.styled(new VBox(Controls.quiet(caption(match))), "entry");
        if (match.kind() == MemoryMatch.Kind.FUZZY) {
            String then = match.unit().sourceWritten();
            String now = TagNotation.write(segment.source(), segment.source());
            ContentFlow before = new ContentFlow();
            before.showWritten(
                    match.unit().source(),
                    then,
                    TextDifference.between(then, now).before());
            entry.getChildren().add(before);
        }
        ContentFlow target = new ContentFlow();
        language.apply(target);
        target.show(offer.target(), TagNumbers.of(segment.source()), List.of());
        entry.getChildren().add(target);
        if (offer.adapted()) {
            entry.getChildren().add(Controls.quiet(Strings.text("side.match-adapted")));
        }
        if (!segment.locked()) {
            entry.getChildren().add(takeButton(number));
        }
        return entry;
    }

    private static String caption(MemoryMatch match) {
        String kind = match.kind() == MemoryMatch.Kind.CONTEXT
                ? Strings.text("match.context")
                : Strings.text("side.proposal-score", match.score());
        Provenance from = match.unit().provenance();
        StringBuilder caption = new StringBuilder(kind);
        String who = from.changedBy().isEmpty() ? from.createdBy() : from.changedBy();
        String when = from.changed().isEmpty() ? from.created() : from.changed();
        Stream.of(from.origin(), who, when.substring(0, Math.min(DATE, when.length())))
                .filter(part -> !part.isEmpty())
                .forEach(part -> caption.append(" · ").append(part));
        for (Map.Entry<String, Integer> penalty : match.penalties().entrySet()) {
            caption.append(" · ")
                    .append(Strings.text(
                            "match.penalty." + penalty.getKey().toLowerCase(Locale.ROOT), penalty.getValue()));
        }
        return caption.toString();
    }

    /** The translations that are offered, the best first. */
    List<String> texts() {
        return known.offers().stream().map(offer -> offer.target().plainText()).toList();
    }

    /** Makes the n-th match the target of the segment. */
    void take(int number) {
        if (index != session.currentProperty().get()) {
            return;
        }
        if (!isKnown) {
            // Hands are faster than a look into large memories: it is taken as soon as it is there.
            wanted = number;
        } else if (number < known.offers().size()) {
            session.memories().take(index, known.offers().get(number));
        } else if (number == known.offers().size()) {
            draft.ifPresent(value -> session.drafts().take(index, value));
        }
    }
}
