package org.swaplane.format;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** Bytes that can be opened again: to tell the format, to read, to write a changed copy. */
public interface Source {
    /** File name with extension, for messages. */
    String name();

    /** Number of bytes. */
    long size() throws IOException;

    InputStream open() throws IOException;

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
            public long size() throws IOException {
                return Files.size(path);
            }

            @Override
            public InputStream open() throws IOException {
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
            public long size() {
                return bytes.length;
            }

            @Override
            public InputStream open() {
                return new ByteArrayInputStream(bytes);
            }
        };
    }
}
