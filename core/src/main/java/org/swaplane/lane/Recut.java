package org.swaplane.lane;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Text;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.DocumentOptions;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/**
 * Joins and splits segments of a document, where sentence rules were wrong. A bilingual file keeps the segments that it came with. What was
 * done to these segments before stays in the journal, but cannot be undone any more; the tracks are new objects afterwards.
 */
public final class Recut {
    private final Lane lane;

    public Recut(Lane lane) {
        this.lane = lane;
    }

    /**
     * Joins a segment with the next one of its unit; the target is both of theirs.
     *
     * @throws CannotProceedException when there is none, or a copy of the track is away
     */
    public Track join(Track track, int segment, Progress progress) throws IOException {
        DocumentFile file = cuttable(track);
        Segment here = track.segment(segment);
        if (segment + 1 >= track.size() || !track.segment(segment + 1).unit().equals(here.unit())) {
            throw new CannotProceedException(
                    track.name(),
                    "segment " + here.key() + " is the last of its paragraph",
                    "join it with the one before it instead");
        }
        List<Integer> starts = new ArrayList<>(file.starts(segment));
        starts.remove(numberInUnit(track, segment) + 1);
        Value first = track.value(segment);
        Value second = track.value(segment + 1);
        Content target = joined(first.target(), second.target());
        State state = first.state().compareTo(second.state()) < 0 ? first.state() : second.state();
        return recut(
                track,
                segment,
                2,
                starts,
                List.of(new Value(target, target.isEmpty() ? State.INITIAL : state, false)),
                progress);
    }

    /**
     * Splits a segment; its target stays with the first part.
     *
     * @param offset in UTF-16 units of the source's plain text
     * @throws CannotProceedException when there would be no text on a side, or a copy of the track is away
     */
    public Track split(Track track, int segment, int offset, Progress progress) throws IOException {
        DocumentFile file = cuttable(track);
        Segment here = track.segment(segment);
        String text = here.source().plainText();
        if (offset <= 0
                || offset >= text.length()
                || text.substring(0, offset).isBlank()
                || text.substring(offset).isBlank()) {
            throw new CannotProceedException(
                    track.name(), "there is no text on one side of the cut", "put the cursor between two words");
        }
        int number = numberInUnit(track, segment);
        List<Integer> starts = new ArrayList<>(file.starts(segment));
        starts.add(number + 1, starts.get(number) + offset);
        Value whole = track.value(segment);
        State state = whole.target().isEmpty() ? State.INITIAL : State.TRANSLATED;
        List<Value> values =
                List.of(new Value(whole.target(), state, false), new Value(Content.EMPTY, State.INITIAL, false));
        return recut(track, segment, 1, starts, values, progress);
    }

    private DocumentFile cuttable(Track track) {
        if (lane.trips().all().stream()
                .anyMatch(trip -> trip.track() == track.id() && trip.back().isEmpty())) {
            throw new CannotProceedException(
                    track.name(), "a copy of it is away, cut as it is now", "cut it when the copy is back");
        }
        return track.documentFile()
                .orElseThrow(() -> new CannotProceedException(
                        track.name(),
                        "a bilingual file keeps the segments that it came with",
                        "work around it in the target"));
    }

    private static int numberInUnit(Track track, int segment) {
        int number = 0;
        String unit = track.segment(segment).unit();
        while (segment - number > 0
                && track.segment(segment - number - 1).unit().equals(unit)) {
            number++;
        }
        return number;
    }

    private static Content joined(Content first, Content second) {
        if (first.isEmpty() || second.isEmpty()) {
            return first.isEmpty() ? second : first;
        }
        List<Run> runs = new ArrayList<>(first.runs());
        runs.add(new Text(" "));
        runs.addAll(second.runs());
        return new Content(runs);
    }

    private Track recut(Track track, int first, int count, List<Integer> starts, List<Value> values, Progress progress)
            throws IOException {
        DocumentOptions options =
                lane.options(track).document().withCut(track.segment(first).unit(), starts.subList(1, starts.size()));
        List<Change> changes = new ArrayList<>();
        List<String> keys = new ArrayList<>();
        for (int i = 0; i < values.size(); i++) {
            changes.add(new Change(first + i, new Value(Content.EMPTY, State.INITIAL, false), values.get(i)));
            keys.add(track.segment(first).key());
        }
        return lane.recut(
                track,
                options,
                journal -> journal.recut(first, count, values.size(), lane.person(), changes, keys),
                progress);
    }
}
