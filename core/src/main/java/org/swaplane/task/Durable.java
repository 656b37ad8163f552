package org.swaplane.task;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/** What is on the disk, and not only on its way there: it is still so after the power went. */
public final class Durable {
    private static final boolean WINDOWS = System.getProperty("os.name", "").startsWith("Windows");

    private Durable() {}

    /** Forces the bytes of a file to the disk. */
    public static void file(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    /** Forces the names of a folder to the disk: what was moved into it is found there. */
    public static void folder(Path folder) throws IOException {
        // Windows has no such thing; its file system keeps names by a journal of its own.
        if (!WINDOWS && Files.isDirectory(folder)) {
            try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
                channel.force(true);
            }
        }
    }
}
