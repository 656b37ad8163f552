package org.swaplane.format.tmx;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.xml.XMLConstants;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.ElementText;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Marks;
import org.swaplane.format.TargetDraft;
import org.swaplane.format.TargetSlot;
import org.swaplane.format.XmlPass;
import org.swaplane.task.Progress;

/** One pass over a TMX file: a segment for every variant of a unit that is not its source, and the place of each. */
final class TmxReader extends XmlPass {
    private static final String ANY = "*all*";

    private final List<Part> parts = new ArrayList<>();
    private final Map<Languages, Integer> partsByLanguages = new HashMap<>();
    private final Set<String> languages = new HashSet<>();
    private final List<Segment> segments = new ArrayList<>();
    private final List<TargetSlot> slots = new ArrayList<>();
    private final Map<String, Integer> keys = new HashMap<>();
    /** Segments of units that have a source only, and wait for the language of the others. */
    private final List<Integer> withoutTarget = new ArrayList<>();

    private final List<Note> headerNotes = new ArrayList<>();
    private String sourceLanguage = ANY;
    private int units;

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
    protected boolean isOurNamespace(String namespace) {
        return namespace.isEmpty() || namespace.equals("http://www.lisa.org/tmx14");
    }

    @Override
    protected void step(int event) throws XMLStreamException {
        if (event == XMLStreamConstants.START_ELEMENT && isOurs()) {
            switch (xml.getLocalName()) {
                case "header" -> {
                    sourceLanguage = attribute("srclang").isEmpty() ? ANY : attribute("srclang");
                    if (!sourceLanguage.equalsIgnoreCase(ANY)) {
                        checkLanguage(sourceLanguage);
                    }
                }
                case "note" -> headerNotes.add(new Note(ElementText.read(xml), ""));
                case "prop" -> headerNotes.add(readProperty());
                case "tu" -> readUnit();
                default -> {}
            }
        }
    }

    private Note readProperty() throws XMLStreamException {
        String type = attribute("type");
        return new Note(ElementText.read(xml), type, Note.Kind.CONTEXT, 0);
    }

    private void readUnit() throws XMLStreamException {
        progress.checkCancelled();
        progress.at(segments.size(), 0);
        units++;
        String id = attribute("tuid").isEmpty() ? String.valueOf(units) : attribute("tuid");
        String language = attribute("srclang").isEmpty() ? sourceLanguage : attribute("srclang");
        List<Note> notes = new ArrayList<>(0);
        List<Variant> variants = new ArrayList<>(2);
        long before = end();
        while (!endsOurs("tu", xml.next())) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                switch (isOurs() ? xml.getLocalName() : "") {
                    case "note" -> notes.add(new Note(ElementText.read(xml), ""));
                    case "prop" -> notes.add(readProperty());
                    case "tuv" -> {
                        readVariant(id, before, notes, variants);
                        before = end();
                    }
                    default -> xml.skipElement();
                }
            }
        }
        Optional<Variant> source = language.equalsIgnoreCase(ANY)
                ? variants.stream().findFirst()
                : variants.stream().filter(each -> each.isIn(language)).findFirst();
        if (source.isEmpty()) {
            problem("file.no-variant", id, language);
            return;
        }
        add(id, source.get(), variants, notes);
    }

    /** TMX 1.1 has {@code lang} where later versions have {@code xml:lang}. */
    private void readVariant(String unit, long before, List<Note> notes, List<Variant> variants)
            throws XMLStreamException {
        String written = xml.getAttributeValue(XMLConstants.XML_NS_URI, "lang");
        String language = (written == null ? attribute("lang") : written).intern();
        if (language.isEmpty()) {
            problem("file.variant-language", unit);
        } else if (languages.add(language)) {
            checkLanguage(language);
        }
        TargetDraft draft = new TargetDraft(start(), end());
        draft.indentation(indentBefore(before, start()));
        while (!endsOurs("tuv", xml.next())) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                switch (isOurs() ? xml.getLocalName() : "") {
                    case "note" -> notes.add(new Note(ElementText.read(xml), language));
                    case "seg" -> {
                        if (draft.hasTarget()) {
                            xml.skipElement();
                        } else {
                            readTarget(draft, new InlineReader(xml, recent, tags));
                        }
                    }
                    default -> xml.skipElement();
                }
            }
        }
        if (draft.hasTarget()) {
            variants.add(new Variant(language, draft.target(), draft.slot(), end()));
        } else {
            problem("file.no-seg", language, unit);
        }
    }

    private void add(String unit, Variant source, List<Variant> variants, List<Note> notes) {
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
            TargetSlot place = new TargetSlot(end, end, end, end, end, end, indent, "");
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
                .map(part -> new Part(part.name(), part.sourceLanguage(), part.targetLanguage(), headerNotes))
                .toList();
    }
}
