package org.swaplane.format;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.zip.ZipException;
import org.apache.commons.compress.archivers.zip.UnsupportedZipFeatureException;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipArchiveInputStream;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/** Reads entries of a zip that nobody vouches for: bounded in number, size and compression. */
public final class SafeZip {
    private static final int MOST_ENTRIES = 10_000;
    private static final int HEAD = 1 << 16;
    private static final long LARGEST_ENTRY = 256L << 20;
    private static final long MOST_BYTES = 1L << 30;

    private SafeZip() {}

    /**
     * The entries with these names, as far as they are there.
     *
     * @throws CannotProceedException when the zip is broken or goes beyond the limits
     */
    public static Map<String, byte[]> read(Source source, Set<String> names) throws IOException {
        return read(source, names::contains);
    }

    /** The entries whose names are wanted, in the order of the archive. */
    public static Map<String, byte[]> read(Source source, Predicate<String> wanted) throws IOException {
        Map<String, byte[]> found = new LinkedHashMap<>();
        try (ZipArchiveInputStream zip =
                new ZipArchiveInputStream(new BufferedInputStream(source.open()), "UTF-8", true, true)) {
            int entries = 0;
            long bytes = 0;
            for (ZipArchiveEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (++entries > MOST_ENTRIES) {
                    throw new CannotProceedException(source.name(), "problem.archive-entries", MOST_ENTRIES);
                }
                if (wanted.test(entry.getName())) {
                    byte[] content = zip.readNBytes((int) LARGEST_ENTRY);
                    bytes += content.length;
                    if (content.length == LARGEST_ENTRY || bytes > MOST_BYTES) {
                        throw new CannotProceedException(source.name(), "problem.archive-entry-size", entry.getName());
                    }
                    found.putIfAbsent(entry.getName(), content);
                }
            }
        } catch (UnsupportedZipFeatureException e) {
            if (e.getFeature() == UnsupportedZipFeatureException.Feature.ENCRYPTION) {
                throw new CannotProceedException(
                        new CannotProceedException.Place(source.name(), 0, 0),
                        Phrase.of("problem.archive-encrypted"),
                        e);
            }
            throw broken(source, e);
        } catch (ZipException | java.io.EOFException e) {
            throw broken(source, e);
        } catch (IOException e) {
            if (e.getMessage() != null && e.getMessage().contains("Truncated")) {
                throw broken(source, e);
            }
            throw e;
        }
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
        try (ZipArchiveInputStream zip =
                new ZipArchiveInputStream(new BufferedInputStream(source.open()), "UTF-8", true, true)) {
            for (ZipArchiveEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (found.size() < MOST_ENTRIES && wanted.test(entry.getName())) {
                    byte[] head = zip.readNBytes(HEAD);
                    long rest = zip.transferTo(OutputStream.nullOutputStream());
                    found.putIfAbsent(entry.getName(), new EntryHead(head, head.length + rest));
                }
            }
        } catch (ZipException | java.io.EOFException e) {
            throw broken(source, e);
        }
        return found;
    }

    private static CannotProceedException broken(Source source, IOException e) {
        return new CannotProceedException(
                new CannotProceedException.Place(source.name(), 0, 0),
                Phrase.of("problem.archive-broken", e.getMessage()),
                e);
    }
}
