package org.swaplane.lane;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.swaplane.check.CheckMaterial;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Profile;
import org.swaplane.document.Fingerprint;
import org.swaplane.extension.ExtensionRules;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.pseudo.PseudoSettings;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.segmentation.Srx;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.terms.TermListReader;

/** One job for one client: a folder with the files as they came, and a database with everything that was done. */
public final class Lane implements AutoCloseable {
    private static final String DATABASE = "lane.db";
    private static final String SEGMENTATION = "segmentation.srx";
    private static final String DOCUMENTS = "document-options/";
    private static final String PSEUDO = "pseudo-translation";
    private static final String PROFILE = "check-profile";
    private static final String RULES = "extension-rules";
    private static final String CODE_ALPHABET = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";

    private final Path folder;
    private final Clock clock;
    private final FormatRegistry formats;
    private final Database database;
    private final KeptFiles files;
    private volatile List<Track> tracks = List.of();

    private Lane(Path folder, FormatRegistry formats, Clock clock) throws IOException {
        this.folder = folder;
        this.clock = clock;
        this.formats = formats;
        for (String name : List.of("files", "out", "reports", "sent", "dry-run")) {
            Files.createDirectories(folder.resolve(name));
        }
        this.files = new KeptFiles(folder.resolve("files"));
        this.database = new Database(folder.resolve(DATABASE));
    }

    /** Makes a new lane in a folder that holds none yet. */
    public static Lane create(Path folder, String name, FormatRegistry formats, Clock clock) throws IOException {
        if (Files.exists(folder.resolve(DATABASE))) {
            throw new CannotProceedException(
                    folder.toString(), "there is a lane already", "open it, or choose another folder");
        }
        Lane lane = new Lane(folder, formats, clock);
        lane.set("id", UUID.randomUUID().toString());
        lane.set("name", name);
        return lane;
    }

    /** Opens a lane and reads its files. */
    public static Lane open(Path folder, FormatRegistry formats, Clock clock, Progress progress) throws IOException {
        if (!Files.exists(folder.resolve(DATABASE))) {
            throw new CannotProceedException(
                    folder.toString(), "there is no lane in this folder", "choose the folder of a lane");
        }
        Lane lane = new Lane(folder, formats, clock);
        try {
            lane.readTracks(progress);
            return lane;
        } catch (IOException | RuntimeException e) {
            lane.close();
            throw e;
        }
    }

    private void readTracks(Progress progress) throws IOException {
        record Stored(long id, String name, String sha256) {}
        List<Stored> stored = database.query(
                row -> new Stored(row.getLong(1), row.getString(2), row.getString(3)),
                "select id, name, sha256 from track order by id");
        List<Track> read = new ArrayList<>();
        for (Stored each : stored) {
            BilingualFile file = formats.open(files.source(each.name(), each.sha256()), options(each.id()), progress);
            read.add(new Track(each.id(), each.name(), each.sha256(), file, new Journal(database, each.id(), clock)));
        }
        tracks = List.copyOf(read);
    }

    public String id() {
        return setting("id").orElse("");
    }

    public String name() {
        return setting("name").orElse("");
    }

    public Path folder() {
        return folder;
    }

    public Clock clock() {
        return clock;
    }

    public FormatRegistry formats() {
        return formats;
    }

    public Optional<String> setting(String key) {
        return database.query(row -> row.getString(1), "select value from setting where key = ?", key).stream()
                .findFirst();
    }

    public void set(String key, String value) {
        database.update("insert or replace into setting values (?, ?)", key, value);
    }

    /** Who works here; signs every step. */
    public String person() {
        return setting("person").orElseGet(() -> System.getProperty("user.name", ""));
    }

    public List<Track> tracks() {
        return tracks;
    }

    public Track track(long id) {
        return tracks.stream().filter(track -> track.id() == id).findFirst().orElseThrow();
    }

    /**
     * Takes a client file in: reads it, keeps its bytes, and makes a track of it.
     *
     * @throws CannotProceedException when it cannot be read, or is in the lane already; the lane stays as it was
     */
    public Track takeIn(Source source, Progress progress) throws IOException {
        return takeIn(source, FileOptions.NONE, progress);
    }

    /** The same with what is known about the file besides; the lane's own rules for foreign attributes are added. */
    public Track takeIn(Source source, FileOptions options, Progress progress) throws IOException {
        String sha256 = source.sha256();
        if (tracks.stream().anyMatch(track -> track.sha256().equals(sha256))) {
            throw new CannotProceedException(
                    source.name(), "this very file is in the lane already", "there is nothing to do");
        }
        files.keep(source);
        // Read from the kept copy: the sender's file may go away.
        BilingualFile file = readOrForget(source.name(), sha256, options.with(rules()), progress);
        long id = database.update(
                "insert into track (name, sha256, format, added_at, source_language, target_language, segmentation,"
                        + " options) values (?, ?, ?, ?, ?, ?, ?, ?)",
                source.name(),
                sha256,
                file.document().format(),
                clock.instant().toString(),
                options.sourceLanguage(),
                options.targetLanguage(),
                keptSegmentation(options.segmentation()),
                options.document().toJson());
        Track track = new Track(id, source.name(), sha256, file, new Journal(database, id, clock));
        List<Track> all = new ArrayList<>(tracks);
        all.add(track);
        tracks = List.copyOf(all);
        return track;
    }

    private BilingualFile readOrForget(String name, String sha256, FileOptions options, Progress progress)
            throws IOException {
        try {
            return formats.open(files.source(name, sha256), options, progress);
        } catch (IOException | RuntimeException e) {
            files.forget(sha256);
            throw e;
        }
    }

    /** Opens another version of a track's file, with all that the lane knows about it. */
    BilingualFile open(Track track, Source source, Progress progress) throws IOException {
        return formats.open(source, options(track.id()), progress);
    }

    /** Opens a copy that went out, which is recognised anew: that of a document is in another format. */
    BilingualFile openCopy(Track track, Source source, Progress progress) throws IOException {
        FileOptions options = options(track.id());
        return formats.open(
                source, options.with(options.document().withFormat("").withEncoding("")), progress);
    }

    /** What the lane knows about the file of a track. */
    public FileOptions options(Track track) throws IOException {
        return options(track.id());
    }

    private FileOptions options(long track) throws IOException {
        record Stored(String source, String target, String segmentation, String document) {}
        Stored stored = database.query(
                        row -> new Stored(row.getString(1), row.getString(2), row.getString(3), row.getString(4)),
                        "select source_language, target_language, segmentation, options from track where id = ?",
                        track)
                .get(0);
        return FileOptions.ofLanguages(stored.source(), stored.target())
                .with(rules())
                .with(segmentation(stored.segmentation()))
                .with(DocumentOptions.ofJson(folder.toString(), stored.document()));
    }

    /** Tells whether a track's file, and how it is read, are what they were before; of no meaning otherwise. */
    public String version(Track track) {
        String reading = database.query(
                        row -> String.join(
                                "\n", row.getString(1), row.getString(2), row.getString(3), row.getString(4)),
                        "select source_language, target_language, segmentation, options from track where id = ?",
                        track.id())
                .get(0);
        String rules = setting(RULES).orElse("");
        return Fingerprint.sha256(
                String.join("\n", track.sha256(), reading, rules).getBytes(StandardCharsets.UTF_8));
    }

    /** How the lane pseudo-translates. */
    public PseudoSettings pseudo() {
        return setting(PSEUDO).map(PseudoSettings::ofJson).orElse(PseudoSettings.DEFAULT);
    }

    public void setPseudo(PseudoSettings settings) {
        set(PSEUDO, settings.toJson());
    }

    /** Which checks are made here, and how. */
    public Profile profile() {
        return setting(PROFILE)
                .map(json -> Profile.ofJson(folder.toString(), json))
                .orElse(Profile.DEFAULT);
    }

    public void setProfile(Profile profile) {
        set(PROFILE, profile.toJson());
    }

    /**
     * The checks of the lane's profile; its term lists and dictionaries are read anew.
     *
     * @throws CannotProceedException when one of them is not there or cannot be read
     */
    public CheckRun checks() throws IOException {
        Profile profile = profile();
        return CheckRun.of(profile, CheckMaterial.read(profile, folder));
    }

    /** Keeps a term list in the lane's folder {@code reference}, and checks terms by it from now on. */
    public void keepTermList(Source source) throws IOException {
        TermListReader.read(source);
        Path kept = keepReference(source);
        List<String> terms = new ArrayList<>(profile().terms());
        terms.add(folder.relativize(kept).toString().replace('\\', '/'));
        setProfile(profile().withTerms(terms));
    }

    /** How documents of a format are read here when a new one comes in. */
    public DocumentOptions documentOptions(String format) {
        return setting(DOCUMENTS + format)
                .map(json -> DocumentOptions.ofJson(folder.toString(), json))
                .orElse(DocumentOptions.DEFAULT);
    }

    /** Sets how the next documents of a format are read; those that are here stay as they are. */
    public void setDocumentOptions(String format, DocumentOptions options) {
        set(DOCUMENTS + format, options.forOthers().toJson());
    }

    /** Rules that a track was cut by must never change under its journal, so they are kept as a file of their own. */
    private String keptSegmentation(SegmentationRules rules) throws IOException {
        ByteArrayOutputStream srx = new ByteArrayOutputStream();
        Srx.write(rules, srx);
        return files.keep(Source.of(SEGMENTATION, srx.toByteArray()));
    }

    private SegmentationRules segmentation(String sha256) throws IOException {
        // A track of an earlier version is a bilingual file, which has segments of its own.
        if (sha256.isEmpty()) {
            return SegmentationRules.BY_PARAGRAPH;
        }
        try (InputStream in = files.source(SEGMENTATION, sha256).open()) {
            return Srx.read(SEGMENTATION, in);
        }
    }

    /**
     * Reads a track anew whose segments were joined or split; what is done to its journal and how it is read from now on is one
     * transaction.
     */
    Track recut(Track track, DocumentOptions options, Consumer<Journal> journalled, Progress progress)
            throws IOException {
        Journal journal = new Journal(database, track.id(), clock);
        BilingualFile file = formats.open(original(track), options(track.id()).with(options), progress);
        database.transaction(() -> {
            database.update("update track set options = ? where id = ?", options.toJson(), track.id());
            journalled.accept(journal);
            return track;
        });
        Track again = new Track(track.id(), track.name(), track.sha256(), file, journal);
        tracks = tracks.stream().map(each -> each == track ? again : each).toList();
        return again;
    }

    /** What foreign attributes and elements mean here. */
    public ExtensionRules rules() {
        return setting(RULES)
                .map(json -> ExtensionRules.ofJson(folder.toString(), json))
                .orElse(ExtensionRules.NONE);
    }

    /** Sets the rules and reads all files anew by them; the tracks are new objects afterwards. */
    public void setRules(ExtensionRules rules, Progress progress) throws IOException {
        set(RULES, rules.toJson());
        readTracks(progress);
    }

    /** Keeps a file that is only looked at, in the lane's folder {@code reference}. */
    public Path keepReference(Source source) throws IOException {
        Files.createDirectories(folder.resolve("reference"));
        Path path = free("reference", Path.of(source.name()).getFileName().toString());
        try (InputStream in = source.open()) {
            NewFile.write(path, false, in::transferTo);
        }
        return path;
    }

    /** When the file of a track came in. */
    public Instant takenInAt(Track track) {
        return database.query(
                        row -> Instant.parse(row.getString(1)), "select added_at from track where id = ?", track.id())
                .get(0);
    }

    /** The client's file as it came. */
    public Source original(Track track) {
        return files.source(track.name(), track.sha256());
    }

    public TripStore trips() {
        return new TripStore(database, files, clock);
    }

    public FindingStore findings() {
        return new FindingStore(database, clock);
    }

    public ProofStore proofs() {
        return new ProofStore(database, clock);
    }

    /** A code for a new trip, in letters and digits that people do not mistake for each other. */
    public String newTripCode() {
        SecureRandom random = new SecureRandom();
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < 5; i++) {
            code.append(CODE_ALPHABET.charAt(random.nextInt(CODE_ALPHABET.length())));
        }
        return code.toString();
    }

    /** A path in one of the lane's own folders that no file has yet: {@code name-2.ext} when {@code name.ext} is there. */
    public Path free(String subfolder, String name) {
        return firstFree(folder.resolve(subfolder), name);
    }

    private static Path firstFree(Path parent, String name) {
        int dot = name.lastIndexOf('.');
        String stem = dot < 0 ? name : name.substring(0, dot);
        String extension = dot < 0 ? "" : name.substring(dot);
        Path path = parent.resolve(name);
        for (int i = 2; Files.exists(path); i++) {
            path = parent.resolve(stem + '-' + i + extension);
        }
        return path;
    }

    @Override
    public void close() {
        database.close();
    }
}
