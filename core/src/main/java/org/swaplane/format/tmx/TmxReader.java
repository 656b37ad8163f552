package org.swaplane.format.tmx;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Marks;
import org.swaplane.format.TargetSlot;
import org.swaplane.task.Progress;

/** One pass over a TMX file: a segment for every variant of a unit that is not its source, and the place of each. */
final class TmxReader extends TmxPass {
    private final List<Part> parts = new ArrayList<>();
    private final Map<Languages, Integer> partsByLanguages = new HashMap<>();
    private final List<Segment> segments = new ArrayList<>();
    private final List<TargetSlot> slots = new ArrayList<>();
    private final Map<String, Integer> keys = new HashMap<>();
    /** Segments of units that have a source only, and wait for the language of the others. */
    private final List<Integer> withoutTarget = new ArrayList<>();

    private record Languages(String source, String target) {}

    TmxReader(EncodedText text, FileOptions options, Progress progress) {
        super(text, options, progress);
    }

    BilingualFile read() throws IOException {
        run();
        settleMissingTargets();
        BilingualDocument document = new BilingualDocument(
                TmxFormat.ID, text.encoding().label(), partsWithNotes(), segments, problems, foreign());
        return new TmxFile(text, document, slots);
    }

    @Override
    void found(String unit, Variant source, List<Variant> variants, List<Note> notes) {
        Marks marks = marks();
        SegmentMetadata about = SegmentMetadata.ofNotes(notes)
                .withProposals(List.of(), marks.score())
                .shared();
        boolean any = false;
        for (Variant variant : variants) {
            if (variant != source) {
                any = true;
                int part = part(source.language(), variant.language());
                add(unit, part, source.content(), variant.content(), variant.slot(), marks, about);
            }
        }
        if (!any) {
            withoutTarget.add(segments.size());
            long end = variants.get(variants.size() - 1).end();
            String indent = source.slot().indent();
            long noted = source.slot().start();
            TargetSlot place = new TargetSlot(noted, noted, end, end, end, end, indent, "");
            add(unit, part(source.language(), ""), source.content(), Content.EMPTY, place, marks, about);
        }
    }

    private void add(
            String unit,
            int part,
            Content source,
            Content target,
            TargetSlot slot,
            Marks marks,
            SegmentMetadata about) {
        String path = unit + '/' + parts.get(part).targetLanguage();
        int before = keys.merge(path, 1, Integer::sum);
        if (before > 1) {
            problem("file.variant-repeated", unit, parts.get(part).targetLanguage());
        }
        State state = target.isEmpty() ? State.INITIAL : State.TRANSLATED;
        segments.add(new Segment(
                before > 1 ? path + '~' + before : path,
                part,
                unit,
                source,
                target,
                marks.state().orElse(state),
                "",
                marks.lock(Lock.NONE),
                about));
        slots.add(slot);
    }

    private int part(String source, String target) {
        return partsByLanguages.computeIfAbsent(new Languages(source, target), none -> {
            parts.add(new Part(target, source, target, List.of()));
            return parts.size() - 1;
        });
    }

    /** Where a unit has only its source, its target is missing in the language that the lane knows or the first other unit has. */
    private void settleMissingTargets() {
        for (int index : withoutTarget) {
            Segment segment = segments.get(index);
            String source = parts.get(segment.part()).sourceLanguage();
            String target = options.targetLanguage().isEmpty()
                    ? parts.stream()
                            .filter(part -> part.sourceLanguage().equals(source))
                            .map(Part::targetLanguage)
                            .filter(language -> !language.isEmpty())
                            .findFirst()
                            .orElse("")
                    : options.targetLanguage();
            if (!target.isEmpty()) {
                segments.set(
                        index,
                        new Segment(
                                segment.unit() + '/' + target,
                                part(source, target),
                                segment.unit(),
                                segment.source(),
                                segment.target(),
                                segment.state(),
                                "",
                                segment.lock(),
                                segment.about()));
            }
        }
    }

    private List<Part> partsWithNotes() {
        return parts.stream()
                .map(part -> new Part(part.name(), part.sourceLanguage(), part.targetLanguage(), headerNotes()))
                .toList();
    }
}
