package org.swaplane.lane;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Segment;
import org.swaplane.extension.ExtensionRules;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.segmentation.Srx;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.version.ContentSketch;

/** The tracks of a lane: taking files in, reading them, and reading them in another way. */
public final class TrackStore {
    private static final String SEGMENTATION = "segmentation.srx";
    private static final String NEW_SEGMENTATION = "new-segmentation";
    private static final int MOST_SEGMENTS_IN_MEMORY = 600_000;

    private final Path folder;
    private final Database database;
    private final ContentStore files;
    private final FormatRegistry formats;
    private final LaneSettings settings;
    private final LaneWriter writer;
    private final Clock clock;
    private final List<PositionalData> positional;
    /** Rules that were read, by their SHA-256: the tracks of a lane share a few. */
    private final Map<String, SegmentationRules> segmentations = new ConcurrentHashMap<>();

    private final SourceVersions versions;
    /** Those that were removed, too. */
    private volatile List<Track> tracks;

    /** What is kept of segments; in lanes of an earlier version by positions, for which keys are known when the file is read. */
    interface PositionalData {
        /** Whether there is any of a track. */
        boolean isByPosition(Track track);

        /** Called within a transaction. */
        void useKeys(TrackSnapshot snapshot);

        /** Another version of a track's source is worked at now, whose segments have keys of their own. */
        default void versionChanged(Track track) {}
    }

    TrackStore(
            Path folder,
            Database database,
            ContentStore files,
            FormatRegistry formats,
            LaneSettings settings,
            LaneWriter writer,
            Clock clock,
            List<PositionalData> positional) {
        this.folder = folder;
        this.database = database;
        this.files = files;
        this.formats = formats;
        this.settings = settings;
        this.writer = writer;
        this.clock = clock;
        this.positional = List.copyOf(positional);
        this.versions = new SourceVersions(database, files, clock);
        this.tracks = List.copyOf(database.query(
                row -> new Track(
                        row.getLong("id"),
                        row.getString("name"),
                        versions.get(row.getLong("id"), row.getInt("version")),
                        Instant.parse(row.getString("added_at")),
                        new TrackReading(
                                row.getString("source_language"),
                                row.getString("target_language"),
                                row.getString("segmentation"),
                                row.getString("options")),
                        TrackPlan.of(row.getString("folder"), row.getString("due"), row.getString("removed_at")),
                        new TrackSummary(
                                row.getString("format"),
                                row.getString("read_source_language"),
                                row.getString("read_target_language"),
                                TrackCounts.of(row.getString("counts"))),
                        ContentSketch.ofWritten(row.getString("sketch")),
                        new Journal(database, row.getLong("id"), clock),
                        this),
                "select * from track order by id"));
    }

    /** Whether this lane records how long people work. */
    boolean isTimeRecorded() {
        return Boolean.parseBoolean(settings.detail(LaneDetail.RECORD_TIME));
    }

    /** All, those that were taken off the board as well. */
    List<Track> every() {
        return tracks;
    }

    /** All that are on the board, in the order in which they came. */
    public List<Track> all() {
        List<Track> every = tracks;
        return every.stream().noneMatch(track -> track.plan().removed())
                ? every
                : every.stream().filter(track -> !track.plan().removed()).toList();
    }

    /** Sets until when tracks are to be delivered; empty for no date. */
    public CompletableFuture<Void> setDue(Collection<Track> chosen, Optional<LocalDate> due) {
        return plan(chosen, "due", due.map(LocalDate::toString).orElse(""), plan -> plan.withDue(due));
    }

    /** Takes tracks off the board, or brings them back. What the lane keeps of them stays. */
    public CompletableFuture<Void> setRemoved(Collection<Track> chosen, boolean removed) {
        String at = removed ? clock.instant().toString() : "";
        return plan(chosen, "removed_at", at, plan -> plan.withRemoved(removed));
    }

    private CompletableFuture<Void> plan(
            Collection<Track> chosen, String column, String value, UnaryOperator<TrackPlan> change) {
        List<Track> all = List.copyOf(chosen);
        return writer.submit(transaction -> {
            for (Track track : all) {
                database.update("update track set " + column + " = ? where id = ?", value, track.id());
                transaction.afterwards(() -> track.setPlan(change.apply(track.plan())));
                transaction.tell(listener -> listener.planned(track));
            }
            return null;
        });
    }

    public Track get(long id) {
        return tracks.stream().filter(track -> track.id() == id).findFirst().orElseThrow();
    }

    /** Keeps the bytes of a file that arrives, so that whatever becomes of the sender's, the lane has what was read. */
    public Source keep(Source source) throws IOException {
        return files.source(source.name(), files.keep(source));
    }

    /** Lets go of a file that was kept and not taken in; one that is used elsewhere stays. */
    public void forget(Source kept) throws IOException {
        String sha256 = kept.sha256();
        boolean used = !database.query(
                        row -> 1,
                        "select 1 from track where sha256 = ? or segmentation = ?"
                                + " union select 1 from trip where sent_sha256 = ? or back_sha256 = ?",
                        sha256,
                        sha256,
                        sha256,
                        sha256)
                .isEmpty();
        if (!used) {
            files.forget(sha256);
        }
    }

    /** Takes a client file in, in the languages that it says itself. */
    public Track takeIn(Source source, Progress progress) throws IOException {
        return takeIn(source, FileOptions.NONE, progress);
    }

    /**
     * Takes a client file in: keeps its bytes, reads it, and makes a track of it; the lane's own rules are added to the options.
     *
     * @throws CannotProceedException when it cannot be read, or is in the lane already; the lane stays as it was
     */
    public Track takeIn(Source source, FileOptions options, Progress progress) throws IOException {
        return takeIn(source, "", options, progress);
    }

    /** The same of a file that lay in a folder of what the client sent. */
    public Track takeIn(Source source, String inFolder, FileOptions options, Progress progress) throws IOException {
        mend(source);
        refuseTwice(source.name(), source.sha256(), options.targetLanguage());
        Source kept = keep(source);
        try {
            return takeIn(kept, inFolder, options, formats.open(kept, options.with(settings.rules()), progress));
        } catch (IOException | RuntimeException e) {
            forget(kept);
            throw e;
        }
    }

    /** The same with a file that was kept and read already, by the same options and the lane's rules. */
    public Track takeIn(Source kept, String inFolder, FileOptions options, BilingualFile file) throws IOException {
        String sha256 = kept.sha256();
        String language = file.document().targetLanguage();
        refuseTwice(kept.name(), sha256, language);
        TrackReading reading = new TrackReading(
                options.sourceLanguage(),
                options.targetLanguage(),
                keptSegmentation(options.segmentation()),
                options.document().toJson());
        ReadDocument read = new ReadDocument(file, reading, Map.of());
        return LaneWriter.await(writer.submit(transaction -> {
            refuseTwice(kept.name(), sha256, language);
            TrackPlan plan = new TrackPlan(inFolder, Optional.empty(), false);
            Track track =
                    insert(kept.name(), sha256, plan, reading, file.document().format());
            TrackSnapshot snapshot = TrackSnapshot.of(track, read, Map.of());
            describe(track, snapshot);
            transaction.set(snapshot);
            transaction.afterwards(() -> {
                List<Track> all = new ArrayList<>(tracks);
                all.add(track);
                tracks = List.copyOf(all);
            });
            transaction.tell(listener -> listener.added(track));
            return track;
        }));
    }

    /** Puts the bytes of a file that comes again in place of a damaged copy in the lane; returns whether there was one. */
    public boolean mend(Source source) throws IOException {
        String sha256 = source.sha256();
        List<Track> damaged =
                tracks.stream().filter(track -> track.sha256().equals(sha256)).toList();
        if (damaged.isEmpty() || files.isWhole(sha256)) {
            return false;
        }
        files.keep(source);
        damaged.forEach(Track::unload);
        return true;
    }

    /** A file may become a track for each of several languages, and one only for each. */
    private void refuseTwice(String name, String sha256, String targetLanguage) {
        boolean there = all().stream()
                .filter(track -> track.sha256().equals(sha256))
                .anyMatch(track -> targetLanguage.isEmpty()
                        || track.summary().targetLanguage().isEmpty()
                        || track.summary().targetLanguage().equalsIgnoreCase(targetLanguage));
        if (there) {
            throw new CannotProceedException(name, "problem.file-in-lane");
        }
    }

    private Track insert(String name, String sha256, TrackPlan plan, TrackReading reading, String format) {
        Instant now = clock.instant();
        long id = database.update(
                "insert into track (name, sha256, format, added_at, source_language, target_language, segmentation,"
                        + " options, folder) values (?, ?, ?, ?, ?, ?, ?, ?, ?)",
                name,
                sha256,
                format,
                now.toString(),
                reading.sourceLanguage(),
                reading.targetLanguage(),
                reading.segmentation(),
                reading.options(),
                plan.folder());
        TrackSummary summary = new TrackSummary(format, "", "", TrackCounts.NONE);
        SourceVersion first = versions.add(id, name, sha256, "");
        return new Track(
                id,
                name,
                first,
                now,
                reading,
                plan,
                summary,
                ContentSketch.EMPTY,
                new Journal(database, id, clock),
                this);
    }

    /** Reads a track's file, with what the journal holds of it. */
    TrackSnapshot read(Track track, Progress progress) throws IOException {
        TrackReading reading = track.reading();
        ReadDocument read = open(track, track.version(), reading, settings.rules(), progress);
        if (database.isWritable() && track.journal().isByPosition()) {
            useKeys(track, read);
        }
        TrackSnapshot snapshot = TrackSnapshot.of(
                track, read, track.journal().replay(track.version().number()));
        TrackSummary before = track.summary();
        BilingualDocument document = snapshot.document();
        boolean known = (!track.sketch().isEmpty() || document.segments().isEmpty())
                && before.counts().equals(snapshot.counts())
                && before.sourceLanguage().equals(document.sourceLanguage())
                && before.targetLanguage().equals(document.targetLanguage());
        if (database.isWritable()) {
            if (!known) {
                inTransaction(() -> describe(track, snapshot));
            }
            positional.stream()
                    .filter(each -> each.isByPosition(track))
                    .forEach(each -> inTransaction(() -> each.useKeys(snapshot)));
        }
        return snapshot;
    }

    private ReadDocument open(
            Track track, SourceVersion version, TrackReading reading, ExtensionRules rules, Progress progress)
            throws IOException {
        versions.requireWhole(version);
        return new ReadDocument(
                formats.open(versions.original(version), options(reading, rules), progress),
                reading,
                versions.proposals(track.id(), version));
    }

    private void useKeys(Track track, ReadDocument read) {
        List<String> keys = read.segments().stream().map(Segment::key).toList();
        inTransaction(() -> track.journal().useKeys(keys));
    }

    /** What only says the same in another way needs no turn among the changes. */
    private void inTransaction(Runnable work) {
        try {
            database.transaction(() -> {
                work.run();
                return null;
            });
        } catch (RuntimeException e) {
            throw e;
        } catch (Exception e) {
            throw new AssertionError("nothing of it throws such a thing", e);
        }
    }

    /** Keeps what is asked of a track without reading its file; within a transaction. */
    void describe(Track track, TrackSnapshot snapshot) {
        BilingualDocument document = snapshot.document();
        ContentSketch sketch = ContentSketch.of(document.segments());
        database.update(
                "update track set counts = ?, read_source_language = ?, read_target_language = ?, sketch = ? where id = ?",
                snapshot.counts().written(),
                document.sourceLanguage(),
                document.targetLanguage(),
                sketch.written(),
                track.id());
        track.describe(document, snapshot.counts(), sketch);
    }

    void keepCounts(Track track, TrackCounts counts) {
        database.update("update track set counts = ? where id = ?", counts.written(), track.id());
    }

    /** The versions of the tracks' sources. */
    public SourceVersions versions() {
        return versions;
    }

    /** The client's file as it came, in the version that is worked at. */
    public Source original(Track track) {
        return versions.original(track.version());
    }

    /** Lets documents go that nobody asked for in a long time, where too many are in memory. */
    void trim(Track justRead) {
        List<Track> loaded = new ArrayList<>(
                tracks.stream().filter(track -> track.loaded().isPresent()).toList());
        loaded.remove(justRead);
        loaded.sort(Comparator.comparingLong(Track::lastAsked));
        int segments = justRead.summary().counts().all();
        for (Track track : loaded) {
            segments += track.summary().counts().all();
        }
        for (Track track : loaded) {
            if (segments > MOST_SEGMENTS_IN_MEMORY) {
                segments -= track.summary().counts().all();
                track.unload();
            }
        }
    }

    /** Opens another version of a track's file, with all that the lane knows about it. */
    BilingualFile open(Track track, Source source, Progress progress) throws IOException {
        String encoding = track.now(progress).document().encoding();
        return formats.open(source, options(track).inEncodingOf(encoding), progress);
    }

    /** Opens a copy that went out, which is recognised anew: that of a document is in another format. */
    BilingualFile openCopy(Track track, Source source, Progress progress) throws IOException {
        FileOptions options = options(track);
        return formats.open(
                source, options.with(options.document().withFormat("").withEncoding("")), progress);
    }

    /** What the lane knows about the file of a track. */
    public FileOptions options(Track track) throws IOException {
        return options(track.reading(), settings.rules());
    }

    private FileOptions options(TrackReading reading, ExtensionRules rules) throws IOException {
        return FileOptions.ofLanguages(reading.sourceLanguage(), reading.targetLanguage())
                .with(rules)
                .with(segmentation(reading.segmentation()))
                .with(DocumentOptions.ofJson(folder.toString(), reading.options()));
    }

    /** Tells whether a track's file, and how it is read, are what they were before; of no meaning otherwise. */
    public String version(Track track) {
        String rules = settings.get(LaneSettings.RULES).orElse("");
        return Fingerprint.sha256(
                String.join("\n", track.sha256(), track.reading().written(), rules)
                        .getBytes(StandardCharsets.UTF_8));
    }

    /** Rules that a track was cut by must never change under its journal, so they are kept as a file of their own. */
    private String keptSegmentation(SegmentationRules rules) throws IOException {
        ByteArrayOutputStream srx = new ByteArrayOutputStream();
        Srx.write(rules, srx);
        return files.keep(Source.of(SEGMENTATION, srx.toByteArray()));
    }

    /** How new documents are cut here. */
    public SegmentationRules newSegmentation() throws IOException {
        String kept = settings.get(NEW_SEGMENTATION).orElse("");
        return kept.isEmpty() ? SegmentationRules.shipped() : segmentation(kept);
    }

    /** Sets how new documents are cut; those that are here stay as they are. */
    public void setNewSegmentation(SegmentationRules rules) throws IOException {
        String kept = rules.equals(SegmentationRules.shipped()) ? "" : keptSegmentation(rules);
        LaneWriter.await(settings.set(NEW_SEGMENTATION, kept));
    }

    private SegmentationRules segmentation(String sha256) throws IOException {
        // A track of an earlier version is a bilingual file, which has segments of its own.
        if (sha256.isEmpty()) {
            return SegmentationRules.BY_PARAGRAPH;
        }
        SegmentationRules known = segmentations.get(sha256);
        if (known == null) {
            try (InputStream in = files.source(SEGMENTATION, sha256).open()) {
                known = Srx.read(SEGMENTATION, in);
            }
            segmentations.put(sha256, known);
        }
        return known;
    }

    /** Reads a track's file by other options; changes nothing. */
    ReadDocument readBy(Track track, DocumentOptions options, Progress progress) throws IOException {
        return readBy(track, track.version(), options, progress);
    }

    /** Reads a version of a track's file by some options; changes nothing. */
    ReadDocument readBy(Track track, SourceVersion version, DocumentOptions options, Progress progress)
            throws IOException {
        return open(track, version, track.reading().withOptions(options.toJson()), settings.rules(), progress);
    }

    /** Has a track read by other options from now on; within a transaction. */
    void keepOptions(Track track, String options, LaneTransaction transaction) {
        database.update("update track set options = ? where id = ?", options, track.id());
        TrackReading reading = track.reading().withOptions(options);
        transaction.afterwards(() -> track.setReading(reading));
    }

    /** Reads a version of a track by options of before; within a transaction. */
    TrackSnapshot reread(Track track, int number, String options, LaneTransaction transaction) throws IOException {
        SourceVersion version = versions.get(track.id(), number);
        ReadDocument read = readBy(track, version, DocumentOptions.ofJson(folder.toString(), options), Progress.NONE);
        keepOptions(track, options, transaction);
        if (number != track.version().number()) {
            keepVersion(track, version, transaction);
        }
        return TrackSnapshot.of(track, read, track.journal().replay(number));
    }

    /** Has a track worked at in another version from now on; within a transaction. */
    void keepVersion(Track track, SourceVersion version, LaneTransaction transaction) {
        database.update(
                "update track set version = ?, sha256 = ? where id = ?",
                version.number(),
                version.sha256(),
                track.id());
        transaction.afterwards(() -> {
            track.setVersion(version);
            positional.forEach(each -> each.versionChanged(track));
        });
    }

    /**
     * Sets what foreign attributes mean, and reads by it what has been read before. The files are read first: where one cannot be, or it is
     * cancelled, nothing changes. What is edited meanwhile stays.
     */
    public void setRules(ExtensionRules rules, Progress progress) throws IOException {
        Map<Track, ReadDocument> again = new LinkedHashMap<>();
        Map<Track, TrackReading> readings = new LinkedHashMap<>();
        List<Track> loaded =
                tracks.stream().filter(track -> track.loaded().isPresent()).toList();
        for (Track track : loaded) {
            progress.checkCancelled();
            progress.at(again.size(), loaded.size());
            TrackReading reading = track.reading();
            readings.put(track, reading);
            again.put(track, open(track, track.version(), reading, rules, progress));
        }
        progress.checkCancelled();
        LaneWriter.await(writer.submit(transaction -> {
            settings.write(LaneSettings.RULES, rules.toJson(), transaction);
            // One that is being read by the old rules just now is read again when it is asked for.
            transaction.afterwards(() -> tracks.forEach(Track::unload));
            for (Track track : tracks) {
                Optional<ReadDocument> read = Optional.ofNullable(again.get(track))
                        .filter(each -> track.reading().equals(readings.get(track)));
                if (read.isEmpty() && track.loaded().isPresent()) {
                    // It came or was cut otherwise since.
                    read = Optional.of(open(track, track.version(), track.reading(), rules, Progress.NONE));
                }
                if (read.isPresent()) {
                    TrackSnapshot snapshot = TrackSnapshot.of(
                            track,
                            read.get(),
                            track.journal().replay(track.version().number()));
                    describe(track, snapshot);
                    transaction.set(snapshot);
                    transaction.tell(listener -> listener.reread(snapshot));
                }
            }
            return null;
        }));
    }
}
