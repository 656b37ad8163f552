package org.swaplane.lane;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Text;
import org.swaplane.content.UnspacedScript;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.DocumentOptions;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/**
 * Joins and splits segments of a document, where sentence rules were wrong. A bilingual file keeps the segments that it came with. Each is one
 * step, which can be undone.
 */
public final class Resegmentation {
    private final Lane lane;

    public Resegmentation(Lane lane) {
        this.lane = lane;
    }

    /** What segments of a unit hold after they were cut otherwise, made of what they hold when their turn comes. */
    private interface Outcome {
        /** Of the segments that were, in order. */
        List<Value> of(List<Value> before);
    }

    /**
     * Joins a segment with the next one of its unit; the target is both of theirs.
     *
     * @throws CannotProceedException when there is none, or a copy of the track is away
     */
    public TrackSnapshot join(TrackSnapshot track, int segment, Progress progress) throws IOException {
        DocumentFile file = cuttable(track);
        Segment here = track.segment(segment);
        if (segment + 1 >= track.size() || !track.sameUnit(segment, segment + 1)) {
            throw new CannotProceedException(track.name(), "problem.last-of-paragraph", here.key());
        }
        List<Integer> starts = new ArrayList<>(file.starts(segment));
        starts.remove(numberInUnit(track, segment) + 1);
        return cut(track, segment, 2, starts, before -> List.of(joined(before.get(0), before.get(1))), progress);
    }

    /** A target that now stands for less than it was written for. */
    private static Value unreviewed(Value value) {
        State state = value.state().compareTo(State.TRANSLATED) > 0 ? State.TRANSLATED : value.state();
        return new Value(value.target(), state).from(value.origin());
    }

    private static Value joined(Value first, Value second) {
        Content target = joined(first.target(), second.target());
        State state = first.state().compareTo(second.state()) < 0 ? first.state() : second.state();
        Origin origin = first.target().isEmpty() ? second.origin() : first.origin();
        return new Value(target, target.isEmpty() ? State.INITIAL : state).from(origin);
    }

    private static Content joined(Content first, Content second) {
        if (first.isEmpty() || second.isEmpty()) {
            return first.isEmpty() ? second : first;
        }
        List<Run> runs = new ArrayList<>(first.runs());
        if (UnspacedScript.needsSpaceBetween(first.plainText(), second.plainText())) {
            runs.add(new Text(" "));
        }
        runs.addAll(second.runs());
        return new Content(runs);
    }

    /**
     * Splits a segment; its target stays with the first part.
     *
     * @param offset in UTF-16 units of the source's plain text
     * @throws CannotProceedException when there would be no text on a side, or a copy of the track is away
     */
    public TrackSnapshot split(TrackSnapshot track, int segment, int offset, Progress progress) throws IOException {
        DocumentFile file = cuttable(track);
        String text = track.segment(segment).source().plainText();
        if (offset <= 0
                || offset >= text.length()
                || text.substring(0, offset).isBlank()
                || text.substring(offset).isBlank()) {
            throw new CannotProceedException(track.name(), "problem.split-without-text");
        }
        int number = numberInUnit(track, segment);
        List<Integer> starts = new ArrayList<>(file.starts(segment));
        starts.add(number + 1, starts.get(number) + offset);
        return cut(
                track,
                segment,
                1,
                starts,
                before -> List.of(unreviewed(before.get(0)), Value.written(Content.EMPTY)),
                progress);
    }

    private DocumentFile cuttable(TrackSnapshot track) {
        refuseAway(track.track());
        return track.documentFile()
                .orElseThrow(() -> new CannotProceedException(track.name(), "problem.segmentation-kept"));
    }

    private void refuseAway(Track track) {
        if (lane.trips().isAway(track)) {
            throw new CannotProceedException(track.name(), "problem.copy-away");
        }
    }

    private static int numberInUnit(TrackSnapshot track, int segment) {
        return segment - track.unitOf(segment).get(0);
    }

    /** Reads the file cut so, and makes that the track's when its turn comes; what was typed meanwhile is taken along. */
    private TrackSnapshot cut(
            TrackSnapshot made, int first, int count, List<Integer> starts, Outcome outcome, Progress progress)
            throws IOException {
        Track track = made.track();
        String before = made.read().reading().options();
        DocumentOptions options = DocumentOptions.ofJson(track.name(), before)
                .withCut(made.segment(first).unit(), starts.subList(1, starts.size()));
        ReadDocument read = lane.trackStore().readBy(track, options, progress);
        progress.checkCancelled();
        List<String> keys =
                IntStream.range(first, first + count).mapToObj(made::keyAt).toList();
        return LaneWriter.await(lane.writer()
                .submit(
                        transaction -> {
                            track.refuseHandedOver();
                            refuseAway(track);
                            if (!track.reading().options().equals(before)) {
                                throw new CannotProceedException(track.name(), "problem.resegmented-meanwhile");
                            }
                            TrackSnapshot now = transaction.now(track);
                            List<Value> values = keys.stream()
                                    .map(key -> now.value(now.index(key).orElseThrow()))
                                    .toList();
                            List<Change> changes = changes(keys, values, read, first, outcome.of(values));
                            lane.trackStore().keepOptions(track, options.toJson(), transaction);
                            lane.writer().writer(track).endStep(transaction);
                            track.journal()
                                    .append(
                                            track.version().number(),
                                            StepKind.RESEGMENTED,
                                            lane.settings().person(),
                                            "",
                                            Optional.empty(),
                                            changes,
                                            Optional.of(new Journal.Reading(
                                                    before,
                                                    options.toJson(),
                                                    track.version().number(),
                                                    track.version().number())));
                            TrackSnapshot again = TrackSnapshot.of(
                                    track,
                                    read,
                                    track.journal().replay(track.version().number()));
                            track.keepCounts(again.counts());
                            transaction.set(again);
                            transaction.tell(listener -> listener.reread(again));
                            return again;
                        },
                        track));
    }

    /** What the step says of the segments that are there now, and of those that are no more. */
    private static List<Change> changes(
            List<String> keys, List<Value> before, ReadDocument read, int first, List<Value> after) {
        Value nothing = Value.written(Content.EMPTY);
        List<String> keysNow = IntStream.range(first, first + after.size())
                .mapToObj(index -> read.segments().get(index).key())
                .toList();
        List<Change> changes = new ArrayList<>();
        for (int i = 0; i < after.size(); i++) {
            int at = keys.indexOf(keysNow.get(i));
            changes.add(
                    new Change(keysNow.get(i), at < 0 ? nothing : before.get(at), after.get(i), read.words(first + i)));
        }
        for (int i = 0; i < keys.size(); i++) {
            if (!keysNow.contains(keys.get(i))) {
                changes.add(new Change(keys.get(i), before.get(i), nothing));
            }
        }
        return changes;
    }
}
