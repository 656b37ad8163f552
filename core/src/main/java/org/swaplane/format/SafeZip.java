package org.swaplane.format;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.FileSystemException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;
import org.apache.commons.compress.archivers.zip.UnsupportedZipFeatureException;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipArchiveInputStream;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/**
 * Reads entries of a zip that may be made to harm: bounded in the number of entries, the size of each and of all that is kept, and in how
 * much more it unpacks to than it is packed in, also of entries that are only passed over.
 */
public final class SafeZip {
    private static final int MOST_ENTRIES = 10_000;
    private static final int HEAD = 1 << 16;
    private static final int LARGEST_ENTRY = 256 << 20;
    private static final long MOST_BYTES = 1L << 30;

    /** An archive that unpacks to more than this many bytes, and to more than this many times its own size, is taken for a zip bomb. */
    private static final long BOMB_BYTES = 128L << 20;

    private static final int BOMB_RATIO = 200;
    private static final int PIECE = 1 << 16;

    private SafeZip() {}

    /**
     * The entries with these names, as far as they are there.
     *
     * @throws CannotProceedException when the zip is broken or goes beyond the limits
     */
    public static Map<String, byte[]> read(Source source, Set<String> names) throws IOException {
        return read(source, names::contains);
    }

    /**
     * The entries whose names are wanted, in the order of the archive.
     *
     * @throws CannotProceedException when two have the same name, so that nobody can tell which is meant
     */
    public static Map<String, byte[]> read(Source source, Predicate<String> wanted) throws IOException {
        return read(source, wanted, twice -> {
            throw new CannotProceedException(source.name(), "problem.archive-entry-twice", twice);
        });
    }

    /** The same, but reads the first of several entries with one name and reports the others to {@code twice}. */
    public static Map<String, byte[]> read(Source source, Predicate<String> wanted, Consumer<String> twice)
            throws IOException {
        Map<String, byte[]> found = new LinkedHashMap<>();
        walk(source, (entry, bytes) -> {
            if (wanted.test(entry.getName()) && found.putIfAbsent(entry.getName(), bytes.whole()) != null) {
                twice.accept(entry.getName());
            }
        });
        return found;
    }

    /**
     * The first bytes of an entry, and its whole size.
     *
     * @param size in bytes, unpacked
     */
    public record EntryHead(byte[] bytes, long size) {}

    /** What the wanted entries begin with, however large they are; in the order of the archive. */
    public static Map<String, EntryHead> heads(Source source, Predicate<String> wanted) throws IOException {
        Map<String, EntryHead> found = new LinkedHashMap<>();
        walk(source, (entry, bytes) -> {
            if (wanted.test(entry.getName())) {
                byte[] head = bytes.first(HEAD);
                found.putIfAbsent(entry.getName(), new EntryHead(head, head.length + bytes.skipRest()));
            }
        });
        return found;
    }

    /**
     * The bytes of one entry of an archive that is opened otherwise.
     *
     * @throws CannotProceedException when they are more than an entry may have
     */
    public static byte[] whole(InputStream in, String archive, String entry) throws IOException {
        byte[] content = in.readNBytes(LARGEST_ENTRY + 1);
        if (content.length > LARGEST_ENTRY) {
            throw new CannotProceedException(archive, "problem.archive-entry-size", entry);
        }
        return content;
    }

    private interface Visitor {
        void entry(ZipArchiveEntry entry, EntryBytes bytes) throws IOException;
    }

    /** Goes through all entries; what nobody reads is unpacked within the same limits. */
    private static void walk(Source source, Visitor visitor) throws IOException {
        try (ZipArchiveInputStream zip =
                new ZipArchiveInputStream(new BufferedInputStream(source.open()), "UTF-8", true, true)) {
            EntryBytes bytes = new EntryBytes(zip, source.name());
            int entries = 0;
            for (ZipArchiveEntry entry = next(zip); entry != null; entry = next(zip)) {
                if (++entries > MOST_ENTRIES) {
                    throw new CannotProceedException(source.name(), "problem.archive-entries", MOST_ENTRIES);
                }
                bytes.begin(entry);
                visitor.entry(entry, bytes);
                bytes.skipRest();
            }
        } catch (UnsupportedZipFeatureException e) {
            if (e.getFeature() == UnsupportedZipFeatureException.Feature.ENCRYPTION) {
                throw new CannotProceedException(
                        new CannotProceedException.Place(source.name(), 0, 0),
                        Phrase.of("problem.archive-encrypted"),
                        e);
            }
            throw broken(source, e);
        } catch (FileSystemException e) {
            // The file itself cannot be read, whatever is in it.
            throw e;
        } catch (IOException e) {
            throw broken(source, e);
        }
    }

    /** What is damaged enough makes the library fail in any way. */
    private static ZipArchiveEntry next(ZipArchiveInputStream zip) throws IOException {
        try {
            return zip.getNextEntry();
        } catch (RuntimeException e) {
            throw new IOException("", e);
        }
    }

    /** The bytes of the current entry, counted over the whole archive. */
    private static final class EntryBytes {
        private final ZipArchiveInputStream zip;
        private final String archive;
        private String name = "";
        /** Unpacked, of all entries before this one, and packed. */
        private long unpackedBefore;

        private long packedBefore;
        private long unpacked;
        /** What is kept in memory of all entries. */
        private long kept;

        EntryBytes(ZipArchiveInputStream zip, String archive) {
            this.zip = zip;
            this.archive = archive;
        }

        void begin(ZipArchiveEntry entry) {
            name = entry.getName();
            packedBefore += zip.getCompressedCount();
            unpackedBefore += unpacked;
            unpacked = 0;
        }

        byte[] whole() throws IOException {
            byte[] content = first(LARGEST_ENTRY + 1);
            if (content.length > LARGEST_ENTRY || kept > MOST_BYTES) {
                throw new CannotProceedException(archive, "problem.archive-entry-size", name);
            }
            return content;
        }

        byte[] first(int most) throws IOException {
            ByteArrayOutputStream content = new ByteArrayOutputStream();
            byte[] piece = new byte[PIECE];
            while (content.size() < most) {
                int read = read(piece, Math.min(piece.length, most - content.size()));
                if (read < 0) {
                    break;
                }
                content.write(piece, 0, read);
            }
            kept += content.size();
            return content.toByteArray();
        }

        /** Returns how many bytes that were. */
        long skipRest() throws IOException {
            long skipped = 0;
            byte[] piece = new byte[PIECE];
            for (int read = read(piece, piece.length); read >= 0; read = read(piece, piece.length)) {
                skipped += read;
            }
            return skipped;
        }

        private int unpacked(byte[] piece, int most) throws IOException {
            try {
                return zip.read(piece, 0, most);
            } catch (RuntimeException e) {
                throw new IOException("", e);
            }
        }

        private int read(byte[] piece, int most) throws IOException {
            int read = unpacked(piece, most);
            if (read > 0) {
                unpacked += read;
                long all = unpackedBefore + unpacked;
                if (all > BOMB_BYTES && all / BOMB_RATIO > packedBefore + zip.getCompressedCount()) {
                    throw new CannotProceedException(archive, "problem.archive-bomb", name);
                }
            }
            return read;
        }
    }

    private static CannotProceedException broken(Source source, IOException e) {
        return new CannotProceedException(
                new CannotProceedException.Place(source.name(), 0, 0),
                Phrase.of("problem.archive-broken", Reason.of(e)),
                e);
    }
}
