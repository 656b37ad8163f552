package org.swaplane.lane;

import java.nio.file.Path;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.swaplane.check.Profile;
import org.swaplane.extension.ExtensionRules;
import org.swaplane.format.DocumentOptions;
import org.swaplane.memory.WordWeights;
import org.swaplane.pseudo.PseudoSettings;
import org.swaplane.release.FileNaming;
import org.swaplane.release.ReleaseOptions;

/** The settings of one lane, read once when it is opened. Reading them waits for nothing; setting them is a change like any other. */
public final class LaneSettings {
    static final String RULES = "extension-rules";
    private static final String DOCUMENTS = "document-options/";
    private static final String PSEUDO = "pseudo-translation";
    private static final String PROFILE = "check-profile";
    private static final String DRAFT_CONSENT = "draft-consent";
    private static final String NAMING = "naming";
    private static final String IDLE_LIMIT = "idle-limit-seconds";
    private static final String REVIEWED_ERRORS = "reviewed-with-errors";
    private static final Duration DEFAULT_IDLE_LIMIT = Duration.ofSeconds(60);

    private final Path folder;
    private final Database database;
    private final LaneWriter writer;
    private final Map<String, String> values = new ConcurrentHashMap<>();

    LaneSettings(Path folder, Database database, LaneWriter writer) {
        this.folder = folder;
        this.database = database;
        this.writer = writer;
        database.query(row -> values.put(row.getString(1), row.getString(2)), "select key, value from setting");
    }

    public Optional<String> get(String key) {
        return Optional.ofNullable(values.get(key));
    }

    /** Sets a value; it holds as soon as it is on disk, when the future is done, and never where it could not be written. */
    public CompletableFuture<Void> set(String key, String value) {
        return writer.submit(transaction -> {
            write(key, value, transaction);
            return null;
        });
    }

    /** The same as a part of another change, which it waits for. */
    void write(String key, String value, LaneTransaction transaction) {
        database.update("insert or replace into setting values (?, ?)", key, value);
        transaction.afterwards(() -> values.put(key, value));
        transaction.tell(listener -> listener.settingChanged(key));
    }

    public String id() {
        return get("id").orElse("");
    }

    public String name() {
        return get("name").orElse("");
    }

    /** What this lane says itself of a detail; empty where the default holds. */
    public Optional<String> own(LaneDetail detail) {
        return get(detail.key());
    }

    /** What holds for a detail here. */
    public String detail(LaneDetail detail) {
        return own(detail).orElse(detail.standard());
    }

    public CompletableFuture<Void> set(LaneDetail detail, String value) {
        return set(detail.key(), value);
    }

    /** Lets the default hold again. */
    public CompletableFuture<Void> reset(LaneDetail detail) {
        return writer.submit(transaction -> {
            database.update("delete from setting where key = ?", detail.key());
            transaction.afterwards(() -> values.remove(detail.key()));
            transaction.tell(listener -> listener.settingChanged(detail.key()));
            return null;
        });
    }

    /** The languages into which documents go here. */
    public List<String> targetLanguages() {
        return Stream.of(detail(LaneDetail.TARGET_LANGUAGES).split("\\s+"))
                .filter(code -> !code.isEmpty())
                .toList();
    }

    /** Ids of the conditions of a release that are asked here. */
    public Set<String> releaseConditions() {
        return Set.of(detail(LaneDetail.RELEASE_CONDITIONS).strip().split("\\s+"));
    }

    /** What the client wants to get. */
    public ReleaseOptions releaseOptions() {
        String written = detail(LaneDetail.RELEASE_OPTIONS);
        return written.isEmpty() ? ReleaseOptions.DEFAULT : ReleaseOptions.parse(written);
    }

    /**
     * Sets what the client wants to get.
     *
     * @throws CannotProceedException when a pattern gives no name; what was set before stays
     */
    public CompletableFuture<Void> setReleaseOptions(ReleaseOptions options) {
        for (ReleaseOptions.Output each : options.outputs()) {
            if (!each.names().isEmpty()) {
                new FileNaming(each.names()).name("sample.xlf", FileNaming.SAMPLE);
            }
            new FileNaming(each.folders()).folder("sample.xlf", FileNaming.SAMPLE);
        }
        new FileNaming(options.packageName()).name("", FileNaming.SAMPLE);
        return set(LaneDetail.RELEASE_OPTIONS, options.toJson());
    }

    /** What was offered before the work. */
    public Optional<Offer> offer() {
        return Offer.parse(detail(LaneDetail.OFFER));
    }

    public CompletableFuture<Void> setOffer(Offer offer) {
        return set(LaneDetail.OFFER, offer.toJson());
    }

    /** How much words count here by their match. */
    public WordWeights wordWeights() {
        return WordWeights.parse(detail(LaneDetail.WORD_WEIGHTS)).orElse(WordWeights.NONE);
    }

    /** The draft service, by its address, that texts of this lane may be sent to; empty for none. */
    public String draftConsent() {
        return get(DRAFT_CONSENT).orElse("");
    }

    public CompletableFuture<Void> setDraftConsent(String address) {
        return set(DRAFT_CONSENT, address);
    }

    /** Takes over how another lane works: everything but what it is, when it is due, and where its texts may be sent. */
    public CompletableFuture<Void> copyFrom(LaneSettings other) {
        Map<String, String> copied = new HashMap<>(other.values);
        List.of("id", LaneDetail.NAME.key(), LaneDetail.DUE.key(), DRAFT_CONSENT)
                .forEach(copied::remove);
        return writer.submit(transaction -> {
            copied.forEach((key, value) -> write(key, value, transaction));
            return null;
        });
    }

    /** Who works here; signs every step. */
    public String person() {
        return get("person").orElseGet(() -> System.getProperty("user.name", ""));
    }

    /** Initials of that person: those that were given, else the first letters of the name. */
    public String initials() {
        return own(LaneDetail.INITIALS).orElseGet(() -> Initials.of(person()));
    }

    /** The longest time without key, click or scroll that still counts as work at a segment. */
    public Duration idleLimit() {
        return get(IDLE_LIMIT)
                .map(seconds -> Duration.ofSeconds(Long.parseLong(seconds)))
                .orElse(DEFAULT_IDLE_LIMIT);
    }

    public CompletableFuture<Void> setIdleLimit(Duration limit) {
        return set(IDLE_LIMIT, String.valueOf(limit.toSeconds()));
    }

    /** Whether a segment with an error may be marked as reviewed here. */
    public boolean allowsReviewedErrors() {
        return get(REVIEWED_ERRORS).map(Boolean::valueOf).orElse(true);
    }

    public CompletableFuture<Void> setAllowsReviewedErrors(boolean allowed) {
        return set(REVIEWED_ERRORS, String.valueOf(allowed));
    }

    /** How the lane pseudo-translates. */
    public PseudoSettings pseudo() {
        return get(PSEUDO).map(PseudoSettings::ofJson).orElse(PseudoSettings.DEFAULT);
    }

    public CompletableFuture<Void> setPseudo(PseudoSettings settings) {
        return set(PSEUDO, settings.toJson());
    }

    /** Which checks are made here, and how. */
    public Profile profile() {
        return get(PROFILE).map(json -> Profile.ofJson(folder.toString(), json)).orElse(Profile.DEFAULT);
    }

    public CompletableFuture<Void> setProfile(Profile profile) {
        return set(PROFILE, profile.toJson());
    }

    /** The pattern that names of results are made by. */
    public FileNaming naming() {
        return get(NAMING).map(FileNaming::new).orElse(FileNaming.DEFAULT);
    }

    CompletableFuture<Void> setNaming(FileNaming naming) {
        return set(NAMING, naming.pattern());
    }

    /** How documents of a format are read here when a new one comes in. */
    public DocumentOptions documentOptions(String format) {
        return get(DOCUMENTS + format)
                .map(json -> DocumentOptions.ofJson(folder.toString(), json))
                .orElse(DocumentOptions.DEFAULT);
    }

    /** Sets how the next documents of a format are read; those that are here stay as they are. */
    public CompletableFuture<Void> setDocumentOptions(String format, DocumentOptions options) {
        return set(DOCUMENTS + format, options.forOthers().toJson());
    }

    /** Lets documents of a format be read as by default again. */
    public CompletableFuture<Void> resetDocumentOptions(String format) {
        return set(DOCUMENTS + format, "");
    }

    /** How documents are read here where it is not as by default, by format. */
    public SortedMap<String, DocumentOptions> ownDocumentOptions() {
        SortedMap<String, DocumentOptions> own = new TreeMap<>();
        values.forEach((key, value) -> {
            if (key.startsWith(DOCUMENTS) && !value.isEmpty()) {
                own.put(key.substring(DOCUMENTS.length()), documentOptions(key.substring(DOCUMENTS.length())));
            }
        });
        return own;
    }

    /** What foreign attributes and elements mean here; see {@link TrackStore#setRules}. */
    public ExtensionRules rules() {
        return get(RULES)
                .map(json -> ExtensionRules.ofJson(folder.toString(), json))
                .orElse(ExtensionRules.NONE);
    }
}
