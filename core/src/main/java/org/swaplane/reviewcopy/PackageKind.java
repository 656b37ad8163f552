package org.swaplane.reviewcopy;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipArchiveInputStream;
import org.swaplane.format.Head;
import org.swaplane.format.Source;

/**
 * What kind of document a zip is, by the entry that says so, which stands first in nearly all of them (ECMA-376-2, annex B; ISO/IEC 26300-3,
 * section 3.3).
 */
public final class PackageKind {
    private static final Set<String> SAYING = Set.of("[Content_Types].xml", "mimetype");
    private static final int MOST_BYTES = 1 << 20;
    private static final int MOST_ENTRIES = 20;

    private PackageKind() {}

    /** Whether it may be of a kind whose media types hold {@code marker}; where no entry says it, only reading tells. */
    public static boolean mayBe(Source source, String marker) throws IOException {
        if (!Head.of(source).isZip()) {
            return false;
        }
        try (ZipArchiveInputStream zip =
                new ZipArchiveInputStream(new BufferedInputStream(source.open()), "UTF-8", true, true)) {
            int entries = 0;
            ZipArchiveEntry entry = zip.getNextEntry();
            while (entry != null && entries++ < MOST_ENTRIES) {
                if (SAYING.contains(entry.getName())) {
                    return new String(zip.readNBytes(MOST_BYTES), StandardCharsets.UTF_8).contains(marker);
                }
                entry = zip.getNextEntry();
            }
            return true;
        } catch (IOException | RuntimeException e) {
            // Broken, which makes the library fail in any way: whoever reads it says how.
            return true;
        }
    }
}
