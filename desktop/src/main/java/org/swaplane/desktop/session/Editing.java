package org.swaplane.desktop.session;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.swaplane.check.Finding;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.lane.Proposals;
import org.swaplane.lane.Recut;
import org.swaplane.lane.Repetitions;
import org.swaplane.lane.SourceCopies;
import org.swaplane.lane.Step;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.Value;
import org.swaplane.task.CannotProceedException;

/** What people do with the segments of the chosen track, each a step of its journal. Lives on the window's thread. */
public final class Editing {
    private final LaneSession session;

    Editing(LaneSession session) {
        this.session = session;
    }

    private Track track() {
        return session.track();
    }

    private String person() {
        return session.lane().person();
    }

    /** What is being typed into the segment in hand. */
    public void type(int index, Content target) {
        State state = target.isEmpty() ? State.INITIAL : State.TRANSLATED;
        track().type(person(), index, new Value(target, state));
        session.checking().again(track(), List.of(index));
        session.changed();
    }

    public void setTarget(int index, Content target, StepKind kind) {
        State state = target.isEmpty() ? State.INITIAL : State.TRANSLATED;
        edit(kind, Map.of(index, new Value(target, state)));
    }

    public void setState(int index, State state) {
        edit(StepKind.STATE_SET, Map.of(index, new Value(track().target(index), state)));
    }

    /** Makes the n-th proposal of the file the target, with the tags that the source has. */
    public void takeProposal(int index, int proposal) {
        Proposals.target(track().segment(index), proposal)
                .ifPresent(target -> setTarget(index, target, StepKind.PROPOSED));
    }

    /** Locks the unit of a segment, or unlocks it. */
    public void toggleLock(int index) {
        try {
            boolean locked = track().segment(index).locked();
            track().endTyping();
            track().lock(person(), List.of(index), !locked).ifPresent(this::done);
        } catch (CannotProceedException e) {
            session.failed(e);
        }
    }

    /** Empties targets that are only copies of their source; returns how many there were. */
    public int clearPrefilled(boolean reviewedToo) {
        Map<Integer, Value> edits = SourceCopies.cleared(track(), reviewedToo);
        edit(StepKind.CLEARED, edits);
        return edits.size();
    }

    /** Gives the target of a segment to all open segments with the same source; returns how many there were. */
    public int propagate(int index) {
        Map<Integer, Value> edits = Repetitions.propagated(track(), index);
        edit(StepKind.PROPAGATED, edits);
        return edits.size();
    }

    public void fix(Finding finding) {
        finding.suggestion().ifPresent(fixed -> setTarget(finding.segment(), fixed, StepKind.FIXED));
    }

    /** Several targets as one step. */
    void setTargets(Map<Integer, Content> targets, StepKind kind) {
        Map<Integer, Value> edits = new TreeMap<>();
        targets.forEach((index, target) ->
                edits.put(index, new Value(target, target.isEmpty() ? State.INITIAL : State.TRANSLATED)));
        edit(kind, edits);
    }

    private void edit(StepKind kind, Map<Integer, Value> edits) {
        try {
            track().edit(kind, person(), "", edits);
            session.checking().again(track(), edits.keySet());
            session.changed();
        } catch (CannotProceedException e) {
            session.failed(e);
        }
    }

    /** Takes back the newest step and shows where it was. */
    public void undo() {
        moved(track().undo());
    }

    public void redo() {
        moved(track().redo());
    }

    private void moved(Optional<Step> step) {
        step.ifPresent(done -> {
            done(done);
            session.inHandProperty().set(done.changes().get(0).segment());
        });
    }

    private void done(Step step) {
        session.checking().again(track(), step.segments());
        session.changed();
    }

    /** Joins a segment of a document with the next one of its paragraph. */
    public void join(int index) {
        Track of = track();
        session.recut(index, progress -> new Recut(session.lane()).join(of, index, progress));
    }

    /** Splits a segment of a document at this offset of its source's plain text. */
    public void split(int index, int offset) {
        Track of = track();
        session.recut(index, progress -> new Recut(session.lane()).split(of, index, offset, progress));
    }
}
