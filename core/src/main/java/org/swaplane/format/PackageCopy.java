package org.swaplane.format;

import java.io.EOFException;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Collections;
import java.util.Optional;
import java.util.zip.ZipException;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipArchiveOutputStream;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/** A copy of a zip package with some entries replaced; the others keep their compressed bytes, their order and their times. */
public final class PackageCopy {
    private PackageCopy() {}

    /** What an entry holds from now on. */
    public interface Replacements {
        /** Empty where the entry stays as it is. */
        Optional<byte[]> of(ZipFile original, ZipArchiveEntry entry) throws IOException;
    }

    private static CannotProceedException broken(IOException e) {
        return new CannotProceedException(
                new CannotProceedException.Place("", 0, 0), Phrase.of("problem.package-broken", Reason.of(e)), e);
    }

    public static void write(byte[] original, Replacements replacements, OutputStream out, Progress progress)
            throws IOException {
        SeekableInMemoryByteChannel written = new SeekableInMemoryByteChannel();
        try (ZipFile zip = ZipFile.builder()
                        .setSeekableByteChannel(new SeekableInMemoryByteChannel(original))
                        .get();
                ZipArchiveOutputStream copy = new ZipArchiveOutputStream(written)) {
            for (ZipArchiveEntry entry : Collections.list(zip.getEntriesInPhysicalOrder())) {
                progress.checkCancelled();
                Optional<byte[]> content = replacements.of(zip, entry);
                if (content.isEmpty()) {
                    copy.addRawArchiveEntry(entry, zip.getRawInputStream(entry));
                } else {
                    ZipArchiveEntry replaced = new ZipArchiveEntry(entry.getName());
                    replaced.setTime(entry.getTime());
                    copy.putArchiveEntry(replaced);
                    copy.write(content.get());
                    copy.closeArchiveEntry();
                }
            }
        } catch (ZipException | EOFException e) {
            throw broken(e);
        } catch (IOException e) {
            if (String.valueOf(e.getMessage()).contains("Zip")) {
                throw broken(e);
            }
            throw e;
        }
        out.write(written.array(), 0, (int) written.size());
    }
}
