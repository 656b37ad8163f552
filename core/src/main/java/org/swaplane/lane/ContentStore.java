package org.swaplane.lane;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.DigestInputStream;
import java.util.HexFormat;
import org.swaplane.document.Fingerprint;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Durable;

/** The bytes of every file that came in or went out, by their SHA-256; written once and never altered. */
final class ContentStore {
    private final Path folder;

    ContentStore(Path folder) {
        this.folder = folder;
    }

    /** Keeps the bytes, on the disk, and returns their SHA-256; a damaged file under it is replaced. */
    String keep(Source source) throws IOException {
        Path beside = Files.createTempFile(folder, "incoming", ".tmp");
        try {
            String sha256;
            try (DigestInputStream in = new DigestInputStream(source.open(), Fingerprint.newSha256());
                    OutputStream out = Files.newOutputStream(beside)) {
                in.transferTo(out);
                sha256 = HexFormat.of().formatHex(in.getMessageDigest().digest());
            }
            Path kept = folder.resolve(sha256);
            if (!isWhole(sha256)) {
                // What the journal will name is on the disk before.
                Durable.file(beside);
                Files.move(beside, kept, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
                Durable.folder(folder);
            }
            return sha256;
        } finally {
            Files.deleteIfExists(beside);
        }
    }

    /** Lets go of a file that turned out to be of no use. */
    void forget(String sha256) throws IOException {
        Files.deleteIfExists(folder.resolve(sha256));
    }

    /** Whether the file with this SHA-256 is there with all its bytes. */
    boolean isWhole(String sha256) throws IOException {
        Path kept = folder.resolve(sha256);
        return Files.isRegularFile(kept) && Source.of(kept).sha256().equals(sha256);
    }

    /**
     * Looks whether a file is still what came in.
     *
     * @throws CannotProceedException when it is not there, or its bytes are others
     */
    void requireWhole(String name, String sha256) throws IOException {
        if (!isWhole(sha256)) {
            throw new CannotProceedException(name, "problem.kept-damaged", sha256);
        }
    }

    /** The file with this SHA-256 under the name that it came with. */
    Source source(String name, String sha256) {
        return Source.of(name, folder.resolve(sha256));
    }
}
