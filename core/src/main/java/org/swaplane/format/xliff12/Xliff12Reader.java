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
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Limits;
import org.swaplane.document.Lock;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.Proposal;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.ElementPlace;
import org.swaplane.format.ElementText;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Marks;
import org.swaplane.format.StartTag;
import org.swaplane.format.TagPlace;
import org.swaplane.format.TargetDraft;
import org.swaplane.format.TargetSlot;
import org.swaplane.format.XmlPass;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/** One pass over an XLIFF 1.2 file: its segments, and the slot of each target. */
final class Xliff12Reader extends XmlPass {
    private static final Set<String> NAMESPACES =
            Set.of("", "urn:oasis:names:tc:xliff:document:1.2", "urn:oasis:names:tc:xliff:document:1.1");

    private final List<Part> parts = new ArrayList<>();
    private final List<Segment> segments = new ArrayList<>();
    private final List<TargetSlot> slots = new ArrayList<>();
    private final Map<Integer, SegmentedUnit> segmented = new HashMap<>();
    private final List<SubFlow> subFlows = new ArrayList<>();
    private final List<TagPlace> withoutLanguage = new ArrayList<>();
    private final Map<String, Integer> keys = new HashMap<>();
    private final Deque<Group> groups = new ArrayDeque<>();

    /** An open file or group: its path with a slash behind it, and whether {@code translate} is {@code no} in it. */
    private record Group(String path, boolean locked, List<Note> notes) {}

    Xliff12Reader(EncodedText text, FileOptions options, Progress progress) {
        super(text, options, progress);
    }

    BilingualFile read() throws IOException {
        run();
        if (parts.isEmpty()) {
            problems.add(new Problem(1, 1, Phrase.of("file.no-file")));
        }
        BilingualDocument document =
                new BilingualDocument(Xliff12Format.ID, text.encoding().label(), parts, segments, problems, foreign());
        Xliff12File.Places places = new Xliff12File.Places(
                slots,
                segmented,
                new SubFlows(subFlows),
                options.targetLanguage().isEmpty() ? List.of() : withoutLanguage);
        return new Xliff12File(text, document, places, options.targetLanguage(), mirroredStates());
    }

    @Override
    protected boolean isOurNamespace(String namespace) {
        return NAMESPACES.contains(namespace);
    }

    @Override
    protected void step(int event) throws XMLStreamException {
        if (event == XMLStreamConstants.START_ELEMENT && isOurs()) {
            switch (xml.getLocalName()) {
                case "file" -> openFile();
                case "group", "bin-unit" ->
                    groups.push(new Group(path() + attribute("id") + '/', lockedHere(), new ArrayList<>(0)));
                case "trans-unit" -> readUnit();
                case "note" -> outerNote();
                case "context-group" ->
                    readContexts(
                            groups.isEmpty() ? new ArrayList<>() : groups.peek().notes());
                default -> {}
            }
        } else if (event == XMLStreamConstants.END_ELEMENT && isOurs()) {
            switch (xml.getLocalName()) {
                case "file", "group", "bin-unit" -> groups.pop();
                default -> {}
            }
        }
    }

    private void openFile() throws XMLStreamException {
        String target = attribute("target-language");
        parts.add(new Part(attribute("original"), attribute("source-language"), targetLanguage(target), List.of()));
        groups.push(new Group(attribute("original") + '/', false, List.of()));
        checkLanguage(attribute("source-language"));
        checkLanguage(target);
        if (target.isEmpty()) {
            withoutLanguage.add(tagHere());
            if (options.targetLanguage().isEmpty()) {
                problem("file.no-target-language");
            }
        }
    }

    /** A note in a group is about all in it; one in the header of a file is about the file. */
    private void outerNote() throws XMLStreamException {
        boolean inGroup = groups.size() > 1;
        Note note = readNote();
        if (inGroup) {
            groups.peek().notes().add(note);
        } else if (!parts.isEmpty()) {
            Part part = parts.remove(parts.size() - 1);
            List<Note> notes = new ArrayList<>(part.notes());
            notes.add(note);
            parts.add(new Part(part.name(), part.sourceLanguage(), part.targetLanguage(), notes));
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
                attribute("approved").equals("yes"),
                limits());
        groups.forEach(group -> unit.notes.addAll(group.notes()));
        if (parts.isEmpty()) {
            problem("file.unit-outside", unit.id);
            parts.add(new Part("", "", "", List.of()));
        }
        while (!endsOurs("trans-unit", xml.next())) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                readChild(unit);
            }
        }
        finish(unit);
    }

    private void readChild(UnitDraft unit) throws XMLStreamException {
        String name = isOurs() ? xml.getLocalName() : "";
        switch (name) {
            case "source" -> {
                InlineReader inline = inline();
                readSource(unit.draft, inline);
                unit.sourceSubFlows = inline.subFlows();
            }
            case "target" -> readTarget(unit);
            case "seg-source" -> readSegmentedSource(unit);
            case "note" -> unit.notes.add(readNote());
            case "context-group" -> readContexts(unit.notes);
            case "alt-trans" -> readProposals(unit);
            default -> xml.skipElement();
        }
    }

    private InlineReader inline() {
        return new InlineReader(xml, recent, tags);
    }

    private Note readNote() throws XMLStreamException {
        String from = attribute("from");
        Note.Kind kind =
                switch (attribute("annotates")) {
                    case "source" -> Note.Kind.SOURCE;
                    case "target" -> Note.Kind.TARGET;
                    default -> Note.Kind.GENERAL;
                };
        int priority = number("priority");
        return new Note(ElementText.read(xml), from, kind, priority);
    }

    private void readContexts(List<Note> notes) throws XMLStreamException {
        while (!endsOurs("context-group", xml.next())) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                String type = attribute("context-type");
                notes.add(new Note(ElementText.read(xml), type, Note.Kind.CONTEXT, 0));
            }
        }
    }

    /** Other translations for the unit or one of its segments (section 2.4.1, alt-trans); never its target. */
    private void readProposals(UnitDraft unit) throws XMLStreamException {
        String mid = attribute("mid");
        int score = Proposal.score(attribute("match-quality"));
        String kind = attribute("alttranstype");
        String origin = String.join(
                ", ",
                List.of(attribute("origin"), attribute("tool-id"), kind.equals("proposal") ? "" : kind).stream()
                        .filter(word -> !word.isEmpty())
                        .toList());
        Content source = Content.EMPTY;
        while (!endsOurs("alt-trans", xml.next())) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                switch (isOurs() ? xml.getLocalName() : "") {
                    case "source" -> source = inline().read();
                    case "target" ->
                        unit.proposals
                                .computeIfAbsent(mid, none -> new ArrayList<>(1))
                                .add(new Proposal(source, inline().read(), score, origin));
                    default -> xml.skipElement();
                }
            }
        }
    }

    private void readTarget(UnitDraft unit) throws XMLStreamException {
        if (unit.draft.hasTarget()) {
            problem("file.two-targets", unit.id);
            xml.skipElement();
            return;
        }
        if (!unit.draft.hasSource()) {
            problem("file.target-first", unit.id);
        }
        unit.nativeState = attribute("state").intern();
        unit.draft.otherLanguage(otherLanguage(parts.get(parts.size() - 1).targetLanguage()));
        if (!States12.isKnown(unit.nativeState)) {
            problem("file.state-taken-translated", unit.id, unit.nativeState);
        }
        if (unit.subSegments.isEmpty()) {
            InlineReader inline = inline();
            readTarget(unit.draft, inline);
            unit.targetSubFlows = inline.subFlows();
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
            ElementPlace place = each.place();
            unit.frames.add(new SegmentedUnit.Frame(
                    recent.text(at, place.start()), new StartTag(recent.text(place.start(), place.contentStart()))));
            at = place.end();
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
            problem("file.target-not-segmented", unit.id);
            unit.lock = Lock.STRUCTURE;
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
                    InlineReader inline = inline();
                    Content content = inline.read();
                    ElementPlace place = new ElementPlace(start, contentStart, start(), end());
                    found.add(new SubSegment(mid, content, place, inline.subFlows()));
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
            problem("file.no-source", unit.id);
            return;
        }
        String path = path() + unit.id;
        int before = keys.merge(path, 1, Integer::sum);
        if (before > 1) {
            problem("file.unit-repeated", unit.id, before);
        }
        String key = before > 1 ? path + '~' + before : path;
        Tag unpaired = unpaired(unit.draft.source());
        if (unpaired != null) {
            problem("file.code-unpaired", unit.id, unpaired.code());
        }
        if (unit.subSegments.isEmpty()) {
            add(unit, key, unit.draft.source(), unit.draft.target(), proposals(unit, "", true));
            addSubFlows(unit, key, segments.size() - 1, unit.sourceSubFlows, unit.targetSubFlows);
        } else {
            addSubSegments(unit, key);
        }
    }

    /** A code that opens or closes a pair whose other half is not in the source of the unit, or null. */
    private static Tag unpaired(Content source) {
        Map<String, Tag> open = Map.of();
        for (Run run : source.runs()) {
            // XML itself sees to the halves of elements around text.
            if (run instanceof Tag tag
                    && (tag.id().startsWith("bpt:") || tag.id().startsWith("bx:"))) {
                if (tag.kind() == Tag.Kind.OPEN) {
                    open = open.isEmpty() ? new HashMap<>() : open;
                    open.put(tag.id(), tag);
                } else if (open.isEmpty() || open.remove(tag.id()) == null) {
                    return tag;
                }
            }
        }
        return open.isEmpty() ? null : open.values().iterator().next();
    }

    private void addSubSegments(UnitDraft unit, String key) {
        List<Optional<SubSegment>> targets = unit.subSegments.stream()
                .map(each -> Optional.ofNullable(unit.subTargets.get(each.mid())))
                .toList();
        int first = segments.size();
        SegmentedUnit whole = new SegmentedUnit(first, unit.draft.slot(), unit.frames, unit.tail, targets);
        for (int i = 0; i < targets.size(); i++) {
            SubSegment source = unit.subSegments.get(i);
            segmented.put(segments.size(), whole);
            Content target = targets.get(i).map(SubSegment::content).orElse(Content.EMPTY);
            add(
                    unit,
                    key + '/' + source.mid(),
                    source.content(),
                    target,
                    proposals(unit, source.mid(), targets.size() == 1));
        }
        for (int i = 0; i < targets.size(); i++) {
            SubSegment source = unit.subSegments.get(i);
            List<SubContent> inTarget = targets.get(i).map(SubSegment::subFlows).orElse(List.of());
            addSubFlows(unit, key + '/' + source.mid(), first + i, source.subFlows(), inTarget);
        }
        long known = targets.stream().filter(Optional::isPresent).count();
        if (known < unit.subTargets.size()) {
            problem("file.target-segments", unit.id);
        }
    }

    private void addSubFlows(
            UnitDraft unit, String key, int parent, List<SubContent> sources, List<SubContent> targets) {
        int number = 1;
        for (SubContent source : sources) {
            if (source.content().isEmpty()) {
                continue;
            }
            Optional<SubContent> target =
                    targets.stream().filter(source::matches).findFirst();
            subFlows.add(new SubFlow(segments.size(), parent, source, target));
            Content content = target.map(SubContent::content).orElse(Content.EMPTY);
            add(unit, key + "/sub:" + number++, source.content(), content, List.of());
        }
    }

    /** A translation of the whole unit is one of its segment only where it has just one. */
    private static List<Proposal> proposals(UnitDraft unit, String mid, boolean only) {
        List<Proposal> found = new ArrayList<>(unit.proposals.getOrDefault(mid, List.of()));
        if (only && !mid.isEmpty()) {
            found.addAll(unit.proposals.getOrDefault("", List.of()));
        }
        return found;
    }

    private void add(UnitDraft unit, String key, Content source, Content target, List<Proposal> proposals) {
        Marks marks = marks();
        State state = States12.read(!target.isEmpty(), unit.nativeState, unit.approved);
        segments.add(new Segment(
                key,
                parts.size() - 1,
                unit.id,
                source,
                target,
                marks.state().orElse(state),
                unit.nativeState,
                marks.lock(unit.lock),
                SegmentMetadata.ofNotes(unit.notes)
                        .withLimits(unit.limits)
                        .withProposals(proposals, marks.score())
                        .withOtherLanguage(unit.draft.otherLanguage())
                        .shared()));
        slots.add(unit.draft.slot());
    }

    private String path() {
        return groups.isEmpty() ? "" : groups.peek().path();
    }

    /** Without size-unit an extent is in pixels (section 2.3, size-unit), but where no font is named either, many mean characters. */
    private Limits limits() {
        int min = number("minwidth");
        int max = number("maxwidth");
        int minBytes = number("minbytes");
        int maxBytes = number("maxbytes");
        if (min + max + minBytes + maxBytes == 0) {
            return Limits.NONE;
        }
        boolean stated = !attribute("size-unit").isEmpty();
        String unit = stated ? attribute("size-unit") : Limits.PIXELS;
        String font = attribute("font").isEmpty() && stated ? Limits.SOME_FONT : attribute("font");
        return unit.equals("byte")
                ? new Limits(0, 0, "", Math.max(min, minBytes), maxBytes == 0 ? max : maxBytes)
                : new Limits(
                        min,
                        max,
                        min + max == 0 ? "" : unit,
                        minBytes,
                        maxBytes,
                        unit.equals(Limits.PIXELS) ? font : "");
    }
}
