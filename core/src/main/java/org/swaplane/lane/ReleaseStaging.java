package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.swaplane.format.FolderDeletion;
import org.swaplane.format.PackagePath;
import org.swaplane.task.Durable;

/**
 * A release before it can be seen: a hidden folder in {@code out} with its files, its zip and its receipt, named by its number. Once the
 * release is recorded, they are moved to their places; a program that ended between the two does so when the lane is opened again.
 */
final class ReleaseStaging {
    private static final Logger LOG = Logger.getLogger(ReleaseStaging.class.getName());
    private static final String PREFIX = ".release-";
    private static final Pattern NUMBERED = Pattern.compile("\\.release-(\\d{1,9})");

    private final Path out;
    private final Path folder;
    private final int number;

    private ReleaseStaging(Path out, int number) {
        this.out = out;
        this.number = number;
        this.folder = out.resolve(PREFIX + number);
    }

    /** A new one, in place of one that came to nothing. */
    static ReleaseStaging make(Path out, int number) throws IOException {
        ReleaseStaging staging = new ReleaseStaging(out, number);
        staging.delete();
        Files.createDirectories(staging.files());
        return staging;
    }

    int number() {
        return number;
    }

    private Path files() {
        return folder.resolve("files");
    }

    /**
     * Where a file of the release is written, by its path in the package.
     *
     * @throws org.swaplane.task.CannotProceedException when it would lie elsewhere
     */
    Path file(String path) {
        return new PackagePath(path).in(files());
    }

    Path zip() {
        return folder.resolve("package.zip");
    }

    Path receipt() {
        return folder.resolve("receipt.html");
    }

    /** Has all of it on the disk. */
    void force() throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path each : all.toList()) {
                if (Files.isDirectory(each)) {
                    Durable.folder(each);
                } else {
                    Durable.file(each);
                }
            }
        }
        Durable.folder(out);
    }

    /** Moves a release that is recorded to its places, as far as it is not there yet. */
    void publish(Release release) throws IOException {
        move(release.sha256().isEmpty() ? files() : zip(), out.resolve(release.place()));
        move(receipt(), out.resolve(release.receipt()));
        Durable.folder(out);
    }

    /** Takes back what came to be seen of a release. */
    void unpublish(Release release) throws IOException {
        move(out.resolve(release.place()), release.sha256().isEmpty() ? files() : zip());
        move(out.resolve(release.receipt()), receipt());
    }

    /** Only where it is still to be moved; what lies at the place already is never replaced. */
    private static void move(Path from, Path to) throws IOException {
        if (Files.exists(from)) {
            Files.move(from, to);
        }
    }

    void delete() throws IOException {
        FolderDeletion.delete(folder);
    }

    /** Finishes releases that are recorded and were interrupted, and deletes what came to nothing; what cannot be done now is left for the next time. */
    static void tidy(Path out, ReleaseStore releases) {
        try (Stream<Path> files = Files.list(out)) {
            for (Path left : files.filter(each -> each.getFileName().toString().startsWith(PREFIX))
                    .toList()) {
                tidyOne(left, out, releases);
            }
        } catch (IOException e) {
            LOG.log(Level.WARNING, "an interrupted release is left in " + out, e);
        }
    }

    private static void tidyOne(Path left, Path out, ReleaseStore releases) throws IOException {
        Matcher numbered = NUMBERED.matcher(left.getFileName().toString());
        Optional<Release> recorded =
                numbered.matches() ? releases.get(Integer.parseInt(numbered.group(1))) : Optional.empty();
        if (recorded.isPresent()) {
            new ReleaseStaging(out, recorded.get().number()).publish(recorded.get());
        }
        FolderDeletion.delete(left);
    }
}
