package org.swaplane.format.office;

import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.content.Tag;
import org.swaplane.format.ElementText;
import org.swaplane.format.Extra;
import org.swaplane.format.FileOptions;
import org.swaplane.format.SafeXml;
import org.swaplane.format.Splice;
import org.swaplane.format.TextDocument;

/** Finds the paragraphs of one XML part. */
final class PartReader {
    /** Elements around runs that must stay around them. */
    private static final Set<String> WRAPPERS = Set.of("hyperlink", "fldSimple", "smartTag", "customXml", "bdo", "dir");

    /** Revisions that are read as accepted. */
    private static final Set<String> INSERTED = Set.of("ins", "moveTo");

    private static final Set<String> DELETED = Set.of("del", "moveFrom");

    /** Marks that a new run makes anew, or nobody misses. */
    private static final Set<String> NOISE = Set.of("proofErr", "lastRenderedPageBreak");

    private final String text;
    private final RunVocabulary vocabulary;
    private final TargetLook look;
    private final boolean readsHidden;
    private final Predicate<String> cells;
    private final TextDocument.Builder document;
    private final String name;
    private final XMLStreamReader2 xml;
    /** A document has few kinds of runs and very many runs. */
    private final Map<String, RunProperties> properties = new HashMap<>();

    private int number;
    private int alternatives;
    /** Of the outer paragraph that is being read. */
    private String paragraphProperties = "";

    private int propertiesAt;
    private int depth;
    private boolean revised;
    /** How many fields are open whose result has not begun. */
    private int instructions;

    /** A wrapper that is open: id of its tag and name of the element that ends it; without id for one that is dissolved. */
    private record Open(String id, String element) {}

    /** Something that stands in a run, which is told to the paragraph when the end of the run is known. */
    private interface RunPiece {
        void addTo(Paragraph paragraph, int runEnd);
    }

    /** An element that is one tag, with the text boxes and texts in attributes that are in it. */
    private record Whole(String element, String raw, int start, List<Paragraph> boxes, List<AttributeText> texts) {
        /** {@code tag} stands for the element, and begins {@code before} characters before it. */
        private void addInner(Paragraph paragraph, String tag, int before) {
            boxes.forEach(box -> paragraph.inner(tag, start - before, box));
            texts.forEach(each -> paragraph.inner(tag, start - before, each));
        }
    }

    /**
     * @param name stands in the ids of the units
     * @param cells says of a sheet's cell, or a string's number, whether it is translated
     */
    PartReader(
            String text,
            RunVocabulary vocabulary,
            FileOptions options,
            TextDocument.Builder document,
            String name,
            Predicate<String> cells)
            throws XMLStreamException {
        this.text = text;
        this.vocabulary = vocabulary;
        this.look = TargetLook.of(options);
        this.readsHidden = options.document().extras().contains(Extra.HIDDEN);
        this.cells = cells;
        this.document = document;
        this.name = name;
        this.xml = (XMLStreamReader2) SafeXml.factory().createXMLStreamReader(new StringReader(text));
    }

    /** Adds every paragraph that has text; returns whether the part has tracked changes. */
    boolean read() throws XMLStreamException {
        String cell = "";
        while (xml.hasNext()) {
            if (xml.next() != XMLStreamConstants.START_ELEMENT) {
                continue;
            }
            if (xml.getLocalName().equals("c")) {
                cell = String.valueOf(xml.getAttributeValue(null, "r"));
            }
            if (isParagraph()) {
                readOuterParagraph(cell);
            } else {
                for (AttributeText alternative : AttributeText.alternatives(xml, vocabulary, text)) {
                    alternative.addTo(document, name + " alternative " + ++alternatives);
                }
            }
        }
        return revised;
    }

    private void readOuterParagraph(String cell) throws XMLStreamException {
        int tagEnd = end();
        String prefix = prefix();
        paragraphProperties = "";
        propertiesAt = tagEnd;
        Paragraph paragraph = readParagraph();
        number++;
        if (!cells.test(cell.isEmpty() ? String.valueOf(number) : cell)) {
            return;
        }
        paragraph.addTo(document, name + ' ' + number);
        String directed = look.paragraph(vocabulary, prefix, paragraphProperties);
        if (!directed.equals(paragraphProperties) && text.charAt(tagEnd - 2) != '/') {
            int end = propertiesAt + paragraphProperties.length();
            document.whenTranslated(new Splice(propertiesAt, end, name + ' ' + number, raw -> directed));
        }
    }

    private boolean isParagraph() {
        return vocabulary.isParagraph(xml.getNamespaceURI(), xml.getLocalName());
    }

    private int start() throws XMLStreamException {
        return (int) xml.getLocationInfo().getStartingCharOffset();
    }

    private int end() throws XMLStreamException {
        return (int) xml.getLocationInfo().getEndingCharOffset();
    }

    private String prefix() {
        String prefix = xml.getPrefix();
        return prefix == null || prefix.isEmpty() ? "" : prefix + ':';
    }

    private Paragraph readParagraph() throws XMLStreamException {
        Paragraph paragraph = new Paragraph(vocabulary, look, prefix());
        depth++;
        Deque<Open> open = new ArrayDeque<>();
        instructions = 0;
        while (true) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                readChild(paragraph, open);
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                if (open.isEmpty()) {
                    depth--;
                    return paragraph;
                }
                close(paragraph, open);
            }
        }
    }

    private void readChild(Paragraph paragraph, Deque<Open> open) throws XMLStreamException {
        String element = xml.getLocalName();
        int start = start();
        if (element.equals("r") && vocabulary.isIn(xml.getNamespaceURI())) {
            readRun(paragraph);
        } else if (element.equals("t") && vocabulary == RunVocabulary.SHEET) {
            String value = ElementText.read(xml);
            paragraph.bareText(value, start, end());
        } else if (element.equals("pPr")) {
            xml.skipElement();
            if (depth == 1) {
                propertiesAt = start;
                paragraphProperties = text.substring(start, end());
            }
        } else if (element.equals("rPh") || element.equals("phoneticPr")) {
            xml.skipElement();
        } else if (WRAPPERS.contains(element)) {
            String id = paragraph.tag(Tag.Kind.OPEN, element, text.substring(start, end()), start, end());
            open.push(new Open(id, element));
        } else if (element.equals("sdt")) {
            openContentControl(paragraph, open, start);
        } else if (INSERTED.contains(element)) {
            revised = true;
            paragraph.dissolved(start, end());
            open.push(new Open("", element));
        } else if (DELETED.contains(element)) {
            revised = true;
            xml.skipElement();
        } else if (NOISE.contains(element)) {
            xml.skipElement();
        } else {
            Whole whole = readWhole(element);
            whole.addInner(paragraph, paragraph.tag(Tag.Kind.STANDALONE, element, whole.raw(), start, end()), 0);
        }
    }

    /** The properties of a content control stand before its content. */
    private void openContentControl(Paragraph paragraph, Deque<Open> open, int start) throws XMLStreamException {
        while (!(xml.next() == XMLStreamConstants.START_ELEMENT
                && xml.getLocalName().equals("sdtContent"))) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                xml.skipElement();
            } else if (xml.getEventType() == XMLStreamConstants.END_ELEMENT) {
                return; // a control without content
            }
        }
        String id = paragraph.tag(Tag.Kind.OPEN, "control", text.substring(start, end()), start, end());
        open.push(new Open(id, "sdtContent"));
    }

    private void close(Paragraph paragraph, Deque<Open> open) throws XMLStreamException {
        Open ended = open.pop();
        int start = start();
        if (ended.element().equals("sdtContent")) {
            xml.next();
            while (xml.getEventType() != XMLStreamConstants.END_ELEMENT) {
                xml.next();
            }
        }
        if (ended.id().isEmpty()) {
            paragraph.dissolved(start, end());
        } else {
            paragraph.closing(ended.id(), text.substring(start, end()), start, end());
        }
    }

    private void readRun(Paragraph paragraph) throws XMLStreamException {
        int start = start();
        RunProperties look = RunProperties.NONE;
        List<RunPiece> pieces = new ArrayList<>(1);
        boolean isField = false;
        Set<String> marks = new HashSet<>(0);
        while (xml.next() != XMLStreamConstants.END_ELEMENT) {
            if (xml.getEventType() != XMLStreamConstants.START_ELEMENT) {
                continue;
            }
            String element = xml.getLocalName();
            boolean ours = vocabulary.isIn(xml.getNamespaceURI());
            if (ours && element.equals("rPr")) {
                look = readProperties();
            } else if (ours && element.equals("t")) {
                String value = ElementText.read(xml);
                String written = look.written();
                pieces.add((to, runEnd) -> to.text(value, written, start, runEnd));
            } else if (ours && (element.equals("fldChar") || element.equals("instrText"))) {
                isField = true;
                if (element.equals("fldChar")) {
                    marks.add(xml.getAttributeValue(xml.getNamespaceURI(), "fldCharType"));
                }
                xml.skipElement();
            } else if (NOISE.contains(element)) {
                xml.skipElement();
            } else {
                pieces.add(inRun(readWhole(element), look.written(), start));
            }
        }
        int end = end();
        if (isField) {
            addField(paragraph, marks, start, end);
        } else if (look.isHidden() && !readsHidden) {
            paragraph.tag(Tag.Kind.STANDALONE, "hidden", text.substring(start, end), start, end);
        } else {
            pieces.forEach(piece -> piece.addTo(paragraph, end));
        }
    }

    private RunProperties readProperties() throws XMLStreamException {
        int at = start();
        xml.skipElement();
        String raw = text.substring(at, end());
        RunProperties known = properties.get(raw);
        if (known == null) {
            known = RunProperties.read(raw, vocabulary);
            properties.put(raw, known);
        }
        return known;
    }

    private static RunPiece inRun(Whole whole, String properties, int start) {
        return (to, runEnd) -> {
            String id = to.inRun(whole.element(), whole.raw(), properties, start, runEnd);
            whole.addInner(to, id, ('<' + to.prefix() + "r>" + properties).length());
        };
    }

    private Whole readWhole(String element) throws XMLStreamException {
        int start = start();
        List<Paragraph> boxes = new ArrayList<>(0);
        List<AttributeText> texts = new ArrayList<>(0);
        int open = 1;
        while (open > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals("Fallback")) {
                xml.skipElement(); // the same text once more, for programs of long ago
            } else if (event == XMLStreamConstants.START_ELEMENT && isParagraph()) {
                int outer = instructions;
                boxes.add(readParagraph());
                instructions = outer;
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                texts.addAll(AttributeText.alternatives(xml, vocabulary, text));
                open++;
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                open--;
            }
        }
        return new Whole(element, text.substring(start, end()), start, boxes, texts);
    }

    /** From the begin of a field to its result is one tag; its end is another (ECMA-376-1, section 17.16.18). */
    private void addField(Paragraph paragraph, Set<String> marks, int start, int end) {
        String raw = text.substring(start, end);
        if (instructions > 0) {
            paragraph.extendLast(raw, end);
        } else {
            paragraph.tag(Tag.Kind.STANDALONE, "field", raw, start, end);
        }
        boolean ends = marks.contains("end") && instructions > 0;
        instructions = Math.max(
                0, instructions + (marks.contains("begin") ? 1 : 0) - (marks.contains("separate") || ends ? 1 : 0));
    }
}
