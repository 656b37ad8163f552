package org.swaplane.memory;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Lock;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.State;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.tmx.NewTmx;
import org.swaplane.task.Progress;

/** Brings bilingual files into a memory, and a memory out as TMX. */
public final class MemoryTransfer {
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
                        "",
                        "",
                        origin));
                added++;
            }
        }
        return added;
    }

    /** Where a segment stands in its document. */
    public static MemoryUnit.Context context(List<Segment> segments, int index) {
        String before = index == 0 ? "" : Fingerprint.of(segments.get(index - 1).source());
        String after = index + 1 == segments.size()
                ? ""
                : Fingerprint.of(segments.get(index + 1).source());
        return new MemoryUnit.Context(before, after, "");
    }

    public static void write(TranslationMemory memory, OutputStream out) throws IOException {
        Map<String, Integer> pairs = new LinkedHashMap<>();
        List<Part> parts = new ArrayList<>();
        List<Segment> segments = new ArrayList<>();
        memory.forEach(unit -> {
            int part = pairs.computeIfAbsent(unit.sourceLanguage() + '>' + unit.targetLanguage(), pair -> {
                parts.add(new Part(memory.name(), unit.sourceLanguage(), unit.targetLanguage(), List.of()));
                return parts.size() - 1;
            });
            String key = unit.id();
            segments.add(new Segment(
                    key,
                    part,
                    key,
                    unit.source(),
                    unit.target(),
                    State.TRANSLATED,
                    "",
                    Lock.NONE,
                    SegmentMetadata.NOTHING));
        });
        NewTmx.write(new BilingualDocument("tmx", "UTF-8", parts, segments, List.of(), List.of()), out);
    }
}
