package org.swaplane.format;

import java.io.IOException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Set;

/** Files that only their owner can read; where the file system knows no such thing, the user's folder has to do. */
public final class PrivateFile {
    private static final Set<PosixFilePermission> OWNER = PosixFilePermissions.fromString("rw-------");

    private PrivateFile() {}

    /** Makes an empty one; it was never open to others, not for a moment. */
    public static void create(Path file) throws IOException {
        if (isPosix()) {
            Files.createFile(file, PosixFilePermissions.asFileAttribute(OWNER));
        } else {
            Files.createFile(file);
        }
    }

    /** Takes others' rights from a file that is there. */
    public static void restrict(Path file) throws IOException {
        if (isPosix() && !Files.getPosixFilePermissions(file).equals(OWNER)) {
            Files.setPosixFilePermissions(file, OWNER);
        }
    }

    private static boolean isPosix() {
        return FileSystems.getDefault().supportedFileAttributeViews().contains("posix");
    }
}
