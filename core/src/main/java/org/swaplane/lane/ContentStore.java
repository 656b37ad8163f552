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

/** The bytes of every file that came in or went out, by their SHA-256; written once and never altered. */
final class ContentStore {
    private final Path folder;

    ContentStore(Path folder) {
        this.folder = folder;
    }

    /** Keeps the bytes and returns their SHA-256. */
    String keep(Source source) throws IOException {
        Path beside = Files.createTempFile(folder, "incoming", ".tmp");
        try {
            String sha256;
            try (DigestInputStream in = new DigestInputStream(source.open(), Fingerprint.newSha256());
                    OutputStream out = Files.newOutputStream(beside)) {
                in.transferTo(out);
                sha256 = HexFormat.of().formatHex(in.getMessageDigest().digest());
            }
            if (!Files.exists(folder.resolve(sha256))) {
                Files.move(beside, folder.resolve(sha256), StandardCopyOption.ATOMIC_MOVE);
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

    /** The file with this SHA-256 under the name that it came with. */
    Source source(String name, String sha256) {
        return Source.of(name, folder.resolve(sha256));
    }
}
