package org.swaplane.lane;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.Optional;
import org.swaplane.task.BlockingWork;

/**
 * Keeps two programs from working in one lane. The lock belongs to the process, so that none is left when it is killed; who holds it
 * is written in a file beside, since a locked file cannot be read on every system.
 */
final class LaneLock implements AutoCloseable {
    private static final String LOCK = "lane.lock";
    private static final String HOLDER = "lane.lock-holder";

    private final FileChannel channel;
    private final Path holder;

    private LaneLock(FileChannel channel, Path holder) {
        this.channel = channel;
        this.holder = holder;
    }

    /** Takes the lock; empty when another program has it. */
    static Optional<LaneLock> take(Path folder, Instant now) throws IOException {
        BlockingWork.begins();
        FileChannel channel =
                FileChannel.open(folder.resolve(LOCK), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        try {
            FileLock lock = channel.tryLock();
            if (lock == null) {
                channel.close();
                return Optional.empty();
            }
            Path holder = folder.resolve(HOLDER);
            Files.writeString(holder, LaneHolder.thisProgram(now).written());
            return Optional.of(new LaneLock(channel, holder));
        } catch (OverlappingFileLockException e) {
            channel.close();
            return Optional.empty();
        } catch (IOException | RuntimeException e) {
            channel.close();
            throw e;
        }
    }

    /** Who has it. */
    static LaneHolder holder(Path folder) throws IOException {
        Path file = folder.resolve(HOLDER);
        return LaneHolder.of(Files.exists(file) ? Files.readString(file, StandardCharsets.UTF_8) : "");
    }

    /** Whether a file is only there for the lock. */
    boolean isAt(Path file) {
        String name = file.getFileName().toString();
        return name.equals(LOCK) || name.equals(HOLDER);
    }

    @Override
    public void close() throws IOException {
        // The file of the lock stays: deleted, it could be locked by two programs under one name.
        try {
            Files.deleteIfExists(holder);
        } finally {
            channel.close();
        }
    }
}
