package org.swaplane.lane;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.swaplane.effort.Visit;
import org.swaplane.task.CannotProceedException;

/** Edits one track within the transactions of the {@link LaneWriter}, on its thread. */
final class TrackWriter {
    /** So many steps back, one that can be undone is looked for; those of segments that are no more are passed over. */
    private static final int MOST_PASSED_OVER = 200;

    private final Track track;

    /** The visit that the newest step belongs to, while it can go on. */
    private Optional<OpenVisit> open = Optional.empty();

    /**
     * A visit that was written.
     *
     * @param key of its segment
     * @param id in the journal; empty where no time is recorded
     * @param step what was typed during it; empty as long as it is nothing, and when something else was done since
     */
    private record OpenVisit(long number, String key, Optional<Long> id, Optional<Step> step) {
        /** Whether it goes on: nobody is at two segments in one visit, whatever its number says. */
        boolean isOf(Visit visit, String at) {
            return number == visit.number() && key.equals(at);
        }
    }

    TrackWriter(Track track) {
        this.track = track;
    }

    EditOutcome edit(EditRequest request, LaneTransaction transaction) {
        track.refuseHandedOver();
        TrackSnapshot now = transaction.now(track);
        Map<Integer, Value> edits = new LinkedHashMap<>();
        List<Change> changes = new ArrayList<>();
        List<Conflict> conflicts = new ArrayList<>();
        for (EditRequest.Wanted wanted : request.wanted()) {
            OptionalInt index = now.index(wanted.key());
            if (index.isEmpty() || !now.segment(index.getAsInt()).source().equals(wanted.source())) {
                conflicts.add(new Conflict(wanted, Optional.empty()));
                continue;
            }
            Value there = now.value(index.getAsInt());
            if (there.equals(wanted.after())) {
                continue;
            }
            refuseLocked(request, wanted);
            if (!there.equals(wanted.base())) {
                conflicts.add(new Conflict(wanted, Optional.of(there)));
                continue;
            }
            edits.put(index.getAsInt(), wanted.after());
            changes.add(new Change(wanted.key(), there, wanted.after(), now.words(index.getAsInt())));
        }
        if (changes.isEmpty()) {
            return new EditOutcome(Optional.empty(), now, conflicts);
        }
        Step step = write(request, changes, transaction);
        TrackSnapshot after = now.with(edits);
        publish(after, step, transaction);
        return new EditOutcome(Optional.of(step), after, conflicts);
    }

    private void refuseLocked(EditRequest request, EditRequest.Wanted wanted) {
        if (wanted.base().locked() && !request.concernsLocks()) {
            throw new CannotProceedException(track.name(), "problem.segment-locked", wanted.key());
        }
    }

    private Step write(EditRequest request, List<Change> changes, LaneTransaction transaction) {
        Journal journal = track.journal();
        String key = changes.get(0).key();
        Optional<Long> visit = request.visit()
                .filter(each -> track.isTimeRecorded())
                .map(each -> journal.visited(
                        track.version().number(),
                        known(each, key),
                        key,
                        changes.get(0).words(),
                        Optional.of(changes.get(0).before().target().isEmpty()),
                        request.who(),
                        each));
        Optional<Step> begun = request.visit().flatMap(each -> typed(each, key));
        Step step;
        if (begun.isPresent()) {
            step = journal.amend(begun.get(), changes.get(0).after());
        } else {
            step = journal.append(
                    track.version().number(), request.kind(), request.who(), request.trip(), visit, changes);
        }
        Optional<OpenVisit> now =
                request.visit().map(each -> new OpenVisit(each.number(), key, visit, Optional.of(step)));
        transaction.afterwards(() -> open = now);
        return step;
    }

    private Optional<Long> known(Visit visit, String key) {
        return open.filter(each -> each.isOf(visit, key)).flatMap(OpenVisit::id);
    }

    /** What was typed in this visit, if it is still the newest step. */
    private Optional<Step> typed(Visit visit, String key) {
        return open.filter(each -> each.isOf(visit, key)).flatMap(OpenVisit::step);
    }

    void visited(String key, String who, Visit visit, LaneTransaction transaction) {
        if (!track.isTimeRecorded()) {
            return;
        }
        Optional<TrackSnapshot> now = track.loaded();
        OptionalInt index = now.isEmpty() ? OptionalInt.empty() : now.get().index(key);
        int words = index.isEmpty() ? -1 : now.get().words(index.getAsInt());
        Optional<Boolean> empty = index.isEmpty()
                ? Optional.empty()
                : Optional.of(now.get().target(index.getAsInt()).isEmpty());
        long id = track.journal().visited(track.version().number(), known(visit, key), key, words, empty, who, visit);
        Optional<Step> step = typed(visit, key);
        transaction.afterwards(() -> open = Optional.of(new OpenVisit(visit.number(), key, Optional.of(id), step)));
    }

    /** What comes next is a step of its own. */
    void endStep(LaneTransaction transaction) {
        Optional<OpenVisit> without =
                open.map(each -> new OpenVisit(each.number(), each.key(), each.id(), Optional.empty()));
        transaction.afterwards(() -> open = without);
    }

    private static void publish(TrackSnapshot after, Step step, LaneTransaction transaction) {
        after.track().keepCounts(after.counts());
        transaction.set(after);
        transaction.tell(listener -> listener.stepped(after, step));
    }

    /** Passes over steps all of whose segments are no more. */
    Optional<Step> undo(LaneTransaction transaction) throws Exception {
        track.refuseHandedOver();
        endStep(transaction);
        TrackSnapshot now = transaction.now(track);
        for (Journal.Undoable each : track.journal().newest(MOST_PASSED_OVER)) {
            if (each.reading().isPresent()) {
                track.journal().markUndone(each.step());
                reread(
                        each.reading().get().versionBefore(),
                        each.reading().get().before(),
                        transaction);
                return Optional.of(each.step());
            }
            Map<Integer, Value> edits = new LinkedHashMap<>();
            each.step().changes().forEach(change -> now.index(change.key())
                    .ifPresent(index -> edits.put(index, change.before())));
            if (!edits.isEmpty() && each.step().kind() != StepKind.RESEGMENTED) {
                track.journal().markUndone(each.step());
                publish(now.with(edits), each.step(), transaction);
                return Optional.of(each.step());
            }
        }
        return Optional.empty();
    }

    Optional<Step> redo(LaneTransaction transaction) throws Exception {
        track.refuseHandedOver();
        endStep(transaction);
        TrackSnapshot now = transaction.now(track);
        Optional<Journal.Undoable> undone = track.journal().undoneLast();
        if (undone.isEmpty()) {
            return Optional.empty();
        }
        Step step = undone.get().step();
        track.journal().markRedone(step);
        if (undone.get().reading().isPresent()) {
            reread(
                    undone.get().reading().get().versionAfter(),
                    undone.get().reading().get().after(),
                    transaction);
            return Optional.of(step);
        }
        Map<Integer, Value> edits = new LinkedHashMap<>();
        step.changes().forEach(change -> now.index(change.key()).ifPresent(index -> edits.put(index, change.after())));
        publish(now.with(edits), step, transaction);
        return Optional.of(step);
    }

    /** Reads the track by other options, under which its journal holds other segments. */
    private void reread(int version, String options, LaneTransaction transaction) throws Exception {
        TrackSnapshot again = track.reread(version, options, transaction);
        track.keepCounts(again.counts());
        transaction.set(again);
        transaction.tell(listener -> listener.reread(again));
    }
}
