package org.swaplane.lane;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.swaplane.format.NewFile;
import org.swaplane.task.Progress;

/** Packs the folder of a lane into one file, to be put away. The folder stays. */
public final class LaneArchive {
    private LaneArchive() {}

    /**
     * Packs a lane that nobody has open.
     *
     * @throws LaneInUseException when a program has it open, since what it writes meanwhile would be missing
     */
    public static void pack(Path folder, Path archive, Instant now, Progress progress) throws IOException {
        Optional<LaneLock> lock = LaneLock.take(folder, now);
        if (lock.isEmpty()) {
            throw new LaneInUseException(folder.toString(), LaneLock.holder(folder));
        }
        try (LaneLock held = lock.get()) {
            List<Path> files;
            try (Stream<Path> all = Files.walk(folder)) {
                files = all.filter(Files::isRegularFile)
                        .filter(file -> !held.isAt(file))
                        .sorted()
                        .toList();
            }
            NewFile.write(archive, false, out -> pack(folder, files, out, progress));
        }
    }

    private static void pack(Path folder, List<Path> files, OutputStream out, Progress progress) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out);
        for (int i = 0; i < files.size(); i++) {
            progress.checkCancelled();
            progress.at(i, files.size());
            String name = folder.relativize(files.get(i)).toString().replace('\\', '/');
            zip.putNextEntry(new ZipEntry(folder.getFileName() + "/" + name));
            Files.copy(files.get(i), zip);
        }
        zip.finish();
    }
}
