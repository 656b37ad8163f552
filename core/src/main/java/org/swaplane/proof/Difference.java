package org.swaplane.proof;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.SafeZip;
import org.swaplane.proof.Proof.Detail;
import org.swaplane.wording.Phrase;

/** Where two files differ: at a byte, or in a part of a package, however it is packed. */
final class Difference {
    private static final Pattern MASKED = Pattern.compile(">(?:\\s|" + Pattern.quote(DryRun.MASK) + ")+<");

    private Difference() {}

    /** The first difference of two files of this format. */
    static Optional<Detail> between(String format, Path one, Path other) throws IOException {
        if (FormatTraits.of(format).markup().isPackage()) {
            return betweenParts(one, other);
        }
        long at = Files.mismatch(one, other);
        return at < 0 ? Optional.empty() : Optional.of(new Detail("", Phrase.of("proof.only-targets.at", at)));
    }

    private static Optional<Detail> betweenParts(Path one, Path other) throws IOException {
        try (ZipFile first = new ZipFile(one.toFile());
                ZipFile second = new ZipFile(other.toFile())) {
            TreeMap<String, ZipEntry> parts = new TreeMap<>();
            first.stream().forEach(entry -> parts.put(entry.getName(), entry));
            second.stream().forEach(entry -> parts.putIfAbsent(entry.getName(), entry));
            for (String name : parts.keySet()) {
                if (!same(first, second, name)) {
                    return Optional.of(new Detail(name, Phrase.of("proof.only-targets.part")));
                }
            }
        }
        return Optional.empty();
    }

    private static boolean same(ZipFile first, ZipFile second, String name) throws IOException {
        ZipEntry one = first.getEntry(name);
        ZipEntry other = second.getEntry(name);
        if (one == null || other == null) {
            return false;
        }
        try (InputStream here = first.getInputStream(one);
                InputStream there = second.getInputStream(other)) {
            if (SameBytes.in(here, there)) {
                return true;
            }
        }
        return name.endsWith(".xml") && withoutMasks(whole(first, one)).equals(withoutMasks(whole(second, other)));
    }

    private static byte[] whole(ZipFile zip, ZipEntry entry) throws IOException {
        try (InputStream in = zip.getInputStream(entry)) {
            return SafeZip.whole(in, zip.getName(), entry.getName());
        }
    }

    /**
     * A part without the word that stands for every text, and the blanks around it: where a source ends with a blank, its translation may
     * have the blank before a mark and so within the text.
     */
    private static String withoutMasks(byte[] part) {
        return MASKED.matcher(new String(part, StandardCharsets.UTF_8)).replaceAll("><");
    }
}
