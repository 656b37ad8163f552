package org.swaplane.format.office;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.LanguageCode;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.Segment;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.PackageCopy;
import org.swaplane.format.SafeZip;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.format.TextDocument;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** An office document: its parts with text, each spliced on its own, in a package whose other entries are copied as they are. */
final class OfficeDocument implements DocumentFile {
    private static final String STYLES = "word/styles.xml";
    private static final Pattern LANGUAGE = Pattern.compile("<w:lang\\b[^>]*\\bw:val=\"([\\w-]+)\"");

    private final Source source;
    private final BilingualDocument document;
    private final List<TextPart> parts;
    private final List<DrawnDiagram> drawn;
    private final TargetLook look;

    /** {@code first} is the index of its first segment in the whole document. */
    private record TextPart(String entry, TextDocument text, int first) {
        private int size() {
            return text.document().segments().size();
        }
    }

    private OfficeDocument(
            Source source,
            BilingualDocument document,
            List<TextPart> parts,
            List<DrawnDiagram> drawn,
            TargetLook look) {
        this.source = source;
        this.document = document;
        this.parts = List.copyOf(parts);
        this.drawn = List.copyOf(drawn);
        this.look = look;
    }

    static OfficeDocument read(Source source, FileOptions given, Progress progress) throws IOException {
        ContentTypes types = ContentTypes.of(source);
        Map<String, byte[]> entries = SafeZip.read(
                source, name -> types.kind(name).isPresent() || name.equals(Workbook.RELATIONS) || name.equals(STYLES));
        FileOptions options = given.orSourceLanguage(statedLanguage(entries));
        List<String> names = new ArrayList<>(entries.keySet());
        names.removeAll(List.of(Workbook.RELATIONS, STYLES));
        names.sort(
                Comparator.<String, PartKind>comparing(name -> types.kind(name).orElseThrow())
                        .thenComparing(String::length)
                        .thenComparing(Comparator.naturalOrder()));
        PackageReader reader = new PackageReader(source, entries, options);
        List<TextPart> parts = new ArrayList<>();
        List<DrawnDiagram> drawn = new ArrayList<>();
        List<Segment> segments = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        String format = "";
        for (String name : names) {
            progress.checkCancelled();
            progress.at(parts.size(), names.size());
            PartKind kind = types.kind(name).orElseThrow();
            format = format.isEmpty() ? kind.format() : format;
            if (kind == PartKind.DIAGRAM_DRAWN) {
                drawn.add(new DrawnDiagram(name, reader.read(name, kind)));
            } else if (kind.isRead(entries.get(name), options.document().extras())) {
                TextDocument part = reader.read(name, kind);
                parts.add(new TextPart(name, part, segments.size()));
                segments.addAll(part.document().segments());
                problems.addAll(part.document().problems());
            }
        }
        if (format.isEmpty()) {
            throw new CannotProceedException(source.name(), "problem.no-document");
        }
        Part whole = new Part(source.name(), options.sourceLanguage(), options.targetLanguage(), List.of());
        BilingualDocument document =
                new BilingualDocument(format, "UTF-8", List.of(whole), segments, problems, List.of());
        return new OfficeDocument(source, document, parts, drawn, TargetLook.of(options));
    }

    /** The language that a text document is in by default. */
    private static String statedLanguage(Map<String, byte[]> entries) {
        Matcher language =
                LANGUAGE.matcher(new String(entries.getOrDefault(STYLES, new byte[0]), StandardCharsets.UTF_8));
        return language.find() && LanguageCode.fault(language.group(1)).isEmpty() ? language.group(1) : "";
    }

    @Override
    public BilingualDocument document() {
        return document;
    }

    @Override
    public List<Integer> starts(int segment) {
        TextPart part = parts.stream()
                .filter(each -> segment >= each.first() && segment < each.first() + each.size())
                .findFirst()
                .orElseThrow();
        return part.text().starts(segment - part.first());
    }

    @Override
    public List<WrittenUnit> units(List<SegmentEdit> edits) {
        List<WrittenUnit> units = new ArrayList<>();
        for (TextPart part : parts) {
            units.addAll(part.text().units(of(part, edits)));
        }
        return units;
    }

    /** The edits of one part, counted from its first segment. */
    private static List<SegmentEdit> of(TextPart part, List<SegmentEdit> edits) {
        return edits.stream()
                .filter(edit -> edit.segment() >= part.first() && edit.segment() < part.first() + part.size())
                .map(edit -> new SegmentEdit(edit.segment() - part.first(), edit.target(), edit.state(), edit.lock()))
                .toList();
    }

    @Override
    public void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException {
        Map<String, byte[]> changed = new HashMap<>();
        for (TextPart part : parts) {
            List<SegmentEdit> own = of(part, edits);
            if (own.stream().anyMatch(edit -> !edit.target().isEmpty())) {
                ByteArrayOutputStream bytes = new ByteArrayOutputStream();
                part.text().write(own, bytes, progress);
                changed.put(part.entry(), bytes.toByteArray());
            }
        }
        for (DrawnDiagram diagram : drawn) {
            Optional<byte[]> redrawn = diagram.written(document.segments(), edits, progress);
            redrawn.ifPresent(bytes -> changed.put(diagram.entry(), bytes));
        }
        try (InputStream original = source.open()) {
            if (changed.isEmpty()) {
                original.transferTo(out);
            } else {
                PackageCopy.write(original.readAllBytes(), (zip, entry) -> content(zip, entry, changed), out, progress);
            }
        }
    }

    private static byte[] whole(ZipFile zip, ZipArchiveEntry entry) throws IOException {
        try (InputStream in = zip.getInputStream(entry)) {
            return SafeZip.whole(in, "", entry.getName());
        }
    }

    /** What the entry holds from now on; empty where it stays as it is. */
    private Optional<byte[]> content(ZipFile zip, ZipArchiveEntry entry, Map<String, byte[]> changed)
            throws IOException {
        byte[] text = changed.get(entry.getName());
        if (!look.concerns(entry.getName())) {
            return Optional.ofNullable(text);
        }
        byte[] bytes = text == null ? whole(zip, entry) : text;
        EncodedText before = EncodedText.of(Source.of(entry.getName(), bytes));
        String xml = before.readAll();
        String after = look.entry(entry.getName(), xml);
        return after.equals(xml)
                ? Optional.ofNullable(text)
                : Optional.of(after.getBytes(before.encoding().charset()));
    }
}
