package org.swaplane.lane;

import static org.swaplane.wording.Wording.text;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.swaplane.document.Fingerprint;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.release.FileNaming;
import org.swaplane.release.Gate;
import org.swaplane.release.ReleaseForm;
import org.swaplane.release.ReleaseManifest;
import org.swaplane.release.ReleaseOptions;
import org.swaplane.release.ReleasedFile;
import org.swaplane.report.Report;
import org.swaplane.report.ReportForm;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Closing;
import org.swaplane.task.Parallel;
import org.swaplane.task.Progress;

/**
 * Releases tracks in one step: everything is written beside, read again and compared with what stands in the lane. Then the
 * release is recorded, and the whole package is moved to its place; where that fails, the record is taken back. One that was interrupted
 * between the two is finished when the lane is opened again ({@link ReleaseStaging}).
 */
public final class Packaging {
    private static final String OUT = "out";
    private static final LocalDateTime ALWAYS = LocalDateTime.of(1980, 1, 1, 0, 0);

    private final Lane lane;
    private final ReleaseConditions conditions;
    private final TrackOutput output;

    public Packaging(Lane lane, ReleaseConditions conditions) {
        this.lane = lane;
        this.conditions = conditions;
        this.output = new TrackOutput(lane);
    }

    /**
     * A file that will be written.
     *
     * @param path in the package
     */
    public record Planned(Track track, ReleaseForm form, String path) {}

    /** A track at the moment that is released, and how it stood then. */
    private record Chosen(TrackSnapshot snapshot, Gate gate) {}

    private record Written(Planned planned, TrackSnapshot snapshot, ReleasedFile file) {}

    /**
     * The files that a release would have, in its order.
     *
     * @throws CannotProceedException when two of them would be called the same, or a pattern gives no name
     */
    public List<Planned> plan(List<Track> tracks, ReleaseOptions options) {
        int number = lane.releases().nextNumber();
        List<Planned> all = new ArrayList<>();
        Map<String, Planned> byPath = new HashMap<>();
        if (options.manifest() != ReleaseOptions.Manifest.NONE) {
            byPath.put(ReleaseManifest.name(options.manifest()), null);
        }
        for (Track track : tracks) {
            Map<String, String> fields = fields(track, options, number);
            for (ReleaseOptions.Output form : options.outputs()) {
                String original = form.form().named(track.name());
                String folder = new FileNaming(form.folders()).folder(original, fields);
                String name = (form.names().isEmpty() ? lane.settings().naming() : new FileNaming(form.names()))
                        .name(original, fields);
                Planned planned = new Planned(track, form.form(), folder.isEmpty() ? name : folder + '/' + name);
                // Some file systems do not tell cases apart.
                String key = planned.path().toLowerCase(Locale.ROOT);
                if (byPath.containsKey(key)) {
                    Planned other = byPath.get(key);
                    throw new CannotProceedException(
                            planned.path(),
                            "problem.release-same-name",
                            other == null ? planned.path() : placed(other.track()),
                            placed(track));
                }
                byPath.put(key, planned);
                all.add(planned);
            }
        }
        return all;
    }

    /** A track with its folder and language. */
    static String placed(Track track) {
        String folder = track.plan().folder();
        return (folder.isEmpty() ? "" : folder + '/') + track.name() + " ("
                + track.summary().targetLanguage() + ')';
    }

    private Map<String, String> fields(Track track, ReleaseOptions options, int number) {
        Map<String, String> fields = new HashMap<>(fields(number));
        fields.put("path", track.plan().folder());
        fields.put("source", options.code(track.summary().sourceLanguage()));
        fields.put("target", options.code(track.summary().targetLanguage()));
        fields.put("version", String.valueOf(track.version().number()));
        return fields;
    }

    private Map<String, String> fields(int number) {
        return Map.of(
                "lane",
                lane.name(),
                "initials",
                lane.settings().initials(),
                "date",
                LocalDate.ofInstant(lane.clock().instant(), ZoneOffset.UTC).toString(),
                "release",
                String.valueOf(number));
    }

    /** What keeps these tracks from being released, by track: what is not met and not waived. */
    public Map<Track, List<Gate.Condition>> open(List<Track> tracks, Progress progress) throws IOException {
        Map<Long, Map<String, Release.Waiver>> waivers = lane.releases().waivers();
        Map<Track, List<Gate.Condition>> open = new LinkedHashMap<>();
        List<Gate> gates = Parallel.map(tracks, track -> conditions.of(track, Progress.NONE), progress);
        for (int i = 0; i < tracks.size(); i++) {
            Track track = tracks.get(i);
            List<Gate.Condition> here =
                    gates.get(i).open(waivers.getOrDefault(track.id(), Map.of()).keySet());
            if (!here.isEmpty()) {
                open.put(track, here);
            }
        }
        return open;
    }

    /**
     * Releases tracks as they stand now.
     *
     * @param reason why it goes although conditions are not met; empty when they are met or waived
     * @throws CannotProceedException when one is not and no reason is given, or a file does not read back; then nothing is written
     */
    public Release release(List<Track> tracks, ReleaseOptions options, String reason, Progress progress)
            throws IOException {
        return releaseAll(plan(tracks, options), options, reason, progress);
    }

    /** The same of these files under these paths and no others, in a zip whose name a pattern gives. */
    public Release releaseAs(List<Planned> plan, String packageName, String reason, Progress progress)
            throws IOException {
        ReleaseOptions options =
                ReleaseOptions.DEFAULT.packed(ReleaseOptions.Packing.ZIP, packageName, ReleaseOptions.Manifest.NONE);
        return releaseAll(plan, options, reason, progress);
    }

    private Release releaseAll(List<Planned> plan, ReleaseOptions options, String reason, Progress progress)
            throws IOException {
        synchronized (lane.releases()) {
            if (plan.isEmpty()) {
                throw new CannotProceedException(lane.name(), "problem.release-nothing");
            }
            List<Track> tracks = plan.stream().map(Planned::track).distinct().toList();
            Map<Long, Map<String, Release.Waiver>> waivers = lane.releases().waivers();
            Map<Track, Chosen> chosen = chosen(tracks, waivers, reason, progress);
            ReleaseStaging staging = ReleaseStaging.make(
                    lane.folder().resolve(OUT), lane.releases().nextNumber());
            try {
                return release(plan, chosen, options, waivers, reason.strip(), staging, progress);
            } finally {
                staging.delete();
            }
        }
    }

    private Map<Track, Chosen> chosen(
            List<Track> tracks, Map<Long, Map<String, Release.Waiver>> waivers, String reason, Progress progress)
            throws IOException {
        List<Chosen> all = Parallel.map(tracks, this::standing, progress);
        Map<Track, Chosen> chosen = new LinkedHashMap<>();
        List<String> held = new ArrayList<>();
        for (int i = 0; i < tracks.size(); i++) {
            Track track = tracks.get(i);
            chosen.put(track, all.get(i));
            all.get(i)
                    .gate()
                    .open(waivers.getOrDefault(track.id(), Map.of()).keySet())
                    .forEach(condition -> held.add(placed(track) + ": " + condition.message()));
        }
        if (!held.isEmpty() && reason.isBlank()) {
            throw new CannotProceedException(
                    lane.name(),
                    "problem.release-held",
                    held.size(),
                    held.stream().limit(3).collect(Collectors.joining("; ")));
        }
        return chosen;
    }

    /** A track and its conditions at one and the same moment. */
    private Chosen standing(Track track) throws IOException {
        for (int attempt = 0; attempt < 3; attempt++) {
            long before = conditions.changes(track);
            TrackSnapshot snapshot = track.now(Progress.NONE);
            Gate gate = conditions.of(track, Progress.NONE);
            if (conditions.changes(track) == before) {
                return new Chosen(snapshot, gate);
            }
        }
        TrackSnapshot snapshot = track.now(Progress.NONE);
        return new Chosen(snapshot, conditions.of(snapshot, Progress.NONE));
    }

    private Release release(
            List<Planned> plan,
            Map<Track, Chosen> chosen,
            ReleaseOptions options,
            Map<Long, Map<String, Release.Waiver>> waivers,
            String reason,
            ReleaseStaging staging,
            Progress progress)
            throws IOException {
        for (Planned planned : plan) {
            Files.createDirectories(staging.file(planned.path()).getParent());
        }
        List<Written> written = Parallel.map(
                plan, each -> written(each, chosen.get(each.track()).snapshot(), options, staging), progress);
        progress.checkCancelled();
        List<ReleasedFile> files = written.stream().map(Written::file).toList();
        if (options.manifest() != ReleaseOptions.Manifest.NONE) {
            NewFile.write(
                    staging.file(ReleaseManifest.name(options.manifest())),
                    false,
                    out -> ReleaseManifest.write(options.manifest(), files, out));
        }
        int number = staging.number();
        boolean zipped = options.packing() == ReleaseOptions.Packing.ZIP;
        String name = new FileNaming(options.packageName()).name("", fields(number));
        if (zipped) {
            zip(written, options, staging);
        }
        Release release = new Release(
                number,
                lane.clock().instant(),
                lane.settings().person(),
                fileName(lane.free(OUT, zipped ? name + ".zip" : name)),
                zipped ? Source.of(staging.zip()).sha256() : "",
                files.size(),
                chosen.values().stream()
                        .mapToInt(each -> each.snapshot().size())
                        .sum(),
                chosen.values().stream()
                        .mapToInt(each -> words(each.snapshot()))
                        .sum(),
                reason,
                fileName(lane.free(OUT, "release-" + number + ".receipt.html")));
        List<Release.Condition> asked = asked(chosen, waivers, reason);
        List<TrackSnapshot> snapshots =
                chosen.values().stream().map(Chosen::snapshot).toList();
        Report page = new ReleaseReceipt(lane.findings()).of(release, lane.name(), snapshots, files, asked);
        NewFile.write(staging.receipt(), false, out -> ReportForm.HTML.write(page, out));
        List<Trip> delivered = lane.trips().kept(delivered(written, staging));
        staging.force();
        lane.releases()
                .add(
                        release,
                        written.stream()
                                .map(each -> new ReleaseStore.Entry(
                                        each.planned().track().id(),
                                        each.planned().track().version().number(),
                                        each.file()))
                                .toList(),
                        asked,
                        chosen.keySet(),
                        transaction -> lane.trips().sent(delivered, transaction));
        publish(release, delivered, chosen.keySet(), staging);
        return release;
    }

    private static String fileName(Path path) {
        return path.getFileName().toString();
    }

    /** It is recorded by now: either it comes to be seen, or the record is taken back. */
    private void publish(Release release, List<Trip> delivered, Set<Track> tracks, ReleaseStaging staging)
            throws IOException {
        try {
            staging.publish(release);
        } catch (IOException | RuntimeException e) {
            Closing.after(e, () -> staging.unpublish(release), () -> lane.releases()
                    .takeBack(release, tracks, transaction -> lane.trips().takeBack(delivered, transaction)));
            throw e;
        }
    }

    private Written written(Planned planned, TrackSnapshot track, ReleaseOptions options, ReleaseStaging staging)
            throws IOException {
        Path path = staging.file(planned.path());
        String wrong = output.write(track, planned.form(), path, Progress.NONE);
        if (!wrong.isEmpty()) {
            throw new CannotProceedException(placed(planned.track()), "problem.not-released", wrong);
        }
        String folder = planned.track().plan().folder();
        return new Written(
                planned,
                track,
                new ReleasedFile(
                        planned.path(),
                        folder.isEmpty() ? track.name() : folder + '/' + track.name(),
                        planned.form(),
                        options.code(planned.track().summary().sourceLanguage()),
                        options.code(planned.track().summary().targetLanguage()),
                        track.size(),
                        words(track),
                        Files.size(path),
                        Source.of(path).sha256()));
    }

    private static int words(TrackSnapshot track) {
        return IntStream.range(0, track.size()).map(track::words).sum();
    }

    /** Writes the zip and reads it again: it must hold these files and no others. */
    private void zip(List<Written> written, ReleaseOptions options, ReleaseStaging staging) throws IOException {
        Map<String, String> expected = new LinkedHashMap<>();
        written.forEach(each -> expected.put(each.file().path(), each.file().sha256()));
        if (options.manifest() != ReleaseOptions.Manifest.NONE) {
            String name = ReleaseManifest.name(options.manifest());
            expected.put(name, Source.of(staging.file(name)).sha256());
        }
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(staging.zip()));
                ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
            for (String path : expected.keySet()) {
                ZipEntry entry = new ZipEntry(path);
                // The same files make the same package, whenever it is made.
                entry.setTimeLocal(ALWAYS);
                zip.putNextEntry(entry);
                Files.copy(staging.file(path), zip);
                zip.closeEntry();
            }
        }
        Map<String, String> found = new LinkedHashMap<>();
        try (ZipFile zip = new ZipFile(staging.zip().toFile(), StandardCharsets.UTF_8)) {
            for (ZipEntry entry : zip.stream().toList()) {
                try (InputStream in = zip.getInputStream(entry)) {
                    found.put(entry.getName(), Fingerprint.sha256(in));
                }
            }
        }
        if (!found.equals(expected)) {
            throw new CannotProceedException(lane.name(), "problem.not-released", text("gate.write-back.package"));
        }
    }

    private List<Release.Condition> asked(
            Map<Track, Chosen> chosen, Map<Long, Map<String, Release.Waiver>> waivers, String reason) {
        List<Release.Condition> asked = new ArrayList<>();
        chosen.forEach((track, each) -> each.gate()
                .conditions()
                .forEach(condition -> asked.add(new Release.Condition(
                        track.id(),
                        condition.id(),
                        condition.holds(),
                        condition.holds() ? "" : reason(waivers, track, condition.id(), reason)))));
        return asked;
    }

    private static String reason(
            Map<Long, Map<String, Release.Waiver>> waivers, Track track, String condition, String otherwise) {
        Release.Waiver waiver = waivers.getOrDefault(track.id(), Map.of()).get(condition);
        return waiver == null ? otherwise : waiver.reason();
    }

    /** A bilingual file that the client edits and sends back is known again, and compared with what was delivered. */
    private List<TripStore.Sending> delivered(List<Written> written, ReleaseStaging staging) {
        String client = lane.settings().detail(LaneDetail.CLIENT);
        SendRequest delivered =
                SendRequest.of(client.isEmpty() ? lane.name() : client, Purpose.DELIVERY, SendRequest.Form.FILE);
        List<TripStore.Sending> all = new ArrayList<>();
        for (Written each : written) {
            if (each.planned().form() == ReleaseForm.FILE && !each.snapshot().isDocument()) {
                all.add(new TripStore.Sending(
                        lane.trips().newCode(),
                        each.planned().track(),
                        delivered.people().get(0),
                        delivered,
                        Source.of(staging.file(each.planned().path())),
                        each.file().words()));
            }
        }
        return all;
    }

    /** Writes a file as it stands now into the lane's folder {@code preview}, over an earlier one, only to be looked at. */
    public Path preview(TrackSnapshot track, Progress progress) throws IOException {
        String planned = plan(List.of(track.track()), lane.settings().releaseOptions())
                .get(0)
                .path();
        Path file = lane.folder().resolve("preview").resolve(Path.of(planned).getFileName());
        Files.createDirectories(file.getParent());
        NewFile.write(file, true, out -> track.write(out, progress));
        return file;
    }

    /** Puts the client's file into the lane's folder {@code preview}, only to be looked at. */
    public Path original(TrackSnapshot track) throws IOException {
        Path file = lane.folder().resolve("preview").resolve("original-" + track.name());
        Files.createDirectories(file.getParent());
        try (InputStream in = lane.trackStore().original(track.track()).open()) {
            NewFile.write(file, true, in::transferTo);
        }
        return file;
    }
}
