package org.swaplane.memory;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.Segment;
import org.swaplane.format.Authorship;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.SegmentSink;
import org.swaplane.format.Source;
import org.swaplane.format.table.DelimitedText;
import org.swaplane.format.tmx.NewTmx;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Brings bilingual files into a memory, and a memory out as TMX. */
public final class MemoryTransfer {
    private static final String ORIGIN = "origin";
    private static final String ALIGNED = "aligned";

    private MemoryTransfer() {}

    /** Adds every segment that has a target; returns how many. The same file twice adds nothing. */
    public static int add(BilingualDocument document, String origin, TranslationMemory memory, Progress progress)
            throws IOException {
        List<Segment> segments = document.segments();
        // In a memory neighbours say nothing of where a text stood.
        boolean isMemory = FormatTraits.of(document.format()).isMemory();
        int added = 0;
        for (int i = 0; i < segments.size(); i++) {
            progress.checkCancelled();
            progress.at(i, segments.size());
            Segment segment = segments.get(i);
            if (!segment.target().isEmpty() && !segment.source().isEmpty() && !segment.prefilled()) {
                Part part = document.parts().get(segment.part());
                memory.add(new MemoryUnit(
                        part.sourceLanguage(),
                        part.targetLanguage(),
                        segment.source(),
                        segment.target(),
                        isMemory ? MemoryUnit.Context.UNKNOWN : context(segments, i),
                        Provenance.of(origin)));
                added++;
            }
        }
        return added;
    }

    /** Where a segment stands in its document. */
    public static MemoryUnit.Context context(List<Segment> segments, int index) {
        return context(segments, index, "");
    }

    /** The same with a key that says where. */
    public static MemoryUnit.Context context(List<Segment> segments, int index, String key) {
        String before = index == 0 ? "" : Fingerprint.of(segments.get(index - 1).source());
        String after = index + 1 == segments.size()
                ? ""
                : Fingerprint.of(segments.get(index + 1).source());
        return new MemoryUnit.Context(before, after, key);
    }

    /** Adds the translations of a file of any format; a memory's translation by translation, whatever its size. */
    public static List<Problem> take(
            Source file, FormatRegistry formats, FileOptions languages, TranslationMemory memory, Progress progress)
            throws IOException {
        if (DelimitedText.isNamedSo(file) && DelimitedText.hasPairs(file)) {
            BilingualDocument table = DelimitedText.read(file, languages.sourceLanguage(), languages.targetLanguage());
            add(table, file.name(), memory, progress);
            return withLost(table);
        }
        if (formats.isMemory(file)) {
            return addMemory(file, formats, memory, progress);
        }
        BilingualFile read = formats.open(file, progress);
        if (read instanceof DocumentFile) {
            throw new CannotProceedException(file.name(), "command.no-target-to-check");
        }
        add(read.document(), file.name(), memory, progress);
        return withLost(read.document());
    }

    /** The problems of a document, and its translations that lack tags of their sources: they are kept, and never filled in. */
    private static List<Problem> withLost(BilingualDocument document) {
        LostTags lost = new LostTags();
        document.segments().stream()
                .filter(segment -> !segment.target().isEmpty())
                .forEach(segment -> lost.look(segment.source(), segment.target()));
        return lost.after(document.problems());
    }

    /** Whether a file holds texts in one language only, and no translations. */
    public static boolean isOfOneLanguage(Source file, FormatRegistry formats) throws IOException {
        boolean pairs = DelimitedText.isNamedSo(file) && DelimitedText.hasPairs(file) || formats.isMemory(file);
        return !pairs && formats.open(file, Progress.NONE) instanceof DocumentFile;
    }

    /** Adds the texts of a document in one language, to be searched: units without a target. */
    public static void addTexts(
            Source file, FormatRegistry formats, FileOptions languages, TranslationMemory memory, Progress progress)
            throws IOException {
        BilingualDocument document = formats.open(file, languages, progress).document();
        List<Segment> segments = document.segments();
        for (int i = 0; i < segments.size(); i++) {
            progress.checkCancelled();
            progress.at(i, segments.size());
            Segment segment = segments.get(i);
            if (!segment.source().isEmpty()) {
                memory.add(new MemoryUnit(
                        document.parts().get(segment.part()).sourceLanguage(),
                        "",
                        segment.source(),
                        Content.EMPTY,
                        MemoryUnit.Context.UNKNOWN,
                        Provenance.of(file.name())));
            }
        }
    }

    /** Adds every translation of a memory's file, of any size; what is odd about the file is handed back. */
    public static List<Problem> addMemory(
            Source file, FormatRegistry formats, TranslationMemory memory, Progress progress) throws IOException {
        String origin = file.name();
        LostTags lost = new LostTags();
        try (MemoryImport all = new MemoryImport(memory)) {
            List<Problem> problems = formats.stream(file, progress, each -> {
                lost.look(each.source(), each.target());
                all.add(new MemoryUnit(
                        each.sourceLanguage(),
                        each.targetLanguage(),
                        each.source(),
                        each.target(),
                        MemoryUnit.Context.UNKNOWN,
                        provenance(each, origin)));
            });
            all.finish();
            return lost.after(problems);
        }
    }

    private static Provenance provenance(SegmentSink.Translation from, String file) {
        List<Provenance.Property> properties = new ArrayList<>();
        String origin = file;
        boolean aligned = false;
        for (Note note : from.notes()) {
            boolean property = note.kind() == Note.Kind.CONTEXT;
            if (property && note.from().equals(ORIGIN)) {
                origin = note.text();
            } else if (property && note.from().equals(ALIGNED)) {
                aligned = true;
            } else if (!(property && note.from().equals("state"))) {
                properties.add(new Provenance.Property(property ? note.from() : "", note.text()));
            }
        }
        Authorship by = from.authorship();
        return new Provenance(
                date(by.created()), by.createdBy(), date(by.changed()), by.changedBy(), origin, aligned, properties);
    }

    /** TMX writes {@code 20261129T101500Z}; what is no such date is kept as it is. */
    private static String date(String written) {
        return written.matches("\\d{8}T\\d{6}Z")
                ? written.replaceFirst("(....)(..)(..)T(..)(..)(..)Z", "$1-$2-$3T$4:$5:$6Z")
                : written;
    }

    private static String tmxDate(String date) {
        return date.matches("\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d:\\d\\d(\\.\\d+)?Z")
                ? date.replaceFirst("\\.\\d+", "").replaceAll("[-:]", "")
                : date;
    }

    /** Writes all units as TMX 1.4b, one after the other. */
    public static void write(TranslationMemory memory, OutputStream out) throws IOException {
        try (NewTmx.NewUnits units = NewTmx.units(out, memory.sourceLanguages())) {
            memory.forEach(unit -> write(unit, units));
        }
    }

    /** The same of units that are no memory yet. */
    public static void write(List<MemoryUnit> memory, OutputStream out) throws IOException {
        List<String> languages =
                memory.stream().map(MemoryUnit::sourceLanguage).distinct().toList();
        try (NewTmx.NewUnits units = NewTmx.units(out, languages)) {
            for (MemoryUnit unit : memory) {
                write(unit, units);
            }
        }
    }

    private static void write(MemoryUnit unit, NewTmx.NewUnits units) throws IOException {
        Provenance from = unit.provenance();
        units.write(
                unit.id(),
                unit.sourceLanguage(),
                unit.targetLanguage(),
                unit.source(),
                unit.target(),
                new Authorship(tmxDate(from.created()), from.createdBy(), tmxDate(from.changed()), from.changedBy()),
                notes(from));
    }

    private static List<Note> notes(Provenance provenance) {
        List<Note> notes = new ArrayList<>();
        provenance
                .properties()
                .forEach(property -> notes.add(
                        property.name().isEmpty()
                                ? new Note(property.text(), "")
                                : new Note(property.text(), property.name(), Note.Kind.CONTEXT, 0)));
        if (!provenance.origin().isEmpty()) {
            notes.add(new Note(provenance.origin(), ORIGIN, Note.Kind.CONTEXT, 0));
        }
        if (provenance.aligned()) {
            notes.add(new Note("yes", ALIGNED, Note.Kind.CONTEXT, 0));
        }
        return notes;
    }
}
