package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.swaplane.effort.Effort;
import org.swaplane.effort.Period;
import org.swaplane.format.FormatRegistry;
import org.swaplane.reviewcopy.ReviewCopyFormats;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Closing;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/**
 * One job for one client: a folder with the files as they came, and a database with everything that was done. Its parts know each
 * other as little as they can; this is where they are put together.
 */
public final class Lane implements AutoCloseable {
    private static final String DATABASE = "lane.db";

    private final LaneFolder folder;
    private final Clock clock;
    private final FormatRegistry formats;
    private final Optional<LaneLock> lock;
    private final Database database;
    private final LaneWriter writer;
    private final LaneSettings settings;
    private final TrackStore tracks;
    private final TripStore trips;
    private final FindingStore findings;
    private final ProofStore proofs;
    private final DeskJobs deskJobs;
    private final ReleaseStore releases;
    private final SegmentNotes notes;
    private final References references;
    private final ReferenceFiles referenceFiles;
    private final LaneMemories memories;
    private final LaneTerms terms;
    private final TimeLog timeLog;
    private final QualityStore quality;
    private final ReviewCopyFormats copies = ReviewCopyFormats.ofInstalled();

    private Lane(LaneFolder folder, FormatRegistry formats, Clock clock, Optional<LaneLock> lock, Database database) {
        this.folder = folder;
        this.clock = clock;
        this.formats = formats;
        this.lock = lock;
        this.database = database;
        ContentStore files = new ContentStore(folder.path().resolve("files"));
        writer = new LaneWriter(database);
        settings = new LaneSettings(folder.path(), database, writer);
        references = new References(folder, settings);
        trips = new TripStore(database, files, clock, writer);
        findings = new FindingStore(database, clock, writer, references);
        proofs = new ProofStore(database, clock, writer);
        releases = new ReleaseStore(database, clock, writer);
        notes = new SegmentNotes(database, clock, writer);
        tracks = new TrackStore(
                folder.path(), database, files, formats, settings, writer, clock, List.of(trips, findings, notes));
        terms = new LaneTerms(folder.path(), settings);
        referenceFiles = new ReferenceFiles(settings);
        memories = new LaneMemories(this, folder.path().resolve("memory"));
        writer.listen(memories);
        timeLog = new TimeLog(database, clock, writer, settings);
        quality = new QualityStore(database, clock, writer, settings);
        deskJobs = new DeskJobs(this, database, clock, writer);
    }

    /** Makes a new lane in a folder that holds none yet. */
    public static Lane create(Path folder, String name, FormatRegistry formats, Clock clock) throws IOException {
        if (isIn(folder)) {
            throw new CannotProceedException(folder.toString(), "problem.lane-exists");
        }
        Files.createDirectories(folder);
        Lane lane = forWriting(new LaneFolder(folder), formats, clock);
        LaneWriter.await(lane.settings().set("id", UUID.randomUUID().toString()));
        LaneWriter.await(lane.settings().set("name", name));
        return lane;
    }

    /** Whether a folder is that of a lane. */
    public static boolean isIn(Path folder) {
        return Files.exists(folder.resolve(DATABASE));
    }

    /**
     * Opens a lane; the files of its tracks are read when they are needed.
     *
     * @throws LaneInUseException when another program has it open
     */
    public static Lane open(Path folder, FormatRegistry formats, Clock clock) throws IOException {
        refuseOther(folder);
        return forWriting(new LaneFolder(folder), formats, clock);
    }

    /** Opens a lane to look at it only, also while another program works in it; shows what stands there now. */
    public static Lane openForReading(Path folder, FormatRegistry formats, Clock clock) {
        refuseOther(folder);
        Database database = new Database(folder.resolve(DATABASE), false);
        return over(database, new LaneFolder(folder), formats, clock, Optional.empty());
    }

    private static void refuseOther(Path folder) {
        if (!isIn(folder)) {
            throw new CannotProceedException(folder.toString(), "problem.no-lane");
        }
    }

    private static Lane forWriting(LaneFolder folder, FormatRegistry formats, Clock clock) throws IOException {
        Optional<LaneLock> lock = LaneLock.take(folder.path(), clock.instant());
        if (lock.isEmpty()) {
            throw new LaneInUseException(folder.path().toString(), LaneLock.holder(folder.path()));
        }
        try {
            folder.make();
            folder.tidy();
            Database database = new Database(folder.path().resolve(DATABASE), true);
            return over(database, folder, formats, clock, lock);
        } catch (IOException | RuntimeException | Error e) {
            Closing.after(e, lock.get());
            throw e;
        }
    }

    /** The lane over a database, which is closed where that fails. */
    private static Lane over(
            Database database, LaneFolder folder, FormatRegistry formats, Clock clock, Optional<LaneLock> lock) {
        try {
            Lane lane = new Lane(folder, formats, clock, lock, database);
            if (lock.isPresent()) {
                ReleaseStaging.tidy(folder.path().resolve("out"), lane.releases);
            }
            return lane;
        } catch (RuntimeException | Error e) {
            Closing.after(e, database);
            throw e;
        }
    }

    public Path folder() {
        return folder.path();
    }

    public Clock clock() {
        return clock;
    }

    public FormatRegistry formats() {
        return formats;
    }

    /** Whether it can only be looked at. */
    public boolean isReadOnly() {
        return lock.isEmpty();
    }

    /** Through which all changes go. */
    public LaneWriter writer() {
        return writer;
    }

    public LaneSettings settings() {
        return settings;
    }

    /** Takes over how another lane works, with the term lists and other references that it has. */
    public void copySettings(Lane other) throws IOException {
        LaneWriter.await(settings.copyFrom(other.settings));
        references.copyFrom(other.references);
        memories.copyFrom(other.memories);
    }

    /** Looks things up in what another lane looks them up in, too: its files, memories and term lists. */
    public void copyReferences(Lane other) throws IOException {
        references.copyFrom(other.references);
        List<String> terms = new ArrayList<>(settings.profile().terms());
        other.settings.profile().terms().stream()
                .filter(each -> !terms.contains(each))
                .forEach(terms::add);
        LaneWriter.await(settings.setProfile(settings.profile().withTerms(terms)));
        memories.copyFrom(other.memories);
        for (SharedMemories.Shared each : new SharedMemories(other.settings).all()) {
            memories.share(each.folder(), each.penalty());
        }
        for (ReferenceFiles.Entry each : other.referenceFiles.all()) {
            referenceFiles.add(each.name(), each.place());
            referenceFiles.setRole(each.name(), each.role());
        }
    }

    public String name() {
        return settings.name();
    }

    public List<Track> tracks() {
        return tracks.all();
    }

    public Track track(long id) {
        return tracks.get(id);
    }

    public TrackStore trackStore() {
        return tracks;
    }

    public TripStore trips() {
        return trips;
    }

    public FindingStore findings() {
        return findings;
    }

    public SegmentNotes notes() {
        return notes;
    }

    public ProofStore proofs() {
        return proofs;
    }

    /** What was released, and what was waived for it. */
    public ReleaseStore releases() {
        return releases;
    }

    /** The tasks of clients' desks that are worked at here. */
    public DeskJobs deskJobs() {
        return deskJobs;
    }

    /** The forms that review copies can have. */
    public ReviewCopyFormats copies() {
        return copies;
    }

    public References references() {
        return references;
    }

    public LaneTerms terms() {
        return terms;
    }

    /** The files that it looks things up in. */
    public ReferenceFiles referenceFiles() {
        return referenceFiles;
    }

    public LaneMemories memories() {
        return memories;
    }

    /** Time that is not spent at segments. */
    public TimeLog timeLog() {
        return timeLog;
    }

    /** How good it is, as people evaluated it. */
    public QualityStore quality() {
        return quality;
    }

    /** What these tracks took within a period, by the journal. */
    public Effort effort(List<Track> of, Period period, Progress progress) {
        return new EffortReader(database, of, trips.all(), timeLog, period).read(progress);
    }

    Database database() {
        return database;
    }

    /** As far as its journal has come; the same as long as nothing is done, undone or redone. */
    String stepsSoFar() {
        return database.query(
                        row -> row.getString(1),
                        "select coalesce(max(id), 0) || '/' || coalesce(sum(undone), 0) from step")
                .get(0);
    }

    /** A path in one of the lane's own folders that no file has yet. */
    public Path free(String subfolder, String name) {
        return folder.free(subfolder, name);
    }

    /**
     * Writes what was still to be written, and closes everything, also after something failed; then another program can open it.
     *
     * @throws RuntimeException what failed first
     */
    @Override
    public void close() {
        Closing.inOrder(writer, memories::close, database, this::unlock);
    }

    private void unlock() {
        try {
            if (lock.isPresent()) {
                lock.get().close();
            }
        } catch (IOException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(folder().toString(), 0, 0),
                    Phrase.of("problem.lane-lock", e.getMessage()),
                    e);
        }
    }
}
