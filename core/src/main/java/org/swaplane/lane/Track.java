package org.swaplane.lane;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.swaplane.check.CheckedSegment;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.SegmentEdit;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/**
 * One client file in one target language: the original as it was read, and over it what the journal holds. Reading is safe from
 * any thread, edits come from one.
 */
public final class Track {
    private final long id;
    private final String name;
    private final String sha256;
    private final BilingualFile file;
    private final Journal journal;
    private final Value[] values;
    private Step open;

    Track(long id, String name, String sha256, BilingualFile file, Journal journal) {
        this.id = id;
        this.name = name;
        this.sha256 = sha256;
        this.file = file;
        this.journal = journal;
        this.values = new Value[file.document().segments().size()];
        journal.replay(this::set);
    }

    /** What was done to a segment before it was joined or split is in the journal, but holds for none any more. */
    private void set(Change change) {
        if (change.segment() >= 0) {
            values[change.segment()] = change.after();
        }
    }

    /** The document that can be cut otherwise; empty for a bilingual file, whose segments are its own. */
    Optional<DocumentFile> documentFile() {
        return file instanceof DocumentFile document ? Optional.of(document) : Optional.empty();
    }

    public long id() {
        return id;
    }

    /** Name of the client's file. */
    public String name() {
        return name;
    }

    /** Of the original's bytes. */
    public String sha256() {
        return sha256;
    }

    /** The original as it was read. */
    public BilingualDocument document() {
        return file.document();
    }

    public int size() {
        return values.length;
    }

    /** The segment as the file holds it, but locked or not as it is now. */
    public Segment segment(int index) {
        Segment segment = document().segments().get(index);
        boolean locked = value(index).locked();
        return locked == segment.locked() ? segment : segment.with(locked ? Lock.FILE : Lock.NONE);
    }

    public Value value(int index) {
        Value value = values[index];
        if (value == null) {
            return original(index);
        }
        // A rule may have come after the edit.
        return hasFixedLock(index) ? new Value(value.target(), value.state(), true) : value;
    }

    /** Whether what locks the segment cannot be written into the file or taken out of it. */
    private boolean hasFixedLock(int index) {
        Lock lock = document().segments().get(index).lock();
        return lock == Lock.RULE || lock == Lock.STRUCTURE;
    }

    private Value original(int index) {
        Segment segment = document().segments().get(index);
        return new Value(segment.target(), segment.state(), segment.locked());
    }

    public Content target(int index) {
        return value(index).target();
    }

    public State state(int index) {
        return value(index).state();
    }

    /** The segment as the checks want it. */
    public CheckedSegment checked(int index) {
        Segment segment = segment(index);
        Part part = document().parts().get(segment.part());
        return new CheckedSegment(index, segment, target(index), part.sourceLanguage(), part.targetLanguage());
    }

    /**
     * Sets segments in one step, on disk when this returns; what would change nothing is left out.
     *
     * @return the step, empty when nothing changes
     * @throws CannotProceedException when one of them is locked
     */
    public Optional<Step> edit(StepKind kind, String who, String trip, Map<Integer, Value> edits) {
        edits.forEach((index, after) -> {
            if (!after.equals(value(index))) {
                refuseLocked(index);
            }
        });
        return record(kind, who, trip, edits);
    }

    private Optional<Step> record(StepKind kind, String who, String trip, Map<Integer, Value> edits) {
        List<Change> changes = new ArrayList<>();
        List<String> keys = new ArrayList<>();
        new TreeMap<>(edits).forEach((index, after) -> {
            if (!after.equals(value(index))) {
                changes.add(new Change(index, value(index), after));
                keys.add(segment(index).key());
            }
        });
        open = null;
        if (changes.isEmpty()) {
            return Optional.empty();
        }
        Step step = journal.append(kind, who, trip, changes, keys);
        changes.forEach(change -> values[change.segment()] = change.after());
        return Optional.of(step);
    }

    private void refuseLocked(int index) {
        if (value(index).locked()) {
            throw new CannotProceedException(name, "segment " + segment(index).key() + " is locked", "unlock it first");
        }
    }

    /** Whether segments of this file can be locked and unlocked. */
    public boolean canLock() {
        return file.canLock();
    }

    /**
     * Locks or unlocks segments in one step, each with all others of its unit: a file can say it of units only.
     *
     * @return the step, empty when nothing changes
     * @throws CannotProceedException when the file cannot say it, or what locks a segment cannot be taken off
     */
    public Optional<Step> lock(String who, Collection<Integer> segments, boolean locked) {
        if (!canLock()) {
            throw new CannotProceedException(
                    name, "files of this format cannot say that a segment is locked", "leave it as it is");
        }
        Map<Integer, Value> edits = new TreeMap<>();
        for (int segment : segments) {
            for (int index : unitOf(segment)) {
                refuseFixedLock(index, locked);
                Value value = value(index);
                edits.put(index, new Value(value.target(), value.state(), locked));
            }
        }
        return record(locked ? StepKind.LOCKED : StepKind.UNLOCKED, who, "", edits);
    }

    private void refuseFixedLock(int index, boolean locked) {
        Lock lock = document().segments().get(index).lock();
        if (!locked && hasFixedLock(index)) {
            throw new CannotProceedException(
                    name,
                    "segment " + segment(index).key() + " is locked by "
                            + (lock == Lock.RULE ? "a reading rule of the lane" : "the structure of its unit"),
                    lock == Lock.RULE ? "take the rule out on the board" : "work at it in the tool that it came from");
        }
    }

    /** The segments that belong to the same unit, which stand side by side. */
    private List<Integer> unitOf(int index) {
        Segment segment = document().segments().get(index);
        int first = index;
        while (first > 0 && sameUnit(document().segments().get(first - 1), segment)) {
            first--;
        }
        int last = index;
        while (last < size() - 1 && sameUnit(document().segments().get(last + 1), segment)) {
            last++;
        }
        return IntStream.rangeClosed(first, last).boxed().toList();
    }

    private static boolean sameUnit(Segment one, Segment other) {
        return one.part() == other.part() && one.unit().equals(other.unit());
    }

    /** What is being typed into a segment; all of it is one step until something else is done or {@link #endTyping} is called. */
    public void type(String who, int index, Value after) {
        if (after.equals(value(index))) {
            return;
        }
        boolean goesOn = open != null && open.changes().get(0).segment() == index;
        if (!goesOn) {
            Optional<Step> step = edit(StepKind.TYPED, who, "", Map.of(index, after));
            open = step.orElse(null);
            return;
        }
        journal.amend(open, after);
        values[index] = after;
    }

    /** The next typing is a step of its own. */
    public void endTyping() {
        open = null;
    }

    /** Takes back the newest step, also one of an earlier session. */
    public Optional<Step> undo() {
        open = null;
        Optional<Step> step = journal.undo();
        step.ifPresent(undone -> undone.changes().forEach(change -> set(change.inverted())));
        return step;
    }

    /** Does again what was undone last. */
    public Optional<Step> redo() {
        open = null;
        Optional<Step> step = journal.redo();
        step.ifPresent(redone -> redone.changes().forEach(this::set));
        return step;
    }

    /** What happened to one segment, newest first. */
    public List<HistoryEntry> history(int index) {
        return journal.history(index);
    }

    /** What a writer must put into the original. */
    public List<SegmentEdit> edits() {
        List<SegmentEdit> edits = new ArrayList<>();
        for (int i = 0; i < values.length; i++) {
            if (values[i] != null) {
                boolean locked = value(i).locked();
                boolean was = document().segments().get(i).locked();
                Optional<Boolean> lock = locked == was ? Optional.empty() : Optional.of(locked);
                edits.add(new SegmentEdit(i, values[i].target(), values[i].state(), lock));
            }
        }
        return edits;
    }

    /** The state of a segment as the file can say it. */
    public State keptState(int index) {
        return file.kept(state(index), target(index));
    }

    /** The document with everything as it stands now. */
    public BilingualDocument current() {
        BilingualDocument original = document();
        List<Segment> segments = new ArrayList<>(size());
        for (int i = 0; i < size(); i++) {
            segments.add(segment(i).with(target(i), state(i)));
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
        return file instanceof DocumentFile;
    }

    /** The texts of the document as they stand now, each whole; none of a bilingual file. */
    List<DocumentFile.WrittenUnit> units() {
        return file instanceof DocumentFile document ? document.units(edits()) : List.of();
    }

    /** Writes the file as it stands now. */
    public void write(OutputStream out, Progress progress) throws IOException {
        file.write(edits(), out, progress);
    }

    /** How many segments are in each state; locked ones are not counted. */
    public int[] states() {
        int[] counts = new int[State.values().length];
        for (int i = 0; i < values.length; i++) {
            if (!segment(i).locked()) {
                counts[state(i).ordinal()]++;
            }
        }
        return counts;
    }
}
