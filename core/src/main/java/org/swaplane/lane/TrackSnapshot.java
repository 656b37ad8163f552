package org.swaplane.lane;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.swaplane.check.CheckedSegment;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.SegmentEdit;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/**
 * A track at one moment: its document as it was read, and what each segment holds. Immutable; whoever takes one keeps it, whatever
 * is done to the track meanwhile. Positions are those of this document only: what shall last goes by a segment's key.
 */
public final class TrackSnapshot {
    private final Track track;
    private final ReadDocument read;
    private final Overlay<Value> values;
    private final TrackCounts counts;

    private TrackSnapshot(Track track, ReadDocument read, Overlay<Value> values, TrackCounts counts) {
        this.track = track;
        this.read = read;
        this.values = values;
        this.counts = counts;
    }

    /** A document with what the journal holds of it, by the keys of its segments; keys that it does not have are left out. */
    static TrackSnapshot of(Track track, ReadDocument read, Map<String, Value> journal) {
        Map<Integer, Value> values = new LinkedHashMap<>();
        journal.forEach((key, value) -> read.index(key).ifPresent(index -> values.put(index, value)));
        Overlay<Value> overlay = Overlay.<Value>over(read.segments().size()).with(values);
        TrackSnapshot uncounted = new TrackSnapshot(track, read, overlay, TrackCounts.NONE);
        TrackCounts.Builder counts = new TrackCounts.Builder(TrackCounts.NONE);
        for (int i = 0; i < uncounted.size(); i++) {
            counts.count(uncounted.counted(i), read.words(i), 1);
        }
        return new TrackSnapshot(track, read, overlay, counts.build());
    }

    /** The same with other values at some positions. */
    public TrackSnapshot with(Map<Integer, Value> others) {
        TrackSnapshot changed = new TrackSnapshot(track, read, values.with(others), counts);
        TrackCounts.Builder recounted = new TrackCounts.Builder(counts);
        others.keySet().forEach(index -> {
            recounted.count(counted(index), read.words(index), -1);
            recounted.count(changed.counted(index), read.words(index), 1);
        });
        return new TrackSnapshot(track, read, changed.values, recounted.build());
    }

    /** What it is a moment of. */
    public Track track() {
        return track;
    }

    /** Name of the client's file. */
    public String name() {
        return track.name();
    }

    /** The original as it was read. */
    public BilingualDocument document() {
        return read.file().document();
    }

    ReadDocument read() {
        return read;
    }

    /** The document that can be segmented otherwise; empty for a bilingual file, whose segments are its own. */
    Optional<DocumentFile> documentFile() {
        return read.file() instanceof DocumentFile document ? Optional.of(document) : Optional.empty();
    }

    public int size() {
        return read.segments().size();
    }

    /** How far it is. */
    public TrackCounts counts() {
        return counts;
    }

    /** Words of the source of a segment. */
    public int words(int index) {
        return read.words(index);
    }

    /** Where the segment with this key stands; empty where there is none. */
    public OptionalInt index(String key) {
        return read.index(key);
    }

    /** Key of the segment at a position; empty where there is none. */
    String keyAt(int position) {
        return position >= 0 && position < size()
                ? read.segments().get(position).key()
                : "";
    }

    /** The segment as the file holds it, but locked or not as it is now. */
    public Segment segment(int index) {
        Segment segment = read.segments().get(index);
        boolean locked = value(index).locked();
        return locked == segment.locked() ? segment : segment.with(locked ? Lock.LANE : Lock.NONE);
    }

    public Value value(int index) {
        Value value = values.get(index);
        if (value == null) {
            Segment segment = read.segments().get(index);
            return new Value(segment.target(), segment.state(), segment.locked());
        }
        // A rule may have come after the edit.
        return hasFixedLock(index) ? value.withLock(true) : value;
    }

    /** Whether what locks the segment cannot be written into the file or taken out of it. */
    private boolean hasFixedLock(int index) {
        Lock lock = read.segments().get(index).lock();
        return lock == Lock.RULE || lock == Lock.STRUCTURE;
    }

    public Content target(int index) {
        return value(index).target();
    }

    /** How far a segment is; what has no translation has not come anywhere, whatever was said of it. */
    public State state(int index) {
        return isUntranslated(index) ? State.INITIAL : value(index).state();
    }

    /** Whether a segment has words and no translation, which no state, lock or rule makes up for; see {@link Segment#isUntranslated}. */
    public boolean isUntranslated(int index) {
        Value value = value(index);
        return segment(index).with(value.target(), value.state()).isUntranslated();
    }

    /** The value by which a segment is counted. */
    private Value counted(int index) {
        return isUntranslated(index) ? new Value(target(index), State.INITIAL) : value(index);
    }

    /** Whether it waits for somebody: neither locked nor reviewed, or without a translation. */
    public boolean isOpen(int index) {
        Value value = value(index);
        return !value.locked() && value.state().compareTo(State.REVIEWED) < 0 || isUntranslated(index);
    }

    private Part part(int index) {
        return document().parts().get(read.segments().get(index).part());
    }

    /** BCP 47 code of the source of a segment, empty when its file does not say. */
    public String sourceLanguage(int index) {
        return part(index).sourceLanguage();
    }

    /** BCP 47 code of the target of a segment, empty when its file does not say. */
    public String targetLanguage(int index) {
        return part(index).targetLanguage();
    }

    /** The segment as the checks want it. */
    public CheckedSegment checked(int index) {
        // What is not translated is found, also where a lock would keep the checks away.
        Segment segment = isUntranslated(index) ? segment(index).with(Lock.NONE) : segment(index);
        return new CheckedSegment(index, segment, target(index), sourceLanguage(index), targetLanguage(index));
    }

    /** Whether segments of this file can be locked and unlocked. */
    public boolean canLock() {
        return read.file().canLock();
    }

    /**
     * What locks or unlocks segments, each with all others of its unit, since a file can say it of units only.
     *
     * @throws CannotProceedException when the file cannot say it, or what locks a segment cannot be taken off
     */
    public Map<Integer, Value> locks(Collection<Integer> segments, boolean locked) {
        if (!canLock()) {
            throw new CannotProceedException(name(), "problem.no-locks");
        }
        Map<Integer, Value> edits = new TreeMap<>();
        for (int segment : segments) {
            for (int index : unitOf(segment)) {
                refuseFixedLock(index, locked);
                edits.put(index, value(index).withLock(locked));
            }
        }
        return edits;
    }

    private void refuseFixedLock(int index, boolean locked) {
        Lock lock = read.segments().get(index).lock();
        if (!locked && hasFixedLock(index)) {
            throw new CannotProceedException(
                    name(), "problem.locked-otherwise", segment(index).key(), lock.name());
        }
    }

    /** The segments that belong to the same unit, which stand side by side. */
    List<Integer> unitOf(int index) {
        int first = index;
        while (first > 0 && sameUnit(first - 1, index)) {
            first--;
        }
        int last = index;
        while (last < size() - 1 && sameUnit(last + 1, index)) {
            last++;
        }
        return IntStream.rangeClosed(first, last).boxed().toList();
    }

    boolean sameUnit(int one, int other) {
        return read.segments().get(one).isOfSameUnit(read.segments().get(other));
    }

    /** What a writer must put into the original. */
    public List<SegmentEdit> edits() {
        List<SegmentEdit> edits = new ArrayList<>();
        values.forEach((index, value) -> {
            boolean locked = value(index).locked();
            boolean was = read.segments().get(index).locked();
            Optional<Boolean> lock = locked == was ? Optional.empty() : Optional.of(locked);
            edits.add(new SegmentEdit(index, value.target(), value.state(), lock));
        });
        return edits;
    }

    /** The state of a segment as the file can say it. */
    public State keptState(int index) {
        return read.file().kept(state(index), target(index));
    }

    /** The document with everything as it stands. */
    public BilingualDocument current() {
        return current(Map.of());
    }

    /** The same with more notes at segments. */
    BilingualDocument current(Map<Integer, List<Note>> notes) {
        BilingualDocument original = document();
        List<Segment> segments = new ArrayList<>(size());
        for (int i = 0; i < size(); i++) {
            Segment segment = segment(i).with(target(i), state(i));
            List<Note> more = notes.getOrDefault(i, List.of());
            segments.add(more.isEmpty() ? segment : segment.withMore(more));
        }
        return new BilingualDocument(
                original.format(),
                original.encoding(),
                original.parts(),
                segments,
                original.problems(),
                original.foreign());
    }

    /** Whether this is a client document in one language, and not a bilingual file. */
    public boolean isDocument() {
        return read.file() instanceof DocumentFile;
    }

    /** The texts of the document as they stand, each whole; none of a bilingual file. */
    List<DocumentFile.WrittenUnit> units() {
        return documentFile().map(document -> document.units(edits())).orElse(List.of());
    }

    /** Writes the file as it stands. */
    public void write(OutputStream out, Progress progress) throws IOException {
        read.file().write(edits(), out, progress);
    }

    /** Writes the file as it stands, with notes at segments where its format has a place for them. */
    void write(Map<Integer, List<Note>> notes, OutputStream out, Progress progress) throws IOException {
        Map<Integer, SegmentEdit> edits = new TreeMap<>();
        edits().forEach(edit -> edits.put(edit.segment(), edit));
        notes.forEach((index, here) -> edits.merge(
                index,
                new SegmentEdit(index, target(index), state(index)).with(here),
                (edit, noted) -> edit.with(here)));
        read.file().write(List.copyOf(edits.values()), out, progress);
    }
}
