package org.swaplane.format.office;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLStreamException;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipArchiveOutputStream;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.Segment;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.SafeZip;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.format.TextDocument;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** An office document: its parts with text, each spliced on its own, in a package whose other entries are copied as they are. */
final class OfficeDocument implements DocumentFile {
    private final Source source;
    private final BilingualDocument document;
    private final List<TextPart> parts;

    /** {@code first} is the index of its first segment in the whole document. */
    private record TextPart(String entry, TextDocument text, int first) {
        private int size() {
            return text.document().segments().size();
        }
    }

    private OfficeDocument(Source source, BilingualDocument document, List<TextPart> parts) {
        this.source = source;
        this.document = document;
        this.parts = List.copyOf(parts);
    }

    static OfficeDocument read(Source source, FileOptions options, Progress progress) throws IOException {
        Map<String, byte[]> entries =
                SafeZip.read(source, name -> PartKind.of(name).isPresent());
        List<String> names = new ArrayList<>(entries.keySet());
        names.sort(
                Comparator.<String, PartKind>comparing(name -> PartKind.of(name).orElseThrow())
                        .thenComparing(String::length)
                        .thenComparing(Comparator.naturalOrder()));
        List<TextPart> parts = new ArrayList<>();
        List<Segment> segments = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        String format = "";
        for (String name : names) {
            progress.checkCancelled();
            progress.at(parts.size(), names.size());
            PartKind kind = PartKind.of(name).orElseThrow();
            format = format.isEmpty() ? kind.format() : format;
            if (!kind.mayHoldText(entries.get(name))) {
                continue;
            }
            TextDocument part = part(source, name, entries.get(name), kind, options);
            parts.add(new TextPart(name, part, segments.size()));
            segments.addAll(part.document().segments());
            problems.addAll(part.document().problems());
        }
        if (format.isEmpty()) {
            throw new CannotProceedException(
                    source.name(), "there is no document in this package", "ask the sender for the file again");
        }
        Part whole = new Part(source.name(), options.sourceLanguage(), options.targetLanguage(), List.of());
        BilingualDocument document =
                new BilingualDocument(format, "UTF-8", List.of(whole), segments, problems, List.of());
        return new OfficeDocument(source, document, parts);
    }

    private static TextDocument part(Source source, String name, byte[] bytes, PartKind kind, FileOptions options)
            throws IOException {
        EncodedText text = EncodedText.of(Source.of(source.name() + '!' + name, bytes));
        TextDocument.Builder builder = new TextDocument.Builder(text, options);
        String shortName = name.substring(name.lastIndexOf('/') + 1).replace(".xml", "");
        try {
            if (new PartReader(text.readAll(), kind.vocabulary(), builder, shortName).read()) {
                builder.problem(0, 0, name + " has tracked changes; they are read as accepted");
            }
        } catch (XMLStreamException e) {
            var at = e.getLocation();
            throw new CannotProceedException(
                    new CannotProceedException.Place(
                            source.name() + '!' + name,
                            at == null ? 0 : at.getLineNumber(),
                            at == null ? 0 : at.getColumnNumber()),
                    "the document is broken inside ("
                            + e.getMessage().lines().findFirst().orElse("") + ")",
                    "open it in its program, save it again, and try once more",
                    e);
        }
        return builder.build("office", CharacterEscapes.XML);
    }

    @Override
    public BilingualDocument document() {
        return document;
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
        try (InputStream original = source.open()) {
            if (changed.isEmpty()) {
                original.transferTo(out);
            } else {
                copyPackage(original.readAllBytes(), changed, out, progress);
            }
        }
    }

    /** Entries without a change keep their compressed bytes, their order and their times. */
    private static void copyPackage(byte[] original, Map<String, byte[]> changed, OutputStream out, Progress progress)
            throws IOException {
        SeekableInMemoryByteChannel written = new SeekableInMemoryByteChannel();
        try (ZipFile zip = ZipFile.builder()
                        .setSeekableByteChannel(new SeekableInMemoryByteChannel(original))
                        .get();
                ZipArchiveOutputStream copy = new ZipArchiveOutputStream(written)) {
            for (ZipArchiveEntry entry : Collections.list(zip.getEntriesInPhysicalOrder())) {
                progress.checkCancelled();
                byte[] content = changed.get(entry.getName());
                if (content == null) {
                    copy.addRawArchiveEntry(entry, zip.getRawInputStream(entry));
                } else {
                    ZipArchiveEntry replaced = new ZipArchiveEntry(entry.getName());
                    replaced.setTime(entry.getTime());
                    copy.putArchiveEntry(replaced);
                    copy.write(content);
                    copy.closeArchiveEntry();
                }
            }
        }
        out.write(written.array(), 0, (int) written.size());
    }
}
