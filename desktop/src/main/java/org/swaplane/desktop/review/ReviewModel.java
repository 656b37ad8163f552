package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;

/** Which segments are listed, and what the keys do with the one in hand. */
final class ReviewModel {
    private final LaneSession session;
    private final ObservableList<Integer> listed = FXCollections.observableArrayList();
    private Filter filter = Filter.ALL;
    private int part = -1;
    private String text = "";

    /** Which segments to list. */
    enum Filter {
        ALL,
        OPEN,
        INITIAL,
        TRANSLATED,
        REVIEWED,
        FINAL,
        PREFILLED,
        FINDINGS,
        CHANGED,
        LOCKED,
        PROPOSALS,
        NOTES,
        LIMITED
    }

    ReviewModel(LaneSession session) {
        this.session = session;
    }

    ObservableList<Integer> listed() {
        return listed;
    }

    /** {@code wantedPart} is the index of a part of the document, negative for all. */
    void filter(Filter chosen, int wantedPart, String wanted) {
        filter = chosen;
        part = wantedPart;
        text = wanted.strip().toLowerCase(Locale.ROOT);
        list();
    }

    /** Makes the list anew; the segment in hand stays in hand when it is still listed. */
    void list() {
        List<Integer> found = new ArrayList<>();
        Track track = session.track();
        for (int i = 0; track != null && i < track.size(); i++) {
            if (matches(track, i)) {
                found.add(i);
            }
        }
        if (!found.equals(listed)) {
            listed.setAll(found);
        }
        if (!found.isEmpty() && !found.contains(session.inHandProperty().get())) {
            session.inHandProperty().set(found.get(0));
        }
    }

    private boolean matches(Track track, int index) {
        Segment segment = track.segment(index);
        boolean inFilter =
                switch (filter) {
                    case ALL -> true;
                    case OPEN -> isOpen(track, index);
                    case INITIAL -> isIn(State.INITIAL, track, index);
                    case TRANSLATED -> isIn(State.TRANSLATED, track, index);
                    case REVIEWED -> isIn(State.REVIEWED, track, index);
                    case FINAL -> isIn(State.FINAL, track, index);
                    case PREFILLED -> !segment.locked() && track.target(index).sameAs(segment.source());
                    case FINDINGS -> !session.checking().open(index).isEmpty();
                    case CHANGED -> !track.target(index).equals(segment.target());
                    case LOCKED -> segment.locked();
                    case PROPOSALS -> !segment.proposals().isEmpty();
                    case NOTES -> !segment.notes().isEmpty();
                    case LIMITED -> !segment.limits().isNone();
                };
        boolean inPart = part < 0 || segment.part() == part;
        return inFilter
                && inPart
                && (text.isEmpty() || contains(track.segment(index).source()) || contains(track.target(index)));
    }

    private static boolean isIn(State state, Track track, int index) {
        return !track.segment(index).locked() && track.state(index) == state;
    }

    private boolean contains(Content content) {
        return content.plainText().toLowerCase(Locale.ROOT).contains(text);
    }

    private static boolean isOpen(Track track, int index) {
        return !track.segment(index).locked() && track.state(index).compareTo(State.REVIEWED) < 0;
    }

    /** Marks the segment in hand as reviewed and goes to the next open one. */
    void reviewed() {
        int index = session.inHandProperty().get();
        setState(State.REVIEWED);
        nextOpen(index).ifPresent(session.inHandProperty()::set);
    }

    /** Sets the state of the segment in hand, where there is something that can have one. */
    void setState(State state) {
        int index = session.inHandProperty().get();
        Track track = session.track();
        track.endTyping();
        if (!track.segment(index).locked() && !track.target(index).isEmpty()) {
            session.editing().setState(index, state);
        }
    }

    /** The next open segment of the list, from the top again after the last. */
    private Optional<Integer> nextOpen(int index) {
        int at = Math.max(0, listed.indexOf(index));
        for (int i = 1; i <= listed.size(); i++) {
            int candidate = listed.get((at + i) % listed.size());
            if (candidate != index && isOpen(session.track(), candidate)) {
                return Optional.of(candidate);
            }
        }
        return Optional.empty();
    }

    /** Goes up or down in the list. */
    void move(int by) {
        if (session.track() != null && !listed.isEmpty()) {
            session.track().endTyping();
            int at = Math.max(0, listed.indexOf(session.inHandProperty().get()));
            session.inHandProperty().set(listed.get(Math.max(0, Math.min(listed.size() - 1, at + by))));
        }
    }

    void copySource() {
        int index = session.inHandProperty().get();
        if (!session.track().segment(index).locked()) {
            session.editing().setTarget(index, session.track().segment(index).source(), StepKind.COPIED);
        }
    }

    /** Makes the n-th proposal of the file the target of the segment in hand. */
    void takeProposal(int proposal) {
        int index = session.inHandProperty().get();
        if (!session.track().segment(index).locked()) {
            session.editing().takeProposal(index, proposal);
        }
    }

    void toggleLock() {
        session.editing().toggleLock(session.inHandProperty().get());
    }

    void fixFirst() {
        session.checking().open(session.inHandProperty().get()).stream()
                .filter(finding -> finding.suggestion().isPresent())
                .findFirst()
                .ifPresent(session.editing()::fix);
    }

    /** The first tag of the source that {@code target} does not have yet. */
    Optional<Tag> nextMissingTag(Content target) {
        List<Tag> left = new ArrayList<>(target.tags());
        for (Tag tag :
                session.track().segment(session.inHandProperty().get()).source().tags()) {
            Optional<Tag> counterpart = left.stream().filter(tag::matches).findFirst();
            if (counterpart.isEmpty()) {
                return Optional.of(tag);
            }
            left.remove(counterpart.get());
        }
        return Optional.empty();
    }
}
