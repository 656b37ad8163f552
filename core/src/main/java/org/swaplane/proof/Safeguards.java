package org.swaplane.proof;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.swaplane.format.SafeZip;

/** What protects a document and concerns whoever changes it. */
public enum Safeguards {
    /** It is signed; the signature does not hold for any other text (ECMA-376, part 2, section 13). */
    SIGNATURE,
    /** It has programs in it, which stay as they are. */
    MACROS,
    /** Readers are kept from changing it (ECMA-376, part 1, sections 17.15.1.29, 18.2.29, 18.3.1.85). */
    PROTECTION;

    private static final Pattern PROTECTED = Pattern.compile(
            "<(?:\\w+:)?(?:documentProtection\\b(?![^>]*enforcement=\"(?:0|false)\")|workbookProtection\\b|sheetProtection\\b|modifyVerifier\\b)");

    private static final Pattern MAY_PROTECT =
            Pattern.compile("word/settings\\.xml|xl/workbook\\.xml|xl/worksheets/[^/]+\\.xml|ppt/presentation\\.xml");

    /** Those of a package; none of other files. */
    public static Set<Safeguards> of(Path file) throws IOException {
        Set<Safeguards> found = EnumSet.noneOf(Safeguards.class);
        try (ZipFile zip = new ZipFile(file.toFile())) {
            for (ZipEntry entry : zip.stream().toList()) {
                String name = entry.getName();
                if (name.startsWith("_xmlsignatures/") && name.endsWith(".xml")) {
                    found.add(SIGNATURE);
                } else if (name.endsWith("vbaProject.bin")) {
                    found.add(MACROS);
                } else if (!found.contains(PROTECTION)
                        && MAY_PROTECT.matcher(name).matches()
                        && PROTECTED.matcher(text(zip, entry)).find()) {
                    found.add(PROTECTION);
                }
            }
        } catch (ZipException e) {
            // Not a package, so nothing that could be signed.
            return found;
        }
        return found;
    }

    private static String text(ZipFile zip, ZipEntry entry) throws IOException {
        try (InputStream in = zip.getInputStream(entry)) {
            return new String(SafeZip.whole(in, zip.getName(), entry.getName()), StandardCharsets.UTF_8);
        }
    }
}
