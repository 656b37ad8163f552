package org.swaplane.format.xliff12;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.Segment;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.ElementText;
import org.swaplane.format.EncodedText;
import org.swaplane.format.RecentText;
import org.swaplane.format.SafeXml;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** One pass over an XLIFF 1.2 file: its segments, and the slot of each target. */
final class Xliff12Reader {
    private static final int MOST_PROBLEMS = 200;
    private static final Set<String> NAMESPACES =
            Set.of("", "urn:oasis:names:tc:xliff:document:1.2", "urn:oasis:names:tc:xliff:document:1.1");

    private final EncodedText text;
    private final Progress progress;
    private final List<Part> parts = new ArrayList<>();
    private final List<Segment> segments = new ArrayList<>();
    private final List<TargetSlot> slots = new ArrayList<>();
    private final List<Problem> problems = new ArrayList<>();
    private final Map<String, Integer> keys = new HashMap<>();
    /** For each open group: its id, and whether {@code translate} is {@code no} in it. */
    private final Deque<Group> groups = new ArrayDeque<>();

    private RecentText recent;
    private XMLStreamReader2 xml;

    private record Group(String id, boolean locked) {}

    Xliff12Reader(EncodedText text, Progress progress) {
        this.text = text;
        this.progress = progress;
    }

    BilingualFile read() throws IOException {
        try (RecentText reader = new RecentText(text.open())) {
            recent = reader;
            xml = (XMLStreamReader2) SafeXml.factory().createXMLStreamReader(reader);
            while (xml.hasNext()) {
                step(xml.next());
            }
            xml.close();
        } catch (XMLStreamException e) {
            throw notWellFormed(e);
        }
        BilingualDocument document =
                new BilingualDocument(Xliff12Format.ID, text.encoding().label(), parts, segments, problems);
        return new Xliff12File(text, document, slots);
    }

    private CannotProceedException notWellFormed(XMLStreamException e) {
        if (e.getNestedException() instanceof CannotProceedException unreadable) {
            return unreadable;
        }
        var at = e.getLocation();
        String what = e.getMessage() == null ? "not well-formed XML" : firstLine(e.getMessage());
        return new CannotProceedException(
                new CannotProceedException.Place(
                        text.source().name(),
                        at == null ? 0 : at.getLineNumber(),
                        at == null ? 0 : at.getColumnNumber()),
                "the file is not well-formed XML: " + what,
                "correct it there, or ask the sender for the file again",
                e);
    }

    private static String firstLine(String message) {
        int end = message.indexOf('\n');
        return end < 0 ? message : message.substring(0, end);
    }

    private void step(int event) throws XMLStreamException {
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
                start(),
                end(),
                attribute("id"),
                lockedHere(),
                attribute("approved").equals("yes"));
        unit.maxLength = characters(attribute("maxwidth"));
        recent.forgetBefore(unit.tag);
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
            case "source" -> readSource(unit);
            case "target" -> readTarget(unit);
            case "note" -> {
                String from = attribute("from");
                unit.notes.add(new Note(ElementText.read(xml), from));
            }
            default -> xml.skipElement();
        }
    }

    private void readSource(UnitDraft unit) throws XMLStreamException {
        String prefix = xml.getPrefix();
        unit.prefix = prefix == null || prefix.isEmpty() ? "" : prefix + ':';
        unit.indent = indentBefore(unit, start());
        unit.source = new InlineReader(xml, recent).read();
        unit.sourceEnd = end();
    }

    private String indentBefore(UnitDraft unit, long offset) throws XMLStreamException {
        String before = recent.text(unit.tagEnd, offset);
        int at = before.length();
        while (at > 0 && " \t".indexOf(before.charAt(at - 1)) >= 0) {
            at--;
        }
        if (at > 0 && before.charAt(at - 1) == '\n') {
            at -= at > 1 && before.charAt(at - 2) == '\r' ? 2 : 1;
            return before.substring(at).intern();
        }
        return "";
    }

    private void readTarget(UnitDraft unit) throws XMLStreamException {
        if (unit.hasTarget) {
            problem("unit " + unit.id + " has two targets; the first one is used");
            xml.skipElement();
            return;
        }
        unit.hasTarget = true;
        unit.nativeState = attribute("state");
        if (!States12.isKnown(unit.nativeState)) {
            problem("unit " + unit.id + " has the unknown state '" + unit.nativeState + "', taken for translated");
        }
        unit.targetStart = start();
        unit.contentStart = end();
        unit.target = new InlineReader(xml, recent).read();
        unit.contentEnd = start();
        unit.targetEnd = end();
    }

    private void finish(UnitDraft unit) {
        if (unit.source == null) {
            problem("unit " + unit.id + " has no source and is left out");
            return;
        }
        String path = path() + unit.id;
        int before = keys.merge(path, 1, Integer::sum);
        if (before > 1) {
            problem("the unit id '" + unit.id + "' occurs " + before + " times");
        }
        segments.add(new Segment(
                before > 1 ? path + '~' + before : path,
                parts.size() - 1,
                unit.id,
                unit.source,
                unit.target,
                States12.read(unit.hasTarget && !unit.target.isEmpty(), unit.nativeState, unit.approved),
                unit.nativeState,
                unit.locked,
                unit.notes,
                unit.maxLength));
        slots.add(unit.slot());
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

    private boolean isOurs() {
        String namespace = xml.getNamespaceURI();
        return namespace == null || NAMESPACES.contains(namespace);
    }

    private String attribute(String name) {
        String value = xml.getAttributeValue(null, name);
        return value == null ? "" : value;
    }

    private void problem(String message) {
        if (problems.size() < MOST_PROBLEMS) {
            var at = xml.getLocation();
            problems.add(new Problem(at.getLineNumber(), at.getColumnNumber(), message));
        }
    }

    private long start() throws XMLStreamException {
        return xml.getLocationInfo().getStartingCharOffset();
    }

    private long end() throws XMLStreamException {
        return xml.getLocationInfo().getEndingCharOffset();
    }

    /** What is known of a unit while it is being read. */
    private static final class UnitDraft {
        private final long tag;
        private final long tagEnd;
        private final String id;
        private final boolean locked;
        private final boolean approved;
        private final List<Note> notes = new ArrayList<>(0);
        private String prefix = "";
        private String indent = "";
        private Content source;
        private long sourceEnd;
        private boolean hasTarget;
        private Content target = Content.EMPTY;
        private String nativeState = "";
        private int maxLength;
        private long targetStart;
        private long contentStart;
        private long contentEnd;
        private long targetEnd;

        private UnitDraft(long tag, long tagEnd, String id, boolean locked, boolean approved) {
            this.tag = tag;
            this.tagEnd = tagEnd;
            this.id = id;
            this.locked = locked;
            this.approved = approved;
        }

        private TargetSlot slot() {
            return hasTarget
                    ? new TargetSlot(tag, tagEnd, targetStart, contentStart, contentEnd, targetEnd, indent, prefix)
                    : new TargetSlot(tag, tagEnd, sourceEnd, sourceEnd, sourceEnd, sourceEnd, indent, prefix);
        }
    }
}
