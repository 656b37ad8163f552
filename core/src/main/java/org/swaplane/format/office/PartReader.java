package org.swaplane.format.office;

import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
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

    private static final Pattern HIDDEN = Pattern.compile("<w:vanish\\s*(?:/>|w:val=\"(?:1|true|on)\")");

    private final String text;
    private final RunVocabulary vocabulary;
    private final TargetLook look;
    private final boolean readsHidden;
    private final Predicate<String> cells;
    private final TextDocument.Builder document;
    private final String name;
    private final XMLStreamReader2 xml;
    /** A document has few kinds of runs and very many runs. */
    private final Map<String, String> cleaned = new HashMap<>();

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
            readWhole(paragraph, element, "", start, false);
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
        int runEnd = endOfRun(start, paragraph.prefix());
        String raw = text.substring(start, runEnd);
        if (isField(raw)) {
            xml.skipElement();
            readField(paragraph, raw, start, runEnd);
            return;
        }
        if (!readsHidden && HIDDEN.matcher(raw).find()) {
            xml.skipElement();
            paragraph.tag(Tag.Kind.STANDALONE, "hidden", raw, start, runEnd);
            return;
        }
        String properties = "";
        while (xml.next() != XMLStreamConstants.END_ELEMENT) {
            if (xml.getEventType() != XMLStreamConstants.START_ELEMENT) {
                continue;
            }
            String element = xml.getLocalName();
            int at = start();
            if (element.equals("rPr")) {
                xml.skipElement();
                properties = cleaned.computeIfAbsent(text.substring(at, end()), RunProperties::cleaned);
            } else if (element.equals("t") && vocabulary.isIn(xml.getNamespaceURI())) {
                paragraph.text(ElementText.read(xml), properties, start, runEnd);
            } else if (NOISE.contains(element)) {
                xml.skipElement();
            } else {
                readWhole(paragraph, element, properties, start, true);
            }
        }
    }

    /** An element that is one tag, with the paragraphs of a text box that may be in it. */
    private void readWhole(Paragraph paragraph, String element, String properties, int runStart, boolean inRun)
            throws XMLStreamException {
        int start = start();
        Deque<Paragraph> boxes = new ArrayDeque<>();
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
        String raw = text.substring(start, end());
        String prefix = paragraph.prefix();
        String id = inRun
                ? paragraph.inRun(element, raw, properties, runStart, endOfRun(runStart, prefix))
                : paragraph.tag(Tag.Kind.STANDALONE, element, raw, start, end());
        int before = inRun ? ('<' + prefix + "r>" + properties).length() : 0;
        boxes.forEach(box -> paragraph.inner(id, start - before, box));
        texts.forEach(each -> paragraph.inner(id, start - before, each));
    }

    /** Where the run ends that begins at {@code start}; runs are in runs only within text boxes, which are counted. */
    private int endOfRun(int start, String prefix) {
        String open = '<' + prefix + 'r';
        String close = "</" + prefix + "r>";
        int depth = 0;
        int at = start;
        while (true) {
            int nextClose = text.indexOf(close, at);
            int nextOpen = at == start ? start : nextOpen(open, at);
            if (nextOpen >= 0 && nextOpen < nextClose) {
                depth += isEmptyElement(nextOpen) ? 0 : 1;
                at = nextOpen + open.length();
                if (depth == 0) {
                    return text.indexOf('>', nextOpen) + 1;
                }
            } else {
                depth--;
                at = nextClose + close.length();
                if (depth == 0) {
                    return at;
                }
            }
        }
    }

    private int nextOpen(String open, int from) {
        int at = text.indexOf(open, from);
        while (at >= 0 && " >/\t\r\n".indexOf(text.charAt(at + open.length())) < 0) {
            at = text.indexOf(open, at + 1);
        }
        return at;
    }

    private boolean isEmptyElement(int start) {
        return text.charAt(text.indexOf('>', start) - 1) == '/';
    }

    private static boolean isField(String run) {
        return run.contains(":fldChar ") || run.contains(":instrText");
    }

    /** From the begin of a field to its result is one tag; its end is another (ECMA-376-1, section 17.16.18). */
    private void readField(Paragraph paragraph, String raw, int start, int end) {
        boolean begins = raw.contains("\"begin\"");
        boolean separates = raw.contains("\"separate\"");
        boolean ends = raw.contains("\"end\"");
        if (instructions > 0) {
            paragraph.extendLast(raw, end);
        } else {
            paragraph.tag(Tag.Kind.STANDALONE, "field", raw, start, end);
        }
        instructions = Math.max(0, instructions + (begins ? 1 : 0) - (separates || ends && instructions > 0 ? 1 : 0));
    }
}
