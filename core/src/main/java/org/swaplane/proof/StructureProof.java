package org.swaplane.proof;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Enumeration;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.SafeXml;
import org.swaplane.wording.Phrase;

/**
 * Whether a translated document has what its original has besides text: parts and pictures, tables, links, fields, notes. Fonts,
 * directions and runs may differ, since they go by the language.
 */
public final class StructureProof {
    /** What a reader of the document would miss (ECMA-376, parts 1 and 4). */
    private static final Set<String> OFFICE = Set.of(
            "tbl",
            "tr",
            "tc",
            "drawing",
            "pict",
            "blip",
            "hyperlink",
            "hlinkClick",
            "fldSimple",
            "instrText",
            "fld",
            "footnoteReference",
            "endnoteReference",
            "bookmarkStart",
            "sectPr",
            "sp",
            "pic",
            "graphicFrame",
            "oleObj",
            "object",
            "row",
            "c",
            "mergeCell",
            "sheet",
            "sldId",
            "Relationship");

    private static final Pattern MARKUP = Pattern.compile(".*\\.(xml|rels|vml)", Pattern.CASE_INSENSITIVE);

    private StructureProof() {}

    /** The first thing that the translation lacks or has besides; empty where they agree, or the format has no structure to compare. */
    public static Optional<Phrase> difference(String format, Path original, Path translated) throws IOException {
        FormatTraits.Markup markup = FormatTraits.of(format).markup();
        if (markup.isPackage()) {
            return ofPackages(original, translated);
        }
        return switch (markup) {
            case HTML -> different("", ofHtml(original), ofHtml(translated));
            case XML -> different("", ofXml(original), ofXml(translated));
            default -> Optional.empty();
        };
    }

    private static Optional<Phrase> ofPackages(Path original, Path translated) throws IOException {
        try (ZipFile before = new ZipFile(original.toFile());
                ZipFile after = new ZipFile(translated.toFile())) {
            for (Enumeration<? extends ZipEntry> all = before.entries(); all.hasMoreElements(); ) {
                String name = all.nextElement().getName();
                ZipEntry there = after.getEntry(name);
                if (there == null) {
                    return Optional.of(Phrase.of("gate.structure.part", name));
                }
                Optional<Phrase> difference = MARKUP.matcher(name).matches()
                        ? different(name, elements(before, name, OFFICE), elements(after, name, OFFICE))
                        : sameBytes(before, after, name);
                if (difference.isPresent()) {
                    return difference;
                }
            }
        }
        return Optional.empty();
    }

    /** Embedded documents are translated, too; pictures and everything else are not. */
    private static Optional<Phrase> sameBytes(ZipFile before, ZipFile after, String name) throws IOException {
        if (name.contains("/embeddings/")) {
            return Optional.empty();
        }
        try (InputStream here = before.getInputStream(before.getEntry(name));
                InputStream there = after.getInputStream(after.getEntry(name))) {
            return SameBytes.in(here, there) ? Optional.empty() : Optional.of(Phrase.of("gate.structure.bytes", name));
        }
    }

    private static TreeMap<String, Integer> elements(ZipFile file, String part, Set<String> wanted) throws IOException {
        try (InputStream in = file.getInputStream(file.getEntry(part))) {
            TreeMap<String, Integer> counts = elements(part, in);
            counts.keySet().retainAll(wanted);
            return counts;
        }
    }

    private static TreeMap<String, Integer> ofXml(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return elements(file.getFileName().toString(), in);
        }
    }

    private static TreeMap<String, Integer> elements(String name, InputStream in) throws IOException {
        TreeMap<String, Integer> counts = new TreeMap<>();
        try {
            XMLStreamReader xml = SafeXml.factory().createXMLStreamReader(in);
            while (xml.hasNext()) {
                if (xml.next() == XMLStreamConstants.START_ELEMENT) {
                    counts.merge(xml.getLocalName(), 1, Integer::sum);
                }
            }
            return counts;
        } catch (XMLStreamException e) {
            throw SafeXml.notWellFormed(name, e);
        }
    }

    private static TreeMap<String, Integer> ofHtml(Path file) throws IOException {
        TreeMap<String, Integer> counts = new TreeMap<>();
        Document document = Jsoup.parse(file.toFile(), null, "");
        document.getAllElements().forEach(element -> counts.merge(element.tagName(), 1, Integer::sum));
        return counts;
    }

    private static Optional<Phrase> different(
            String part, TreeMap<String, Integer> before, TreeMap<String, Integer> after) {
        TreeMap<String, Integer> all = new TreeMap<>(after);
        all.putAll(before);
        return all.keySet().stream()
                .filter(name -> !before.getOrDefault(name, 0).equals(after.getOrDefault(name, 0)))
                .findFirst()
                .map(name -> Phrase.of(
                        part.isEmpty() ? "gate.structure.count" : "gate.structure.count-in",
                        name,
                        before.getOrDefault(name, 0),
                        after.getOrDefault(name, 0),
                        part));
    }
}
