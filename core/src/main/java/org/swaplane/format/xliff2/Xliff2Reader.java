package org.swaplane.format.xliff2;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Limits;
import org.swaplane.document.Lock;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Proposal;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.ElementText;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Marks;
import org.swaplane.format.TagPlace;
import org.swaplane.format.TargetDraft;
import org.swaplane.format.TargetSlot;
import org.swaplane.format.XmlPass;
import org.swaplane.task.Progress;

/** One pass over an XLIFF 2 file: its segments, and the slot of each target. */
final class Xliff2Reader extends XmlPass {
    private static final String CORE = "urn:oasis:names:tc:xliff:document:2.";
    private static final String MATCHES = "urn:oasis:names:tc:xliff:matches:2.0";
    private static final String GLOSSARY = "urn:oasis:names:tc:xliff:glossary:2.0";
    private static final String METADATA = "urn:oasis:names:tc:xliff:metadata:2.0";
    private static final String SIZE_RESTRICTION = "urn:oasis:names:tc:xliff:sizerestriction:2.0";

    private final List<Part> parts = new ArrayList<>();
    private final List<Segment> segments = new ArrayList<>();
    private final List<TargetSlot> slots = new ArrayList<>();
    private final Map<String, Integer> keys = new HashMap<>();
    private final Deque<Scope> scopes = new ArrayDeque<>();
    private String version = "2.0";
    private final List<TagPlace> unitTags = new ArrayList<>();
    private String sourceLanguage = "";
    private String targetLanguage = "";
    private String sizeProfile = "codepoints";
    private Optional<TagPlace> withoutLanguage = Optional.empty();

    /** An open file or group: its path with a slash behind it, and whether {@code translate} is {@code no} in it. */
    private record Scope(String path, boolean locked, List<Note> notes) {}

    Xliff2Reader(EncodedText text, FileOptions options, Progress progress) {
        super(text, options, progress);
    }

    BilingualFile read() throws IOException {
        run();
        BilingualDocument document = new BilingualDocument(
                "xliff-" + version, text.encoding().label(), parts, segments, problems, foreign());
        Xliff2File.Places places = new Xliff2File.Places(
                slots, unitTags, options.targetLanguage().isEmpty() ? Optional.empty() : withoutLanguage);
        return new Xliff2File(text, document, places, options.targetLanguage(), mirroredStates());
    }

    @Override
    protected boolean isOurNamespace(String namespace) {
        return namespace.isEmpty() || namespace.startsWith(CORE);
    }

    @Override
    protected void step(int event) throws XMLStreamException {
        if (event == XMLStreamConstants.START_ELEMENT && isOurs()) {
            switch (xml.getLocalName()) {
                case "xliff" -> openRoot();
                case "file" -> openFile();
                case "group" ->
                    scopes.push(new Scope(path() + attribute("id") + '/', lockedHere(), new ArrayList<>(0)));
                case "unit" -> readUnit();
                case "note" -> outerNote();
                default -> {}
            }
        } else if (event == XMLStreamConstants.START_ELEMENT && isModule(SIZE_RESTRICTION, "profiles")) {
            sizeProfile = attribute("generalProfile").isEmpty() ? sizeProfile : attribute("generalProfile");
        } else if (event == XMLStreamConstants.END_ELEMENT && isOurs()) {
            switch (xml.getLocalName()) {
                case "file", "group" -> scopes.pop();
                default -> {}
            }
        }
    }

    private boolean isModule(String namespace, String name) {
        return namespace.equals(xml.getNamespaceURI()) && xml.getLocalName().equals(name);
    }

    private void openRoot() throws XMLStreamException {
        version = attribute("version");
        sourceLanguage = attribute("srcLang");
        targetLanguage = targetLanguage(attribute("trgLang"));
        checkLanguage(sourceLanguage);
        checkLanguage(attribute("trgLang"));
        if (attribute("trgLang").isEmpty()) {
            withoutLanguage = Optional.of(tagHere());
            if (targetLanguage.isEmpty()) {
                problem("the file does not name its target language");
            }
        }
    }

    private void openFile() {
        String original = attribute("original");
        parts.add(new Part(original.isEmpty() ? attribute("id") : original, sourceLanguage, targetLanguage, List.of()));
        scopes.push(new Scope(attribute("id") + '/', attribute("translate").equals("no"), List.of()));
    }

    /** A note in a group is about all in it; one in a file is about the file. */
    private void outerNote() throws XMLStreamException {
        boolean inGroup = scopes.size() > 1;
        Note note = readNote();
        if (inGroup) {
            scopes.peek().notes().add(note);
        } else if (!parts.isEmpty()) {
            Part part = parts.remove(parts.size() - 1);
            List<Note> notes = new ArrayList<>(part.notes());
            notes.add(note);
            parts.add(new Part(part.name(), part.sourceLanguage(), part.targetLanguage(), notes));
        }
    }

    private Note readNote() throws XMLStreamException {
        String category = attribute("category");
        Note.Kind kind =
                switch (attribute("appliesTo")) {
                    case "source" -> Note.Kind.SOURCE;
                    case "target" -> Note.Kind.TARGET;
                    default -> Note.Kind.GENERAL;
                };
        int priority = number("priority");
        return new Note(ElementText.read(xml), category, kind, priority);
    }

    private boolean lockedHere() {
        String translate = attribute("translate");
        boolean inherited = !scopes.isEmpty() && scopes.peek().locked();
        return translate.isEmpty() ? inherited : translate.equals("no");
    }

    private void readUnit() throws XMLStreamException {
        progress.checkCancelled();
        progress.at(segments.size(), 0);
        UnitDraft unit = new UnitDraft(attribute("id"), tagHere(), lockedHere(), limits());
        scopes.forEach(scope -> unit.notes.addAll(scope.notes()));
        if (parts.isEmpty()) {
            problem("unit " + unit.id + " stands outside a file element");
            parts.add(new Part("", sourceLanguage, targetLanguage, List.of()));
        }
        int first = segments.size();
        while (!endsOurs("unit", xml.next())) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                readChild(unit);
            }
        }
        if (segments.size() == first) {
            problem("unit " + unit.id + " has no segment");
        }
        if (!unit.halves.isEmpty()) {
            problem("unit " + unit.id + " has the spanning code "
                    + unit.halves.iterator().next().substring("sc:".length()) + " without its other half");
        }
    }

    private void readChild(UnitDraft unit) throws XMLStreamException {
        switch (isOurs() ? xml.getLocalName() : "") {
            case "notes", "originalData" -> {} // their children come next
            case "note" -> unit.notes.add(readNote());
            case "data" -> {
                String id = attribute("id");
                unit.originalData.put(id, ElementText.read(xml));
            }
            case "segment" -> readSegment(unit);
            default -> readModule(unit);
        }
    }

    /** What the modules say that helps a person who works at the unit. */
    private void readModule(UnitDraft unit) throws XMLStreamException {
        if (isModule(MATCHES, "match")) {
            readProposal(unit);
        } else if (isModule(METADATA, "meta")) {
            String type = attribute("type");
            unit.notes.add(new Note(ElementText.read(xml), type, Note.Kind.CONTEXT, 0));
        } else if (isModule(GLOSSARY, "glossEntry")) {
            readTerm(unit);
        } else if (!isModule(MATCHES, "matches")
                && !isModule(METADATA, "metadata")
                && !isModule(METADATA, "metaGroup")
                && !isModule(GLOSSARY, "glossary")) {
            xml.skipElement();
        }
    }

    /** XLIFF 2.1, section 5.1: a translation candidate for what {@code ref} points at. */
    private void readProposal(UnitDraft unit) throws XMLStreamException {
        String ref = attribute("ref").substring(attribute("ref").lastIndexOf('#') + 1);
        String quality = attribute("matchQuality").isEmpty() ? attribute("similarity") : attribute("matchQuality");
        // Both are percentages, unlike elsewhere also below 1.
        int score = quality.isEmpty() ? -1 : Proposal.score(quality + '%');
        String origin = attribute("origin").isEmpty() ? attribute("type") : attribute("origin");
        Content source = Content.EMPTY;
        Content target = Content.EMPTY;
        int open = 1;
        while (open > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT
                    && isOurs()
                    && xml.getLocalName().equals("source")) {
                source = inline(unit).read();
            } else if (event == XMLStreamConstants.START_ELEMENT
                    && isOurs()
                    && xml.getLocalName().equals("target")) {
                target = inline(unit).read();
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                open++;
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                open--;
            }
        }
        unit.proposals
                .computeIfAbsent(ref, none -> new ArrayList<>(1))
                .add(new Proposal(source, target, score, origin));
    }

    /** XLIFF 2.1, section 5.2: a term with its translations and definition. */
    private void readTerm(UnitDraft unit) throws XMLStreamException {
        List<String> words = new ArrayList<>();
        int open = 1;
        while (open > 0) {
            int event = xml.next();
            boolean starts = event == XMLStreamConstants.START_ELEMENT;
            if (starts
                    && (isModule(GLOSSARY, "term")
                            || isModule(GLOSSARY, "translation")
                            || isModule(GLOSSARY, "definition"))) {
                words.add(ElementText.read(xml).strip());
            } else {
                open += starts ? 1 : event == XMLStreamConstants.END_ELEMENT ? -1 : 0;
            }
        }
        unit.notes.add(new Note(String.join(" = ", words), "", Note.Kind.TERM, 0));
    }

    private void readSegment(UnitDraft unit) throws XMLStreamException {
        TargetDraft draft = new TargetDraft(start(), end());
        unit.position++;
        String id = attribute("id").isEmpty() ? String.valueOf(unit.position) : attribute("id");
        String state = attribute("state").intern();
        while (!endsOurs("segment", xml.next())) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                switch (isOurs() ? xml.getLocalName() : "") {
                    case "source" -> readSource(draft, inline(unit));
                    case "target" -> readTarget(draft, inline(unit));
                    default -> xml.skipElement();
                }
            }
        }
        finish(unit, id, state, draft);
    }

    private InlineReader inline(UnitDraft unit) {
        return new InlineReader(xml, recent, tags, unit.originalData);
    }

    private void finish(UnitDraft unit, String id, String state, TargetDraft draft) {
        if (!draft.hasSource()) {
            problem("segment " + id + " of unit " + unit.id + " has no source and is left out");
            return;
        }
        String path = path() + unit.id + '/' + id;
        int before = keys.merge(path, 1, Integer::sum);
        if (before > 1) {
            problem("the segment id '" + id + "' of unit '" + unit.id + "' occurs " + before + " times");
        }
        unit.pairUp(draft.source());
        List<Proposal> proposals = unit.proposalsFor(id, draft.source());
        Marks marks = marks();
        boolean plain = unit.notes.isEmpty() && unit.limits.isNone() && proposals.isEmpty() && marks.score() < 0;
        segments.add(new Segment(
                before > 1 ? path + '~' + before : path,
                parts.size() - 1,
                unit.id,
                draft.source(),
                draft.target(),
                marks.state().orElse(state(unit, state, draft.hasTarget())),
                state,
                marks.lock(unit.locked ? Lock.FILE : Lock.NONE),
                plain ? Segment.About.NOTHING : new Segment.About(unit.notes, unit.limits, proposals, marks.score())));
        slots.add(draft.slot());
        unitTags.add(unit.tag);
    }

    /** Without a target nothing is translated, whatever the attribute says. */
    private State state(UnitDraft unit, String written, boolean hasTarget) {
        if (!States2.isKnown(written)) {
            problem("unit " + unit.id + " has the unknown state '" + written + "', taken for initial");
        }
        return hasTarget ? States2.read(written) : State.INITIAL;
    }

    private String path() {
        return scopes.isEmpty() ? "" : scopes.peek().path();
    }

    /** The size restriction module, {@code 10} or {@code 2,10} (XLIFF 2.1, section 5.6); characters unless the file says otherwise. */
    private Limits limits() {
        int[] size = bounds("sizeRestriction");
        int[] storage = bounds("storageRestriction");
        if (size[0] + size[1] + storage[0] + storage[1] == 0) {
            return Limits.NONE;
        }
        String unit = size[1] == 0 ? "" : sizeProfile.endsWith("codepoints") ? Limits.CHARACTERS : sizeProfile;
        return new Limits(size[0], size[1], unit, storage[0], storage[1]);
    }

    private int[] bounds(String attribute) {
        String restriction = xml.getAttributeValue(SIZE_RESTRICTION, attribute);
        int[] bounds = {0, 0};
        if (restriction == null || restriction.isBlank()) {
            return bounds;
        }
        String[] written = restriction.split(",", 2);
        try {
            String least = written.length > 1 ? written[0].strip() : "";
            String most = written[written.length - 1].strip();
            bounds[0] = least.isEmpty() ? 0 : Integer.parseInt(least);
            bounds[1] = most.isEmpty() || most.equals("*") ? 0 : Integer.parseInt(most);
        } catch (NumberFormatException e) {
            problem("the size restriction '" + restriction + "' is not a number");
        }
        return bounds;
    }
}
