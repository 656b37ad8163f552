package org.swaplane.format.xliff2;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.Proposal;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
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
import org.swaplane.wording.Phrase;

/** One pass over an XLIFF 2 file: its segments, and the slot of each target. */
final class Xliff2Reader extends XmlPass {
    private final List<Part> parts = new ArrayList<>();
    private final List<Segment> segments = new ArrayList<>();
    private final List<TargetSlot> slots = new ArrayList<>();
    private final Map<String, Integer> keys = new HashMap<>();
    private final Set<String> unitIds = new HashSet<>();
    private final Deque<Scope> scopes = new ArrayDeque<>();
    private final List<TagPlace> unitTags = new ArrayList<>();
    private final Map<TagPlace, TagPlace> matches = new HashMap<>(0);
    private final Map<TagPlace, NotePlace> notePlaces = new HashMap<>(0);
    private final SizeRestriction sizes = new SizeRestriction();
    private String version = "2.0";
    private String sourceLanguage = "";
    private String targetLanguage = "";
    private Optional<TagPlace> withoutLanguage = Optional.empty();

    Xliff2Reader(EncodedText text, FileOptions options, Progress progress) {
        super(text, options, progress);
    }

    BilingualFile read() throws IOException {
        run();
        if (parts.isEmpty()) {
            problems.add(new Problem(1, 1, Phrase.of("file.no-file")));
        }
        BilingualDocument document = new BilingualDocument(
                "xliff-" + version, text.encoding().label(), parts, segments, problems, foreign());
        Xliff2File.Places places = new Xliff2File.Places(
                slots,
                unitTags,
                matches,
                notePlaces,
                options.targetLanguage().isEmpty() ? Optional.empty() : withoutLanguage);
        return new Xliff2File(text, document, places, options.targetLanguage(), mirroredStates());
    }

    @Override
    protected boolean isOurNamespace(String namespace) {
        return namespace.isEmpty() || namespace.startsWith(Modules.CORE);
    }

    @Override
    protected void step(int event) throws XMLStreamException {
        if (event == XMLStreamConstants.START_ELEMENT && isOurs()) {
            switch (xml.getLocalName()) {
                case "xliff" -> openRoot();
                case "file" -> openFile();
                case "group" -> scopes.push(scope().inner(xml, targetLanguage));
                case "unit" -> readUnit();
                case "note" -> outerNote();
                default -> {}
            }
        } else if (event == XMLStreamConstants.START_ELEMENT && Modules.at(xml, Modules.SIZE_RESTRICTION, "profiles")) {
            sizes.profiles(xml);
        } else if (event == XMLStreamConstants.START_ELEMENT
                && Modules.at(xml, Modules.VALIDATION, "rule")
                && !scopes.isEmpty()) {
            Validation.addTo(scopes.peek().rules(), xml);
        } else if (event == XMLStreamConstants.END_ELEMENT && isOurs()) {
            switch (xml.getLocalName()) {
                case "file", "group" -> scopes.pop();
                default -> {}
            }
        }
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
                problem("file.no-target-language-2");
            }
        }
    }

    private void openFile() {
        String original = attribute("original");
        parts.add(new Part(original.isEmpty() ? attribute("id") : original, sourceLanguage, targetLanguage, List.of()));
        unitIds.clear();
        scopes.push(Scope.NONE.inner(xml, targetLanguage));
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

    private void readUnit() throws XMLStreamException {
        progress.checkCancelled();
        progress.at(segments.size(), 0);
        UnitDraft unit = new UnitDraft(
                attribute("id"), tagHere(), scope().inner(xml, targetLanguage), sizes.limits(xml, this::problem));
        if (parts.isEmpty()) {
            problem("file.unit-outside", unit.id);
            parts.add(new Part("", sourceLanguage, targetLanguage, List.of()));
        }
        if (!unitIds.add(unit.id)) {
            problem("file.unit-again", unit.id);
        }
        int first = segments.size();
        while (!endsOurs("unit", xml.next())) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                readChild(unit);
            }
        }
        if (segments.size() == first) {
            problem("file.no-segment", unit.id);
        }
        unit.matches.ifPresent(tag -> matches.put(unit.tag, tag));
        unit.notePlace
                .filter(place -> segments.size() > first)
                .filter(place -> !place.equals(NotePlace.before(slots.get(first))))
                .ifPresent(place -> notePlaces.put(unit.tag, place));
        unit.problems().forEach(this::problem);
    }

    private void readChild(UnitDraft unit) throws XMLStreamException {
        switch (isOurs() ? xml.getLocalName() : "") {
            case "notes" -> {} // its children come next
            case "originalData" -> place(unit, false); // so do its children
            case "note" -> {
                place(unit, true);
                unit.notes.add(readNote());
            }
            case "data" -> {
                String id = attribute("id");
                unit.originalData.put(id, ElementText.read(xml));
            }
            case "segment" -> {
                place(unit, false);
                readSegment(unit);
            }
            case "ignorable" -> {
                place(unit, false);
                unit.pieces++;
                xml.skipElement();
            }
            default -> {
                if (Modules.at(xml, Modules.MATCHES, "matches")) {
                    unit.matches = Optional.of(tagHere());
                }
                new UnitModules(xml, unit, () -> inline(unit)).read();
            }
        }
    }

    /** Notes stand before anything of these (XLIFF 2.1, section 4.2.2.5). */
    private void place(UnitDraft unit, boolean isNote) throws XMLStreamException {
        if (unit.notePlace.isEmpty()) {
            unit.notePlace = Optional.of(new NotePlace(start(), isNote));
        }
    }

    private void readSegment(UnitDraft unit) throws XMLStreamException {
        TargetDraft draft = new TargetDraft(start(), end());
        unit.position++;
        unit.pieces++;
        String id = attribute("id").isEmpty() ? String.valueOf(unit.position) : attribute("id");
        String state = attribute("state").intern();
        while (!endsOurs("segment", xml.next())) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                switch (isOurs() ? xml.getLocalName() : "") {
                    case "source" -> readSource(draft, inline(unit));
                    case "target" -> {
                        unit.placed(number("order"));
                        draft.otherLanguage(otherLanguage(targetLanguage));
                        readTarget(draft, inline(unit));
                    }
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
            problem("file.segment-no-source", id, unit.id);
            return;
        }
        String path = scope().path() + unit.id + '/' + id;
        int before = keys.merge(path, 1, Integer::sum);
        if (before > 1) {
            problem("file.segment-repeated", id, unit.id, before);
        }
        unit.pairUp(draft.source());
        List<Proposal> proposals = unit.proposalsFor(id, draft.source());
        Marks marks = marks();
        segments.add(new Segment(
                before > 1 ? path + '~' + before : path,
                parts.size() - 1,
                unit.id,
                draft.source(),
                draft.target(),
                marks.state().orElse(state(unit, state, draft.hasTarget())),
                state,
                marks.lock(unit.locked ? Lock.FILE : Lock.NONE),
                new SegmentMetadata(
                                unit.notesFor(draft.source()),
                                unit.limits,
                                proposals,
                                marks.score(),
                                unit.rules,
                                unit.directions,
                                draft.otherLanguage())
                        .shared()));
        slots.add(draft.slot());
        unitTags.add(unit.tag);
    }

    /** Without a target nothing is translated, whatever the attribute says. */
    private State state(UnitDraft unit, String written, boolean hasTarget) {
        if (!States2.isKnown(written)) {
            problem("file.state-taken-initial", unit.id, written);
        }
        return hasTarget ? States2.read(written) : State.INITIAL;
    }

    private Scope scope() {
        return scopes.isEmpty() ? Scope.NONE : scopes.peek();
    }
}
