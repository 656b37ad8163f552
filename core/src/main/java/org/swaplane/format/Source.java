package org.swaplane.format;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.util.HexFormat;
import org.swaplane.document.Fingerprint;
import org.swaplane.task.BlockingWork;
import org.swaplane.task.CannotProceedException;

/** Bytes that can be opened again: to tell the format, to read, to write a changed copy. */
public interface Source {
    /** File name with extension, for messages. */
    String name();

    InputStream open() throws IOException;

    /** SHA-256 of the bytes, as 64 hexadecimal digits. */
    default String sha256() throws IOException {
        try (DigestInputStream in = new DigestInputStream(open(), Fingerprint.newSha256())) {
            in.transferTo(OutputStream.nullOutputStream());
            return HexFormat.of().formatHex(in.getMessageDigest().digest());
        }
    }

    static Source of(Path path) {
        return of(path.getFileName().toString(), path);
    }

    /** A file that is known under another name than the one it is stored by. */
    static Source of(String name, Path path) {
        return new Source() {
            @Override
            public String name() {
                return name;
            }

            @Override
            public InputStream open() throws IOException {
                BlockingWork.begins();
                if (Files.isDirectory(path)) {
                    throw new CannotProceedException(name, "problem.is-folder");
                }
                // A pipe or device may never end.
                if (Files.exists(path) && !Files.isRegularFile(path)) {
                    throw new CannotProceedException(name, "problem.no-file");
                }
                return Files.newInputStream(path);
            }
        };
    }

    static Source of(String name, byte[] bytes) {
        return new Source() {
            @Override
            public String name() {
                return name;
            }

            @Override
            public InputStream open() {
                return new ByteArrayInputStream(bytes);
            }
        };
    }
}
