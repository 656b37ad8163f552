package org.swaplane.format;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Stream;
import org.swaplane.task.Closing;

/**
 * A folder for copies of clients' texts that must not outlive their use: only its owner can read it, it is deleted when it is closed, and
 * what a program that was killed left is deleted by the next one ({@link #tidy}).
 */
public final class TemporaryFolder implements AutoCloseable {
    private static final Logger LOG = Logger.getLogger(TemporaryFolder.class.getName());
    private static final String PREFIX = "swaplane-held-";
    private static final String HELD = ".held";

    /** A folder without a lock may be one that another program is making just now. */
    private static final Duration BEING_MADE = Duration.ofMinutes(1);

    private final Path folder;
    private final FileChannel lock;

    private TemporaryFolder(Path folder, FileChannel lock) {
        this.folder = folder;
        this.lock = lock;
    }

    public static TemporaryFolder make() throws IOException {
        return make(systemFolder());
    }

    static TemporaryFolder make(Path within) throws IOException {
        Path folder = Files.createTempDirectory(within, PREFIX);
        FileChannel lock =
                FileChannel.open(folder.resolve(HELD), StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
        try {
            lock.lock();
            return new TemporaryFolder(folder, lock);
        } catch (IOException | RuntimeException e) {
            Closing.after(e, lock, () -> FolderDeletion.delete(folder));
            throw e;
        }
    }

    private static Path systemFolder() {
        return Path.of(System.getProperty("java.io.tmpdir"));
    }

    public Path path() {
        return folder;
    }

    @Override
    public void close() throws IOException {
        try {
            lock.close();
        } finally {
            FolderDeletion.delete(folder);
        }
    }

    /** Deletes the folders of programs that do not run any more. */
    public static void tidy() {
        tidy(systemFolder());
    }

    static void tidy(Path within) {
        try (Stream<Path> all = Files.list(within)) {
            List<Path> left = all.filter(each -> each.getFileName().toString().startsWith(PREFIX))
                    .toList();
            for (Path each : left) {
                if (isLeft(each)) {
                    FolderDeletion.delete(each);
                }
            }
        } catch (IOException e) {
            LOG.log(Level.INFO, "a temporary folder of an earlier program is left", e);
        }
    }

    private static boolean isLeft(Path folder) throws IOException {
        Path held = folder.resolve(HELD);
        if (!Files.isRegularFile(held)) {
            return Files.getLastModifiedTime(folder)
                    .toInstant()
                    .isBefore(Instant.now().minus(BEING_MADE));
        }
        try (FileChannel channel = FileChannel.open(held, StandardOpenOption.WRITE);
                FileLock free = channel.tryLock()) {
            return free != null;
        } catch (OverlappingFileLockException e) {
            // It is ours.
            return false;
        }
    }
}
