package org.swaplane.intake;

import java.io.IOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Counts;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Segment;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.PackagePath;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.intake.Arrival.Role;
import org.swaplane.lane.Lane;
import org.swaplane.lane.OtherLanes;
import org.swaplane.lane.ReturnImport;
import org.swaplane.lane.Track;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.terms.TermListReader;
import org.swaplane.wording.Reason;

/** Reads whatever was dropped on a lane. What cannot be read is listed with the reason, and the rest goes on. */
public final class Arrivals {
    private static final Set<String> PICTURES =
            Set.of("png", "jpg", "jpeg", "gif", "svg", "webp", "tif", "tiff", "bmp");
    private static final Set<String> REFERENCES =
            Set.of("pdf", "doc", "xls", "ppt", "rtf", "odt", "ods", "odp", "eml", "msg");

    private final Lane lane;
    private final OtherLanes others;
    private final FileOptions options;
    private final Set<String> fingerprints = new HashSet<>();

    /** {@code options} are for documents, which do not say their languages, and for bilingual files that name no target. */
    public Arrivals(Lane lane, FileOptions options) {
        this(lane, OtherLanes.NONE, options);
    }

    /** @param others where copies may belong that the lane did not send */
    public Arrivals(Lane lane, OtherLanes others, FileOptions options) {
        this.lane = lane;
        this.options = options;
        this.others = others;
    }

    /** Everything in these files, folders and zips. */
    public List<Arrival> read(List<Path> paths, Progress progress) throws IOException {
        List<Found> found = new ArrayList<>();
        for (Path path : paths) {
            collect(path, found);
        }
        List<Arrival> arrivals = new ArrayList<>();
        for (Found each : found) {
            progress.checkCancelled();
            progress.at(arrivals.size(), found.size());
            if (!each.refusal().isEmpty()) {
                arrivals.add(Arrival.unread(each.source(), Role.UNREADABLE, options, each.refusal())
                        .in(each.folder()));
                continue;
            }
            Source kept = each.kept() ? each.source() : lane.trackStore().keep(each.source());
            read(kept, withDefaults(kept), progress).forEach(arrival -> arrivals.add(arrival.in(each.folder())));
        }
        return arrivals;
    }

    /**
     * A file, and where it lay in what arrived.
     *
     * @param kept whether the lane has its bytes already
     * @param refusal why it cannot be used; empty where it can
     */
    private record Found(Source source, String folder, boolean kept, String refusal) {
        Found(Source source, String folder) {
            this(source, folder, false, "");
        }
    }

    /** How documents of this kind are read in the lane. */
    private FileOptions withDefaults(Source source) throws IOException {
        FileOptions inLane = options.with(lane.trackStore().newSegmentation());
        Optional<String> format = lane.formats().recognise(source);
        return format.isPresent() ? inLane.with(lane.settings().documentOptions(format.get())) : inLane;
    }

    /** Reads some of what arrived in another way, and the rest as before, so that what repeats is counted anew. */
    public List<Arrival> readAgain(
            List<Arrival> arrivals, Predicate<Arrival> which, UnaryOperator<FileOptions> change, Progress progress) {
        List<Arrival> again = new ArrayList<>();
        for (Arrival arrival : arrivals) {
            progress.checkCancelled();
            progress.at(again.size(), arrivals.size());
            // How documents are read does not concern a copy that came back.
            if (which.test(arrival) && arrival.returned().isEmpty()) {
                read(arrival.source(), change.apply(arrival.options()), progress)
                        .forEach(read -> again.add(read.in(arrival.folder())));
            } else {
                again.add(recounted(arrival));
            }
        }
        return again;
    }

    private Arrival recounted(Arrival arrival) {
        if (arrival.file().isEmpty()) {
            return arrival;
        }
        Arrival counted = taken(
                        arrival.source(), arrival.options(), arrival.file().get())
                .in(arrival.folder())
                .sameAs(arrival.same());
        return arrival.version().map(counted::as).orElse(counted);
    }

    private void collect(Path path, List<Found> found) throws IOException {
        if (!Files.isDirectory(path)) {
            collectFile(path, "", found);
            return;
        }
        List<Path> inside = new ArrayList<>();
        Files.walkFileTree(path, new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
                inside.add(file);
                return FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult visitFileFailed(Path file, IOException e) {
                found.add(refused(file, "", Reason.of(e)));
                return FileVisitResult.CONTINUE;
            }
        });
        Collections.sort(inside);
        for (Path file : inside) {
            collectFile(file, folder(path.relativize(file).toString()), found);
        }
    }

    private static Found refused(Path file, String folder, String why) {
        return new Found(Source.of(file), folder, false, why);
    }

    /** Hidden files are left by file managers and nobody sends them on purpose. */
    private void collectFile(Path file, String folder, List<Found> found) throws IOException {
        String name = file.getFileName().toString();
        if (isHidden(name)) {
            return;
        }
        if (!Files.isRegularFile(file)) {
            found.add(refused(file, folder, new CannotProceedException(name, "problem.no-file").getMessage()));
        } else if (name.toLowerCase(Locale.ROOT).endsWith(".zip")) {
            collectArchive(file, folder, found);
        } else {
            found.add(new Found(Source.of(file), folder));
        }
    }

    /** Its files are kept at once, so that one archive is in memory at a time. What cannot be used keeps nothing else away. */
    private void collectArchive(Path file, String folder, List<Found> found) throws IOException {
        Map<String, byte[]> entries;
        try {
            String name = file.getFileName().toString();
            entries = SafeZip.read(
                    Source.of(file),
                    entry -> !entry.endsWith("/") && !isHidden(entry),
                    twice -> found.add(refused(
                            file,
                            folder,
                            new CannotProceedException(name, "problem.archive-entry-twice", twice).getMessage())));
            if (entries.isEmpty()) {
                throw new CannotProceedException(file.getFileName().toString(), "problem.archive-empty");
            }
        } catch (CannotProceedException | IOException e) {
            found.add(refused(file, folder, Reason.of(e)));
            return;
        }
        for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
            try {
                // Some programs write the separators of their own system.
                PackagePath path = new PackagePath(entry.getKey().replace('\\', '/'));
                Source kept = lane.trackStore().keep(Source.of(path.fileName(), entry.getValue()));
                found.add(new Found(kept, folder(folder + '/' + path.value()), true, ""));
            } catch (CannotProceedException e) {
                found.add(refused(file, folder, e.getMessage()));
            }
        }
    }

    /** The folders of a path that lead nowhere else. */
    private static String folder(String path) {
        List<String> parts = new ArrayList<>(List.of(path.replace('\\', '/').split("/")));
        parts.remove(parts.size() - 1);
        parts.removeIf(part -> part.isBlank() || part.equals(".") || part.equals(".."));
        return String.join("/", parts);
    }

    private static boolean isHidden(String entry) {
        return lastName(entry).startsWith(".") || entry.startsWith("__MACOSX/");
    }

    private static String lastName(String entry) {
        return entry.substring(entry.replace('\\', '/').lastIndexOf('/') + 1);
    }

    /** What a file is; a copy of several tracks is an arrival for each of them. */
    private List<Arrival> read(Source source, FileOptions how, Progress progress) {
        String name = source.name().toLowerCase(Locale.ROOT);
        String extension = name.substring(name.lastIndexOf('.') + 1);
        if (PICTURES.contains(extension)) {
            return List.of(Arrival.unread(source, Role.PICTURE, how, ""));
        }
        try {
            // Copies come first: as tables they could pass for lists of terms.
            Optional<ReturnedCopy> copy = lane.copies().find(source);
            if (copy.isPresent()) {
                return new ReturnImport(lane, others)
                        .recognisedAll(source, copy.get()).stream()
                                .map(each -> returned(how, each))
                                .toList();
            }
            if (TermListReader.recognises(source)) {
                return List.of(Arrival.unread(source, Role.TERMS, how, ""));
            }
            if (how.document().format().isEmpty() && lane.formats().isMemory(source)) {
                return List.of(Arrival.unread(source, Role.MEMORY, how, ""));
            }
            BilingualFile file =
                    lane.formats().open(source, how.with(lane.settings().rules()), progress);
            Optional<ReturnImport.Recognised> back =
                    new ReturnImport(lane).recognise(source, file.document(), progress);
            return List.of(
                    back.isPresent() ? returned(how, back.get()) : known(source, taken(source, how, file), progress));
        } catch (CannotProceedException | IOException e) {
            return List.of(
                    REFERENCES.contains(extension)
                            ? Arrival.unread(source, Role.REFERENCE, how, "")
                            : Arrival.unread(source, Role.UNREADABLE, how, Reason.of(e)));
        }
    }

    /** What came again as it was, and what came again in a new version. */
    private Arrival known(Source source, Arrival arrival, Progress progress) throws IOException {
        VersionFinder versions = new VersionFinder(lane);
        List<Track> same = versions.same(source);
        return same.isEmpty()
                ? versions.find(source, arrival.file().orElseThrow(), progress)
                        .map(arrival::as)
                        .orElse(arrival)
                : arrival.sameAs(same);
    }

    private static Arrival returned(FileOptions how, ReturnImport.Recognised copy) {
        return new Arrival(
                copy.copy(),
                Role.RETURNED,
                how,
                Optional.empty(),
                Optional.empty(),
                0,
                false,
                Optional.of(copy),
                "",
                "",
                Optional.empty(),
                List.of());
    }

    private Arrival taken(Source source, FileOptions how, BilingualFile file) {
        BilingualDocument document = file.document();
        Role role = file instanceof DocumentFile ? Role.DOCUMENT : Role.BILINGUAL;
        return new Arrival(
                source,
                role,
                how,
                Optional.of(file),
                Optional.of(Counts.of(document.segments())),
                repetitions(document.segments()),
                true,
                Optional.empty(),
                "",
                "",
                Optional.empty(),
                List.of());
    }

    private int repetitions(List<Segment> segments) {
        int repetitions = 0;
        for (Segment segment : segments) {
            repetitions += fingerprints.add(Fingerprint.of(segment.source())) ? 0 : 1;
        }
        return repetitions;
    }
}
