package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.swaplane.check.Finding;
import org.swaplane.check.Severity;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.SegmentSelection;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.TrackSnapshot;

/** Which segments are listed, and what the keys do with the one in hand. */
final class ReviewModel {
    private final LaneSession session;
    private final ObservableList<Integer> listed = FXCollections.observableArrayList();
    private Filter filter = Filter.ALL;
    private int part = -1;
    private String text = "";
    private boolean chosenByMouse;
    private int marked = -1;
    private List<Span> terms = List.of();

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
        DRAFTS,
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

    /** Where a segment stands in the list, which is in the order of the file; negative where it is not in it. */
    int position(int index) {
        return Collections.binarySearch(listed, index);
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
        TrackSnapshot track = session.snapshot();
        for (int i = 0; track != null && i < track.size(); i++) {
            if (matches(track, i)) {
                found.add(i);
            }
        }
        session.setListed(
                track == null || found.size() == track.size() ? Optional.empty() : Optional.of(List.copyOf(found)));
        if (!found.equals(listed)) {
            listed.setAll(found);
        }
        if (!found.isEmpty()
                && Collections.binarySearch(found, session.currentProperty().get()) < 0) {
            session.currentProperty().set(found.get(0));
        }
    }

    private boolean matches(TrackSnapshot track, int index) {
        Segment segment = track.segment(index);
        boolean inFilter =
                switch (filter) {
                    case ALL -> true;
                    case OPEN -> track.isOpen(index);
                    case INITIAL -> isIn(State.INITIAL, track, index);
                    case TRANSLATED -> isIn(State.TRANSLATED, track, index);
                    case REVIEWED -> isIn(State.REVIEWED, track, index);
                    case FINAL -> isIn(State.FINAL, track, index);
                    case PREFILLED -> !segment.locked() && track.target(index).sameAs(segment.source());
                    case FINDINGS -> !session.checking().open(index).isEmpty();
                    case CHANGED -> !track.target(index).equals(segment.target());
                    case LOCKED -> segment.locked();
                    case DRAFTS -> track.value(index).isDraft();
                    case PROPOSALS -> !segment.proposals().isEmpty();
                    case NOTES -> !segment.notes().isEmpty();
                    case LIMITED -> !segment.limits().isNone();
                };
        boolean inPart = part < 0 || segment.part() == part;
        return isSelected(track, segment)
                && inFilter
                && inPart
                && (text.isEmpty() || contains(track.segment(index).source()) || contains(track.target(index)));
    }

    /** Whether it is among those that a figure elsewhere led to. */
    private boolean isSelected(TrackSnapshot track, Segment segment) {
        SegmentSelection selection = session.selectionProperty().get();
        return selection == null
                || selection.track() != track.track()
                || selection.keys().contains(segment.key());
    }

    private static boolean isIn(State state, TrackSnapshot track, int index) {
        return !track.segment(index).locked() && track.state(index) == state;
    }

    private boolean contains(Content content) {
        return content.plainText().toLowerCase(Locale.ROOT).contains(text);
    }

    /** Marks the current segment as reviewed and goes to the next open one; errors in it are said, and may forbid it. */
    void reviewed() {
        int index = session.currentProperty().get();
        List<Finding> errors = session.checking().open(index).stream()
                .filter(finding -> finding.severity() == Severity.ERROR)
                .toList();
        if (!errors.isEmpty()) {
            boolean allowed = session.lane().settings().allowsReviewedErrors();
            session.notify(
                    Notification.Tone.FAILED,
                    Strings.text(
                            allowed ? "review.with-errors" : "review.errors-forbidden",
                            index + 1,
                            errors.size(),
                            errors.get(0).message()));
            if (!allowed) {
                return;
            }
        }
        setState(State.REVIEWED);
        nextOpen(index).ifPresent(session.currentProperty()::set);
    }

    /** Sets the state of the segment in hand, where there is something that can have one. */
    void setState(State state) {
        int index = session.currentProperty().get();
        TrackSnapshot track = session.snapshot();
        if (!track.segment(index).locked() && !track.target(index).isEmpty()) {
            session.editing().setState(index, state);
        }
    }

    /** The next open segment of the list, from the top again after the last. */
    private Optional<Integer> nextOpen(int index) {
        int at = Math.max(0, position(index));
        for (int i = 1; i <= listed.size(); i++) {
            int candidate = listed.get((at + i) % listed.size());
            if (candidate != index && session.snapshot().isOpen(candidate)) {
                return Optional.of(candidate);
            }
        }
        return Optional.empty();
    }

    /** The mouse chose a segment, which stays where it is on the screen. */
    void choose(int index) {
        chosenByMouse = true;
        session.currentProperty().set(index);
        chosenByMouse = false;
    }

    boolean isChosenByMouse() {
        return chosenByMouse;
    }

    /** What is searched for, in lower case; empty for nothing. */
    String searched() {
        return text;
    }

    /** Where in a text stands what is searched for. */
    List<Span> hits(Content content) {
        if (text.isEmpty()) {
            return List.of();
        }
        List<Span> hits = new ArrayList<>();
        String within = content.plainText().toLowerCase(Locale.ROOT);
        for (int at = within.indexOf(text); at >= 0; at = within.indexOf(text, at + text.length())) {
            hits.add(new Span(at, at + text.length()));
        }
        return hits;
    }

    /** Where terms stand in the source of a segment; those of another one are not marked any more. */
    void markTerms(int index, List<Span> spans) {
        marked = index;
        terms = List.copyOf(spans);
    }

    List<Span> terms(int index) {
        return index == marked && index == session.currentProperty().get() ? terms : List.of();
    }

    /** Goes up or down in the list. */
    void move(int by) {
        if (session.hasSegments() && !listed.isEmpty()) {
            int at = Math.max(0, position(session.currentProperty().get()));
            session.currentProperty().set(listed.get(Math.max(0, Math.min(listed.size() - 1, at + by))));
        }
    }

    void copySource() {
        int index = session.currentProperty().get();
        if (!session.snapshot().segment(index).locked()) {
            session.editing().setTarget(index, session.snapshot().segment(index).source(), StepKind.COPIED);
        }
    }

    /** Makes the n-th proposal of the file the target of the segment in hand. */
    void takeProposal(int proposal) {
        int index = session.currentProperty().get();
        if (!session.snapshot().segment(index).locked()) {
            session.editing().takeProposal(index, proposal);
        }
    }

    void toggleLock() {
        session.editing().toggleLock(session.currentProperty().get());
    }

    void fixFirst() {
        session.checking().open(session.currentProperty().get()).stream()
                .filter(finding -> finding.suggestion().isPresent())
                .findFirst()
                .ifPresent(session.editing()::fix);
    }

    /** The tags of the source that {@code target} does not have yet, in their order. */
    List<Tag> missingTags(Content target) {
        List<Tag> left = new ArrayList<>(target.tags());
        List<Tag> missing = new ArrayList<>();
        for (Tag tag : session.snapshot()
                .segment(session.currentProperty().get())
                .source()
                .tags()) {
            Optional<Tag> counterpart = left.stream().filter(tag::matches).findFirst();
            counterpart.ifPresentOrElse(left::remove, () -> missing.add(tag));
        }
        return missing;
    }
}
