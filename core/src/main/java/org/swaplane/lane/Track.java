package org.swaplane.lane;

import java.io.IOException;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.swaplane.document.BilingualDocument;
import org.swaplane.effort.Visit;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.version.ContentSketch;
import org.swaplane.wording.Phrase;

/**
 * One client file in one target language: what stays the same whatever is done to it. How it stands is a {@link TrackSnapshot}. Its
 * file is read when somebody asks for the first time. Safe for several threads; changes go through {@link LaneWriter}.
 */
public final class Track {
    private final long id;
    private final String name;
    private volatile SourceVersion version;
    private final Instant takenInAt;
    private final Journal journal;
    private final TrackStore store;
    private volatile TrackReading reading;
    private volatile TrackPlan plan;
    private volatile TrackSnapshot snapshot;
    private volatile TrackSummary summary;
    private volatile ContentSketch sketch;
    private volatile String problem = "";
    private volatile long lastAsked;
    private volatile boolean handedOver;

    Track(
            long id,
            String name,
            SourceVersion version,
            Instant takenInAt,
            TrackReading reading,
            TrackPlan plan,
            TrackSummary summary,
            ContentSketch sketch,
            Journal journal,
            TrackStore store) {
        this.id = id;
        this.name = name;
        this.version = version;
        this.takenInAt = takenInAt;
        this.reading = reading;
        this.plan = plan;
        this.summary = summary;
        this.sketch = sketch;
        this.journal = journal;
        this.store = store;
    }

    public long id() {
        return id;
    }

    /** Name of the client's file. */
    public String name() {
        return name;
    }

    /** Of the original's bytes, in the version that is worked at. */
    public String sha256() {
        return version.sha256();
    }

    /** The version of the source that is worked at. */
    public SourceVersion version() {
        return version;
    }

    void setVersion(SourceVersion other) {
        version = other;
    }

    /** When the client's file came in. */
    public Instant takenInAt() {
        return takenInAt;
    }

    /** Where it lay, when it is due, whether it is on the board. */
    public TrackPlan plan() {
        return plan;
    }

    void setPlan(TrackPlan other) {
        plan = other;
    }

    /** What was told besides the file about how it is read. */
    TrackReading reading() {
        return reading;
    }

    void setReading(TrackReading other) {
        reading = other;
    }

    /** Who translated a segment of today's version, by its key: the recipients of trips for translation that came back. */
    public Map<String, String> translators(List<Trip> trips) {
        Map<String, String> people = trips.stream()
                .filter(trip -> trip.track() == id && trip.purpose() == Purpose.TRANSLATION)
                .collect(Collectors.toMap(Trip::code, Trip::person));
        Map<String, String> byKey = new HashMap<>();
        if (!people.isEmpty()) {
            journal.broughtBy(version.number(), people.keySet())
                    .forEach((key, code) -> byKey.put(key, people.get(code)));
        }
        return byKey;
    }

    /** What holds of the history of many segments of one version, each newest first. */
    public Map<String, List<HistoryEntry>> histories(int ofVersion, Set<String> keys) {
        return journal.histories(ofVersion, keys);
    }

    /** Whether it is recorded how long people work at it. */
    boolean isTimeRecorded() {
        return store.isTimeRecorded();
    }

    /** Whether the client has it back, so that it cannot be edited any more. */
    public boolean isHandedOver() {
        return handedOver;
    }

    /** @throws CannotProceedException when the client has it back */
    void refuseHandedOver() {
        if (handedOver) {
            throw new CannotProceedException(name, "problem.handed-over");
        }
    }

    void setHandedOver(boolean other) {
        handedOver = other;
    }

    Journal journal() {
        return journal;
    }

    /** What is known of it without reading its file; empty counts where that was never read. */
    public TrackSummary summary() {
        return summary;
    }

    /** By which files with much the same content are known; empty where the file was not read by this version of the program. */
    public ContentSketch sketch() {
        return sketch;
    }

    /** Why its file could not be read when it was tried last; empty when it could, or was not tried. */
    public String problem() {
        return problem;
    }

    /** How it stands now, if its file has been read. */
    public Optional<TrackSnapshot> loaded() {
        return Optional.ofNullable(snapshot);
    }

    /** How it stands now; reads the file where nobody has done so. */
    public TrackSnapshot now() {
        return now(Progress.NONE);
    }

    /**
     * The same with progress.
     *
     * @throws CannotProceedException when the file cannot be read; see {@link #problem}
     */
    public TrackSnapshot now(Progress progress) {
        lastAsked = System.nanoTime();
        TrackSnapshot there = snapshot;
        return there != null ? there : load(progress);
    }

    /** When {@link #now} was called last, as {@link System#nanoTime}. */
    long lastAsked() {
        return lastAsked;
    }

    private TrackSnapshot load(Progress progress) {
        TrackSnapshot read = loadOnce(progress);
        store.trim(this);
        return read;
    }

    private synchronized TrackSnapshot loadOnce(Progress progress) {
        if (snapshot != null) {
            return snapshot;
        }
        try {
            TrackSnapshot read = store.read(this, progress);
            problem = "";
            snapshot = read;
            return read;
        } catch (CannotProceedException e) {
            problem = e.getMessage();
            throw e;
        } catch (IOException e) {
            CannotProceedException said = new CannotProceedException(
                    new CannotProceedException.Place(name, 0, 0),
                    Phrase.of("problem.original-unreadable", e.getMessage()),
                    e);
            problem = said.getMessage();
            throw said;
        }
    }

    /** Reads it by other options, within a transaction that keeps them. */
    TrackSnapshot reread(int number, String options, LaneTransaction transaction) throws IOException {
        return store.reread(this, number, options, transaction);
    }

    /** How it stands from now on; whoever is reading it just now must not put what it was before in its place. */
    synchronized void publish(TrackSnapshot changed) {
        snapshot = changed;
        summary = summary.with(changed.counts());
    }

    /** Writes the counts beside the change that made them so. */
    void keepCounts(TrackCounts counts) {
        if (!counts.equals(summary.counts())) {
            store.keepCounts(this, counts);
        }
    }

    void describe(BilingualDocument document, TrackCounts counts, ContentSketch content) {
        sketch = content;
        summary = new TrackSummary(document.format(), document.sourceLanguage(), document.targetLanguage(), counts);
    }

    /** Lets the memory of its document go until somebody asks again; whoever has a snapshot keeps it. */
    public synchronized void unload() {
        snapshot = null;
    }

    /** What happened to one segment, newest first. */
    public List<HistoryEntry> history(String key) {
        return journal.history(version.number(), key);
    }

    /** Keys of the segments that were changed after a moment. */
    public Set<String> changedSince(Instant moment) {
        return journal.changedSince(version.number(), moment);
    }

    /** Keys of the segments that somebody changed, by a part of the name. */
    public Set<String> changedBy(String who) {
        return journal.changedBy(version.number(), who);
    }

    /** Keys of the segments whose text was last written, and last approved, by one and the same person. */
    Set<String> approvedAlone() {
        return journal.approvedAlone(version.number());
    }

    /** Keys of the segments that were changed between two moments, the first not included. */
    Set<String> changedBetween(Instant after, Instant until) {
        return journal.changedBetween(version.number(), after, until);
    }

    /** When and how long somebody was at a segment, oldest first. */
    public List<Visit> visits(String key) {
        return journal.visits(version.number(), key);
    }

    @Override
    public String toString() {
        return name;
    }
}
