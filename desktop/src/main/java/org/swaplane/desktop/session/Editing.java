package org.swaplane.desktop.session;

import java.time.Duration;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.function.IntConsumer;
import org.swaplane.check.Finding;
import org.swaplane.content.Content;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.State;
import org.swaplane.effort.Visit;
import org.swaplane.effort.VisitClock;
import org.swaplane.lane.Conflict;
import org.swaplane.lane.EditOutcome;
import org.swaplane.lane.EditRequest;
import org.swaplane.lane.LaneUnavailableException;
import org.swaplane.lane.Proposals;
import org.swaplane.lane.Repetitions;
import org.swaplane.lane.Resegmentation;
import org.swaplane.lane.SourceCopies;
import org.swaplane.lane.Step;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;
import org.swaplane.task.CannotProceedException;

/**
 * What people do with the segments of the chosen track. All of it shows at once and is written by the lane's writer; until then it
 * waits in an {@link Outbox}. Lives on the window's thread.
 */
public final class Editing {
    static final Duration RETRY = Duration.ofSeconds(2);

    private final LaneSession session;
    private final Executor window;
    private final Outbox outbox;
    private final Map<String, Conflict> conflicts = new HashMap<>();
    private final VisitClock visits;
    private String visited = "";

    Editing(LaneSession session, Executor window) {
        this.session = session;
        this.window = window;
        this.outbox = new Outbox(window, new Writing());
        this.visits = session.workTime().atSegments();
    }

    /** Shows what becomes of what was done. */
    private final class Writing implements Outbox.Listener {
        @Override
        public void changed() {
            session.showSnapshot();
            session.changed(Topic.SEGMENTS);
        }

        @Override
        public void failed(Throwable failure) {
            if (failure instanceof LaneUnavailableException) {
                session.notify(Notification.Tone.FAILED, Strings.text("editing.not-saved", failure.getMessage()));
                CompletableFuture.delayedExecutor(RETRY.toMillis(), TimeUnit.MILLISECONDS)
                        .execute(() -> window.execute(outbox::tryAgain));
            } else {
                session.failed(failure);
                outbox.giveUp();
            }
        }

        @Override
        public void recovered() {
            session.notify(Notification.Tone.DONE, Strings.text("editing.saved-again"));
        }
    }

    /** A snapshot with everything over it that is not written yet. */
    TrackSnapshot over(TrackSnapshot snapshot) {
        return outbox.over(snapshot);
    }

    /** Whether everything is on disk. */
    public boolean isSaved() {
        return outbox.isEmpty();
    }

    /** Whether something cannot be written now. */
    public boolean isFailing() {
        return outbox.isFailing();
    }

    /** Done, on the window's thread, as soon as nothing is being written any more: all is, or something cannot be written now. */
    public CompletableFuture<Void> settled() {
        return outbox.settled();
    }

    /** How many texts were typed and not written, since the segments were changed meanwhile, and still wait for a decision. */
    public int undecided() {
        return conflicts.size();
    }

    /** Gives up what cannot be written, as the person decided. */
    public void abandon() {
        outbox.abandon();
    }

    /** Waits until all is written or cannot be; for a thread that stands for a window that is gone. */
    void drain() {
        outbox.drain();
    }

    private TrackSnapshot now() {
        return session.snapshot();
    }

    String person() {
        return session.lane().settings().person();
    }

    /** Whether anything can be changed here at all. */
    public boolean isAllowed() {
        return session.hasSegments()
                && !session.lane().isReadOnly()
                && !session.track().isHandedOver();
    }

    /** Somebody is at the current segment now. */
    void entered() {
        left();
        if (isAllowed()
                && session.viewProperty().get().equals(ViewId.REVIEW)
                && session.currentProperty().get() < now().size()) {
            visited = now().segment(session.currentProperty().get()).key();
            visits.enter();
        }
    }

    /** Nobody is at the segment any more; what is typed next is a step of its own. */
    public void left() {
        Track of = session.track();
        String key = visited;
        visited = "";
        visits.leave().stream()
                .filter(visit -> of != null && !key.isEmpty() && visit.active().compareTo(Duration.ZERO) > 0)
                .forEach(visit ->
                        outbox.then(() -> session.lane().writer().visited(of, key, person(), visit), done -> {}));
    }

    /** What comes next is a step of its own, at the same segment. */
    public void endStep() {
        entered();
    }

    private Visit visit() {
        visits.alive();
        if (visits.current().isEmpty()) {
            entered();
        }
        return visits.current().orElseGet(() -> {
            visits.enter();
            return visits.current().orElseThrow();
        });
    }

    /** What is being typed into the current segment. */
    public void type(int index, Content target) {
        if (session.lane().isReadOnly()) {
            session.notify(Notification.Tone.FAILED, Strings.text("lane.read-only"));
            session.changed(Topic.SEGMENTS);
            return;
        }
        conflicts.remove(now().segment(index).key());
        EditRequest request = EditRequest.of(now(), StepKind.TYPED, person(), Map.of(index, Value.written(target)));
        put(request.during(visit()));
    }

    public void setTarget(int index, Content target, StepKind kind) {
        setTarget(index, Value.written(target), kind);
    }

    void setTarget(int index, Value value, StepKind kind) {
        edit(kind, Map.of(index, value));
    }

    public void setState(int index, State state) {
        edit(StepKind.STATE_SET, Map.of(index, new Value(now().target(index), state)));
    }

    /** Makes the n-th proposal of the file the target, with the tags that the source has. */
    public void takeProposal(int index, int proposal) {
        Proposals.target(now().segment(index), proposal)
                .ifPresent(target -> setTarget(index, target, StepKind.PROPOSED));
    }

    /** What one command does to several segments, as one step. */
    public void apply(StepKind kind, Map<Integer, Value> edits) {
        edit(kind, edits);
    }

    /** Locks the units of segments, or unlocks them where the first of these is locked. */
    public void toggleLocks(Collection<Integer> indices) {
        if (indices.isEmpty()) {
            return;
        }
        try {
            boolean locked = now().value(indices.iterator().next()).locked();
            edit(locked ? StepKind.UNLOCKED : StepKind.LOCKED, now().locks(indices, !locked));
        } catch (CannotProceedException e) {
            session.failed(e);
        }
    }

    /** Empties targets that are only copies of their source; returns how many, or nothing where it is refused, which is said. */
    public OptionalInt clearPrefilled(boolean reviewedToo) {
        Map<Integer, Value> edits = SourceCopies.cleared(now(), reviewedToo);
        return edit(StepKind.CLEARED, edits) ? OptionalInt.of(edits.size()) : OptionalInt.empty();
    }

    /** Gives the target of a segment to all open segments with the same source, and says how many there were. */
    public void propagate(int index, boolean onlyEmpty, IntConsumer done) {
        TrackSnapshot from = now();
        session.background()
                .read(
                        Strings.text("task.repetitions"),
                        progress -> Repetitions.propagated(from, index, onlyEmpty),
                        edits -> {
                            if (edit(StepKind.PROPAGATED, from, edits)) {
                                done.accept(edits.size());
                            }
                        },
                        session::failed);
    }

    public void fix(Finding finding) {
        finding.suggestion().ifPresent(fixed -> setTarget(finding.segment(), fixed, StepKind.FIXED));
    }

    /** Several targets as one step. */
    void setTargets(Map<Integer, Content> targets, StepKind kind) {
        Map<Integer, Value> edits = new TreeMap<>();
        targets.forEach((index, target) -> edits.put(index, Value.written(target)));
        edit(kind, edits);
    }

    private boolean edit(StepKind kind, Map<Integer, Value> edits) {
        return edit(kind, now(), edits);
    }

    /**
     * Puts edits into the outbox, unless they are refused, which is said.
     *
     * @param base what the edits were made on
     */
    private boolean edit(StepKind kind, TrackSnapshot base, Map<Integer, Value> edits) {
        if (session.lane().isReadOnly()) {
            session.notify(Notification.Tone.FAILED, Strings.text("lane.read-only"));
            return false;
        }
        if (session.track().isHandedOver()) {
            session.notify(Notification.Tone.FAILED, Strings.text("editing.handed-over"));
            return false;
        }
        Collection<Integer> locked = edits.keySet().stream()
                .filter(index -> base.value(index).locked() && edits.get(index).locked())
                .toList();
        if (!locked.isEmpty() && kind != StepKind.LOCKED && kind != StepKind.UNLOCKED) {
            session.notify(Notification.Tone.FAILED, Strings.text("editing.locked", locked.size()));
            return false;
        }
        put(EditRequest.of(base, kind, person(), edits));
        endStep();
        return true;
    }

    private void put(EditRequest request) {
        outbox.edit(request, session.lane().writer()::edit, this::written);
    }

    private void written(EditOutcome outcome) {
        if (outcome.conflicts().isEmpty()) {
            return;
        }
        outcome.conflicts().forEach(conflict -> conflicts.put(conflict.wanted().key(), conflict));
        session.notify(
                Notification.Tone.FAILED,
                Strings.text("editing.conflicts", outcome.conflicts().size()));
    }

    /** What was done to a segment and not written, since somebody else changed it meanwhile. */
    public Optional<Conflict> conflict(int index) {
        return Optional.ofNullable(conflicts.get(now().segment(index).key()));
    }

    /** Makes what was not written the target all the same. */
    public void putBack(int index) {
        conflict(index).ifPresent(conflict -> {
            dismissConflict(index);
            setTarget(index, conflict.wanted().after().target(), StepKind.TYPED);
        });
    }

    /** Leaves the segment as it is. */
    public void dismissConflict(int index) {
        conflicts.remove(now().segment(index).key());
        session.changed(Topic.SEGMENTS);
    }

    /** Takes back the newest step and shows where it was. */
    public void undo() {
        moved(true);
    }

    public void redo() {
        moved(false);
    }

    private void moved(boolean back) {
        Track of = session.track();
        if (of == null || session.lane().isReadOnly()) {
            return;
        }
        endStep();
        outbox.then(
                () -> back
                        ? session.lane().writer().undo(of)
                        : session.lane().writer().redo(of),
                (Optional<Step> step) -> step.ifPresent(done -> show(of, done)));
    }

    private void show(Track of, Step step) {
        if (session.track() == of && now() != null) {
            step.positions(now()).stream().findFirst().ifPresent(session.currentProperty()::set);
        }
    }

    /** Joins a segment of a document with the next one of its paragraph. */
    public void join(int index) {
        cut((of, progress) -> new Resegmentation(session.lane()).join(of, index, progress));
    }

    /** Splits a segment of a document at this offset of its source's plain text. */
    public void split(int index, int offset) {
        cut((of, progress) -> new Resegmentation(session.lane()).split(of, index, offset, progress));
    }

    /** Cuts a track otherwise. */
    private interface Cut {
        TrackSnapshot cut(TrackSnapshot of, org.swaplane.task.Progress progress) throws java.io.IOException;
    }

    /** What was typed before is written before. */
    private void cut(Cut cut) {
        TrackSnapshot of = now();
        endStep();
        outbox.then(() -> CompletableFuture.completedFuture(of), ready -> session.background()
                .run(Strings.text("task.recut", of.name()), progress -> cut.cut(of, progress), done -> {}));
    }
}
