package org.swaplane.desktop.review;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntPredicate;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.swaplane.check.Finding;
import org.swaplane.check.Severity;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.SegmentSelection;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.State;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.Repetitions;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;
import org.swaplane.review.FilteredSegments;
import org.swaplane.review.SegmentFilter;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Which segments are listed, and what the keys do with the one in hand. */
final class ReviewModel {
    /** So many segments are listed without anybody noticing. */
    private static final int AT_ONCE = 3000;

    private static final int NEAR = 2;
    private static final int MOST_JUMPS = 50;

    private final LaneSession session;
    private final ObservableList<Integer> listed = FXCollections.observableArrayList();
    private SegmentFilter filter = SegmentFilter.ALL;
    private final Map<Integer, Integer> positions = new HashMap<>();
    private boolean whole;
    private boolean listing;
    private final Set<Integer> chosen = new TreeSet<>();
    private long turns;
    private boolean extending;
    private boolean jumpingBack;
    private final Deque<String> jumps = new ArrayDeque<>();
    private int part = -1;
    private String text = "";
    private boolean chosenByMouse;
    private int spokenAt = -1;
    private List<Span> spoken = List.of();
    private int marked = -1;
    private List<Span> terms = List.of();

    ReviewModel(LaneSession session) {
        this.session = session;
    }

    ObservableList<Integer> listed() {
        return listed;
    }

    /** Where a segment stands in the list; negative where it is not in it. */
    int position(int index) {
        boolean there = index >= 0 && index < listed.size();
        return whole ? (there ? index : -1) : positions.getOrDefault(index, -1);
    }

    /** {@code wantedPart} is the index of a part of the document, negative for all. */
    void filter(SegmentFilter chosen, int wantedPart, String wanted, Runnable then) {
        filter = chosen;
        part = wantedPart;
        text = wanted.strip().toLowerCase(Locale.ROOT);
        list(then);
    }

    SegmentFilter filter() {
        return filter;
    }

    /** Makes the list anew; the segment in hand stays in hand when it is still listed. A large file is listed in the background. */
    void list(Runnable then) {
        TrackSnapshot track = session.snapshot();
        long turn = ++turns;
        if (track == null) {
            show(null, List.of());
            then.run();
            return;
        }
        SegmentFilter wanted = filter.withText(text);
        if (wanted.equals(SegmentFilter.ALL) && isWhole(track)) {
            show(track, IntStream.range(0, track.size()).boxed().toList());
            then.run();
            return;
        }
        Supplier<List<Integer>> finding = finding(track, wanted);
        boolean asksJournal = !wanted.person().isBlank() || !wanted.since().isBlank();
        if (track.size() <= AT_ONCE && !asksJournal) {
            try {
                show(track, finding.get());
            } catch (CannotProceedException e) {
                session.failed(e);
            }
            then.run();
            return;
        }
        session.background()
                .read(
                        Strings.text("task.filter"),
                        progress -> finding.get(),
                        found -> {
                            if (turn == turns && session.track() == track.track()) {
                                show(session.snapshot(), found);
                                then.run();
                            }
                        },
                        session::failed);
    }

    private boolean isWhole(TrackSnapshot track) {
        SegmentSelection only = session.selectionProperty().get();
        return part < 0 && (only == null || only.track() != track.track());
    }

    /** What lists the segments on whatever thread; all that belongs to this one is asked for before. */
    private Supplier<List<Integer>> finding(TrackSnapshot track, SegmentFilter wanted) {
        Map<Integer, Set<String>> checks = new HashMap<>();
        session.checking().open().forEach(finding -> checks.computeIfAbsent(finding.segment(), any -> new HashSet<>())
                .add(finding.check()));
        SegmentSelection only = session.selectionProperty().get();
        int inPart = part;
        FilteredSegments segments =
                new FilteredSegments(track, session.annotations().known(checks));
        return () -> segments.of(wanted, Progress.NONE).stream()
                .filter(index -> inPart < 0 || track.segment(index).part() == inPart)
                .filter(index -> only == null
                        || only.track() != track.track()
                        || only.keys().contains(track.segment(index).key()))
                .toList();
    }

    /** Whether segments are being listed just now: what is typed meanwhile belongs to the filter. */
    boolean isListing() {
        return listing;
    }

    private void show(TrackSnapshot track, List<Integer> found) {
        listing = true;
        list(track, found);
        listing = false;
    }

    private void list(TrackSnapshot track, List<Integer> found) {
        session.setListed(track == null || found.size() == track.size() ? Optional.empty() : Optional.of(found));
        chosen.clear();
        whole = track != null && found.size() == track.size() && filter.order() == SegmentFilter.Order.DOCUMENT;
        if (!found.equals(listed)) {
            positions.clear();
            for (int i = 0; i < found.size() && !whole; i++) {
                positions.put(found.get(i), i);
            }
            listed.setAll(found);
        }
        if (!found.isEmpty() && position(session.currentProperty().get()) < 0) {
            session.currentProperty().set(found.get(0));
        }
    }

    /** Several segments that the next command is about; empty for the one in hand only. */
    Set<Integer> chosen() {
        return chosen;
    }

    /** What the next command is about. */
    private Collection<Integer> meant() {
        return chosen.isEmpty() ? List.of(session.currentProperty().get()) : List.copyOf(chosen);
    }

    /** Takes a segment to those that are chosen, or from them. */
    void toggleChosen(int index) {
        if (chosen.isEmpty()) {
            chosen.add(session.currentProperty().get());
        }
        if (!chosen.remove(index)) {
            chosen.add(index);
        }
    }

    /** Chooses all from the one in hand to another one, in the order of the list. */
    void chooseTo(int index) {
        int here = position(session.currentProperty().get());
        int there = position(index);
        if (here >= 0 && there >= 0) {
            chosen.clear();
            chosen.addAll(listed.subList(Math.min(here, there), Math.max(here, there) + 1));
        }
    }

    /** Goes up or down and takes the segments on the way to those that are chosen. */
    void extend(int by) {
        Set<Integer> before = new TreeSet<>(chosen);
        before.add(session.currentProperty().get());
        extending = true;
        move(by);
        extending = false;
        chosen.addAll(before);
        chosen.add(session.currentProperty().get());
    }

    void chooseAll() {
        chosen.addAll(listed);
    }

    /** Somebody went to another segment by itself. */
    void forgetChosen() {
        if (!extending) {
            chosen.clear();
        }
    }

    /** Marks the current segment as reviewed and goes to the next open one; errors in it are said, and may forbid it. */
    void reviewed() {
        if (!chosen.isEmpty()) {
            setState(State.REVIEWED);
            return;
        }
        int index = session.currentProperty().get();
        if (session.snapshot().isUntranslated(index)) {
            session.notify(Notification.Tone.FAILED, Strings.text("review.no-target", index + 1));
            return;
        }
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
        if (Boolean.parseBoolean(session.lane().settings().detail(LaneDetail.REPETITIONS_FOLLOW))) {
            session.editing().propagate(index, false, count -> {});
        }
        nextOpen(index).ifPresent(session.currentProperty()::set);
    }

    /** Sets the state of the segments that are meant, where there is something that can have one. */
    void setState(State state) {
        TrackSnapshot track = session.snapshot();
        Map<Integer, Value> edits = new HashMap<>();
        int kept = 0;
        int untranslated = 0;
        boolean forbidden = state.compareTo(State.REVIEWED) >= 0
                && !session.lane().settings().allowsReviewedErrors();
        for (int index : meant()) {
            boolean faulty = forbidden
                    && session.checking().open(index).stream()
                            .anyMatch(finding -> finding.severity() == Severity.ERROR);
            if (faulty) {
                kept++;
            } else if (track.isUntranslated(index)) {
                untranslated++;
            } else if (!track.value(index).locked() && !track.target(index).isEmpty()) {
                edits.put(index, new Value(track.target(index), state));
            }
        }
        session.editing().apply(StepKind.STATE_SET, edits);
        if (kept > 0) {
            session.notify(Notification.Tone.FAILED, Strings.text("review.kept-with-errors", kept));
        } else if (untranslated > 0) {
            session.notify(Notification.Tone.FAILED, Strings.text("review.kept-untranslated", untranslated));
        }
    }

    /** Empties the targets of the segments that are meant. */
    void clearTargets() {
        Map<Integer, Value> edits = new HashMap<>();
        meant().stream()
                .filter(index -> !session.snapshot().value(index).locked())
                .forEach(index -> edits.put(index, Value.written(Content.EMPTY)));
        session.editing().apply(StepKind.CLEARED, edits);
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

    /** Goes to the next listed segment of a kind, from the top again after the last; says so where there is none. */
    void goToNext(IntPredicate kind, String none) {
        int at = Math.max(0, position(session.currentProperty().get()));
        for (int i = 1; i <= listed.size(); i++) {
            int candidate = listed.get((at + i) % listed.size());
            if (candidate != session.currentProperty().get() && kind.test(candidate)) {
                session.currentProperty().set(candidate);
                return;
            }
        }
        session.notify(Notification.Tone.DONE, Strings.text(none));
    }

    void nextOpen() {
        goToNext(session.snapshot()::isOpen, "review.no-next-open");
    }

    void nextEmpty() {
        goToNext(index -> session.snapshot().target(index).isEmpty(), "review.no-next-empty");
    }

    void nextFinding() {
        goToNext(index -> !session.checking().open(index).isEmpty(), "review.no-next-finding");
    }

    void nextNote() {
        TrackSnapshot track = session.snapshot();
        goToNext(
                index -> !track.segment(index).notes().isEmpty()
                        || !session.annotations().of(track.segment(index).key()).isEmpty(),
                "review.no-next-note");
    }

    void nextRepetition() {
        TrackSnapshot track = session.snapshot();
        int here = session.currentProperty().get();
        session.background()
                .read(
                        Strings.text("task.repetitions"),
                        progress -> Set.copyOf(Repetitions.of(track, here)),
                        same -> {
                            if (session.track() == track.track()) {
                                goToNext(same::contains, "review.no-next-repetition");
                            }
                        },
                        session::failed);
    }

    /** The source's tags with a number that the target does not have yet. */
    List<Tag> missingTags(Content target, int number) {
        Content source =
                session.snapshot().segment(session.currentProperty().get()).source();
        List<Integer> numbers = TagNumbers.of(source).in(source);
        List<Tag> tags = source.tags();
        List<Tag> missing = missingTags(target);
        return IntStream.range(0, tags.size())
                .filter(i -> numbers.get(i) == number)
                .mapToObj(tags::get)
                .filter(missing::contains)
                .toList();
    }

    /** Back to where somebody was before a jump. */
    void jumpBack() {
        TrackSnapshot track = session.snapshot();
        while (!jumps.isEmpty()) {
            OptionalInt index = track.index(jumps.pop());
            if (index.isPresent()
                    && index.getAsInt() != session.currentProperty().get()) {
                jumpingBack = true;
                session.currentProperty().set(index.getAsInt());
                jumpingBack = false;
                return;
            }
        }
    }

    /** Somebody came from a segment; going on by one or two is no jump. */
    void cameFrom(int before, int now) {
        TrackSnapshot track = session.snapshot();
        if (!jumpingBack && Math.abs(now - before) > NEAR && before >= 0 && before < track.size()) {
            jumps.push(track.segment(before).key());
            if (jumps.size() > MOST_JUMPS) {
                jumps.removeLast();
            }
        }
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

    /** The word of a source that is being read aloud. */
    void markSpoken(int index, List<Span> words) {
        spokenAt = index;
        spoken = List.copyOf(words);
    }

    List<Span> spoken(int index) {
        return index == spokenAt ? spoken : List.of();
    }

    /** Goes up or down in the list. */
    void move(int by) {
        if (session.hasSegments() && !listed.isEmpty()) {
            int at = Math.max(0, position(session.currentProperty().get()));
            session.currentProperty().set(listed.get(Math.max(0, Math.min(listed.size() - 1, at + by))));
        }
    }

    void copySource() {
        TrackSnapshot track = session.snapshot();
        Map<Integer, Value> edits = new HashMap<>();
        meant().stream()
                .filter(index -> !track.value(index).locked())
                .forEach(index ->
                        edits.put(index, Value.written(track.segment(index).source())));
        session.editing().apply(StepKind.COPIED, edits);
    }

    /** Makes the n-th proposal of the file the target of the segment in hand. */
    void takeProposal(int proposal) {
        int index = session.currentProperty().get();
        if (!session.snapshot().segment(index).locked()) {
            session.editing().takeProposal(index, proposal);
        }
    }

    void toggleLock() {
        session.editing().toggleLocks(meant());
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
