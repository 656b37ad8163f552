package org.swaplane.format.xliff12;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.ElementText;
import org.swaplane.format.EncodedText;
import org.swaplane.format.TargetDraft;
import org.swaplane.format.TargetSlot;
import org.swaplane.format.XmlPass;
import org.swaplane.task.Progress;

/** One pass over an XLIFF 1.2 file: its segments, and the slot of each target. */
final class Xliff12Reader extends XmlPass {
    private static final Set<String> NAMESPACES =
            Set.of("", "urn:oasis:names:tc:xliff:document:1.2", "urn:oasis:names:tc:xliff:document:1.1");

    private final List<Part> parts = new ArrayList<>();
    private final List<Segment> segments = new ArrayList<>();
    private final List<TargetSlot> slots = new ArrayList<>();
    private final Map<Integer, SegmentedUnit> segmented = new HashMap<>();
    private final Map<String, Integer> keys = new HashMap<>();
    /** For each open group: its id, and whether {@code translate} is {@code no} in it. */
    private final Deque<Group> groups = new ArrayDeque<>();

    private record Group(String id, boolean locked) {}

    Xliff12Reader(EncodedText text, Progress progress) {
        super(text, progress);
    }

    BilingualFile read() throws IOException {
        run();
        BilingualDocument document =
                new BilingualDocument(Xliff12Format.ID, text.encoding().label(), parts, segments, problems);
        return new Xliff12File(text, document, slots, segmented);
    }

    @Override
    protected void step(int event) throws XMLStreamException {
        if (event == XMLStreamConstants.START_ELEMENT && isOurs()) {
            switch (xml.getLocalName()) {
                case "file" -> openFile();
                case "group" -> groups.push(new Group(attribute("id"), lockedHere()));
                case "trans-unit" -> readUnit();
                default -> {}
            }
        } else if (event == XMLStreamConstants.END_ELEMENT && isOurs()) {
            switch (xml.getLocalName()) {
                case "file", "group" -> groups.pop();
                default -> {}
            }
        }
    }

    private void openFile() {
        parts.add(new Part(attribute("original"), attribute("source-language"), attribute("target-language")));
        groups.push(new Group(attribute("original"), false));
        if (attribute("target-language").isEmpty()) {
            problem("the file element does not name its target language");
        }
    }

    private boolean lockedHere() {
        String translate = attribute("translate");
        boolean inherited = !groups.isEmpty() && groups.peek().locked();
        return translate.isEmpty() ? inherited : translate.equals("no");
    }

    private void readUnit() throws XMLStreamException {
        progress.checkCancelled();
        progress.at(segments.size(), 0);
        UnitDraft unit = new UnitDraft(
                new TargetDraft(start(), end()),
                attribute("id"),
                lockedHere(),
                attribute("approved").equals("yes"));
        unit.maxLength = characters(attribute("maxwidth"));
        recent.forgetBefore(start());
        if (parts.isEmpty()) {
            problem("unit " + unit.id + " stands outside a file element");
            parts.add(new Part("", "", ""));
        }
        while (!(xml.next() == XMLStreamConstants.END_ELEMENT
                && isOurs()
                && xml.getLocalName().equals("trans-unit"))) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                readChild(unit);
            }
        }
        finish(unit);
    }

    private void readChild(UnitDraft unit) throws XMLStreamException {
        String name = isOurs() ? xml.getLocalName() : "";
        switch (name) {
            case "source" -> readSource(unit.draft, new InlineReader(xml, recent, tags));
            case "target" -> readTarget(unit);
            case "seg-source" -> readSegmentedSource(unit);
            case "note" -> {
                String from = attribute("from");
                unit.notes.add(new Note(ElementText.read(xml), from));
            }
            default -> xml.skipElement();
        }
    }

    private void readTarget(UnitDraft unit) throws XMLStreamException {
        if (unit.draft.hasTarget()) {
            problem("unit " + unit.id + " has two targets; the first one is used");
            xml.skipElement();
            return;
        }
        unit.nativeState = attribute("state").intern();
        if (!States12.isKnown(unit.nativeState)) {
            problem("unit " + unit.id + " has the unknown state '" + unit.nativeState + "', taken for translated");
        }
        if (unit.subSegments.isEmpty()) {
            readTarget(unit.draft, new InlineReader(xml, recent, tags));
        } else {
            readSegmentedTarget(unit);
        }
    }

    /** The segments of a source, with what stands around them. */
    private void readSegmentedSource(UnitDraft unit) throws XMLStreamException {
        long at = end();
        unit.subSegments = readSubSegments();
        unit.frames = new ArrayList<>();
        unit.subTargets = new HashMap<>();
        for (SubSegment each : unit.subSegments) {
            unit.frames.add(new SegmentedUnit.Frame(
                    recent.text(at, each.start()),
                    recent.text(each.start(), each.contentStart()),
                    recent.text(each.contentEnd(), each.end())));
            at = each.end();
        }
        unit.tail = recent.text(at, Math.max(at, start()));
        // A target that is missing stands behind the seg-source.
        unit.draft.sourceEnds(end());
    }

    private void readSegmentedTarget(UnitDraft unit) throws XMLStreamException {
        long start = start();
        long contentStart = end();
        for (SubSegment each : readSubSegments()) {
            unit.subTargets.putIfAbsent(each.mid(), each);
        }
        boolean unsegmented = unit.subTargets.isEmpty()
                && !recent.text(contentStart, Math.max(contentStart, start())).isBlank();
        unit.draft.target(Content.EMPTY, start, contentStart, start(), end());
        if (unsegmented) {
            problem("unit " + unit.id + " has a segmented source and a target that is not; it is locked");
            unit.locked = true;
        }
    }

    /** The segments within the element that the parser stands on, also those within inline elements. */
    private List<SubSegment> readSubSegments() throws XMLStreamException {
        List<SubSegment> found = new ArrayList<>();
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                if (xml.getLocalName().equals("mrk") && attribute("mtype").equals("seg")) {
                    long start = start();
                    long contentStart = end();
                    String mid = attribute("mid");
                    Content content = new InlineReader(xml, recent, tags).read();
                    found.add(new SubSegment(mid, content, start, contentStart, start(), end()));
                } else {
                    depth++;
                }
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            }
        }
        return found;
    }

    private void finish(UnitDraft unit) {
        if (!unit.draft.hasSource()) {
            problem("unit " + unit.id + " has no source and is left out");
            return;
        }
        String path = path() + unit.id;
        int before = keys.merge(path, 1, Integer::sum);
        if (before > 1) {
            problem("the unit id '" + unit.id + "' occurs " + before + " times");
        }
        String key = before > 1 ? path + '~' + before : path;
        if (unit.subSegments.isEmpty()) {
            add(unit, key, unit.draft.source(), unit.draft.target());
        } else {
            addSubSegments(unit, key);
        }
    }

    private void addSubSegments(UnitDraft unit, String key) {
        List<Optional<SubSegment>> targets = unit.subSegments.stream()
                .map(each -> Optional.ofNullable(unit.subTargets.get(each.mid())))
                .toList();
        SegmentedUnit whole = new SegmentedUnit(segments.size(), unit.draft.slot(), unit.frames, unit.tail, targets);
        for (int i = 0; i < targets.size(); i++) {
            SubSegment source = unit.subSegments.get(i);
            segmented.put(segments.size(), whole);
            Content target = targets.get(i).map(SubSegment::content).orElse(Content.EMPTY);
            add(unit, key + '/' + source.mid(), source.content(), target);
        }
        long known = targets.stream().filter(Optional::isPresent).count();
        if (known < unit.subTargets.size()) {
            problem("unit " + unit.id + " has segments in its target that its source does not have");
        }
    }

    private void add(UnitDraft unit, String key, Content source, Content target) {
        segments.add(new Segment(
                key,
                parts.size() - 1,
                unit.id,
                source,
                target,
                States12.read(!target.isEmpty(), unit.nativeState, unit.approved),
                unit.nativeState,
                unit.locked,
                unit.notes,
                unit.maxLength));
        slots.add(unit.draft.slot());
    }

    private String path() {
        StringBuilder path = new StringBuilder();
        groups.descendingIterator()
                .forEachRemaining(group -> path.append(group.id()).append('/'));
        return path.toString();
    }

    private int characters(String maxWidth) {
        // Without size-unit the limit is in pixels of a font that we do not know (section 2.3, size-unit).
        if (maxWidth.isEmpty() || !attribute("size-unit").equals("char")) {
            return 0;
        }
        try {
            return Integer.parseInt(maxWidth.strip());
        } catch (NumberFormatException e) {
            problem("maxwidth '" + maxWidth + "' is not a number");
            return 0;
        }
    }

    @Override
    protected boolean isOurNamespace(String namespace) {
        return NAMESPACES.contains(namespace);
    }

    /** What is known of a unit while it is being read. */
    private static final class UnitDraft {
        private final TargetDraft draft;
        private final String id;
        private boolean locked;
        private final boolean approved;
        private final List<Note> notes = new ArrayList<>(0);
        private List<SubSegment> subSegments = List.of();
        private List<SegmentedUnit.Frame> frames = List.of();
        private Map<String, SubSegment> subTargets = Map.of();
        private String tail = "";
        private String nativeState = "";
        private int maxLength;

        private UnitDraft(TargetDraft draft, String id, boolean locked, boolean approved) {
            this.draft = draft;
            this.id = id;
            this.locked = locked;
            this.approved = approved;
        }
    }
}
