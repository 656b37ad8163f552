package org.swaplane.format.xliff2;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.ElementText;
import org.swaplane.format.EncodedText;
import org.swaplane.format.TargetDraft;
import org.swaplane.format.TargetSlot;
import org.swaplane.format.XmlPass;
import org.swaplane.task.Progress;

/** One pass over an XLIFF 2 file: its segments, and the slot of each target. */
final class Xliff2Reader extends XmlPass {
    private static final String CORE = "urn:oasis:names:tc:xliff:document:2.";
    private static final String SIZE_RESTRICTION = "urn:oasis:names:tc:xliff:sizerestriction:2.0";

    private final List<Part> parts = new ArrayList<>();
    private final List<Segment> segments = new ArrayList<>();
    private final List<TargetSlot> slots = new ArrayList<>();
    private final Map<String, Integer> keys = new HashMap<>();
    private final Deque<Scope> scopes = new ArrayDeque<>();
    private String version = "2.0";
    private String sourceLanguage = "";
    private String targetLanguage = "";

    /** An open file or group: its id, and whether {@code translate} is {@code no} in it. */
    private record Scope(String id, boolean locked) {}

    Xliff2Reader(EncodedText text, Progress progress) {
        super(text, progress);
    }

    BilingualFile read() throws IOException {
        run();
        BilingualDocument document =
                new BilingualDocument("xliff-" + version, text.encoding().label(), parts, segments, problems);
        return new Xliff2File(text, document, slots);
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
                case "group" -> scopes.push(new Scope(attribute("id"), lockedHere()));
                case "unit" -> readUnit();
                default -> {}
            }
        } else if (event == XMLStreamConstants.END_ELEMENT && isOurs()) {
            switch (xml.getLocalName()) {
                case "file", "group" -> scopes.pop();
                default -> {}
            }
        }
    }

    private void openRoot() {
        version = attribute("version");
        sourceLanguage = attribute("srcLang");
        targetLanguage = attribute("trgLang");
        if (targetLanguage.isEmpty()) {
            problem("the file does not name its target language");
        }
    }

    private void openFile() {
        String original = attribute("original");
        parts.add(new Part(original.isEmpty() ? attribute("id") : original, sourceLanguage, targetLanguage));
        scopes.push(new Scope(attribute("id"), attribute("translate").equals("no")));
    }

    private boolean lockedHere() {
        String translate = attribute("translate");
        boolean inherited = !scopes.isEmpty() && scopes.peek().locked();
        return translate.isEmpty() ? inherited : translate.equals("no");
    }

    private void readUnit() throws XMLStreamException {
        progress.checkCancelled();
        progress.at(segments.size(), 0);
        UnitDraft unit = new UnitDraft(attribute("id"), lockedHere(), mostCharacters());
        recent.forgetBefore(start());
        if (parts.isEmpty()) {
            problem("unit " + unit.id + " stands outside a file element");
            parts.add(new Part("", sourceLanguage, targetLanguage));
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
    }

    private boolean endsOurs(String name, int event) {
        return event == XMLStreamConstants.END_ELEMENT
                && isOurs()
                && xml.getLocalName().equals(name);
    }

    private void readChild(UnitDraft unit) throws XMLStreamException {
        switch (isOurs() ? xml.getLocalName() : "") {
            case "notes", "originalData" -> {} // their children come next
            case "note" -> {
                String category = attribute("category");
                unit.notes.add(new Note(ElementText.read(xml), category));
            }
            case "data" -> {
                String id = attribute("id");
                unit.originalData.put(id, ElementText.read(xml));
            }
            case "segment" -> readSegment(unit);
            default -> xml.skipElement();
        }
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
        segments.add(new Segment(
                before > 1 ? path + '~' + before : path,
                parts.size() - 1,
                unit.id,
                draft.source(),
                draft.target(),
                state(unit, state, draft.hasTarget()),
                state,
                unit.locked,
                unit.notes,
                unit.maxLength));
        slots.add(draft.slot());
    }

    /** Without a target nothing is translated, whatever the attribute says. */
    private State state(UnitDraft unit, String written, boolean hasTarget) {
        if (!States2.isKnown(written)) {
            problem("unit " + unit.id + " has the unknown state '" + written + "', taken for initial");
        }
        return hasTarget ? States2.read(written) : State.INITIAL;
    }

    private String path() {
        StringBuilder path = new StringBuilder();
        scopes.descendingIterator()
                .forEachRemaining(scope -> path.append(scope.id()).append('/'));
        return path.toString();
    }

    /** The upper bound of the size restriction module ({@code 10} or {@code 2,10}), 0 without one. */
    private int mostCharacters() {
        String restriction = xml.getAttributeValue(SIZE_RESTRICTION, "sizeRestriction");
        if (restriction == null) {
            return 0;
        }
        try {
            return Integer.parseInt(
                    restriction.substring(restriction.indexOf(',') + 1).strip());
        } catch (NumberFormatException e) {
            problem("the size restriction '" + restriction + "' is not a number");
            return 0;
        }
    }

    /** What is known of a unit while it is being read. */
    private static final class UnitDraft {
        private final String id;
        private final boolean locked;
        private final int maxLength;
        private final List<Note> notes = new ArrayList<>(0);
        private final Map<String, String> originalData = new HashMap<>();
        private int position;

        private UnitDraft(String id, boolean locked, int maxLength) {
            this.id = id;
            this.locked = locked;
            this.maxLength = maxLength;
        }
    }
}
