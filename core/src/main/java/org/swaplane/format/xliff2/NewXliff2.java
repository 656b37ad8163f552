package org.swaplane.format.xliff2;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.xml.stream.XMLStreamException;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNumbers;
import org.swaplane.content.Text;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.format.NativeCode;
import org.swaplane.format.NewXml;

/** An XLIFF 2.1 file with everything of a document. */
public final class NewXliff2 {
    private final BilingualDocument document;
    private final NewXml xml;

    private NewXliff2(BilingualDocument document, NewXml xml) {
        this.document = document;
        this.xml = xml;
    }

    /** Writes the document, whose parts must all have the same languages: the format has room for one pair. */
    public static void write(BilingualDocument document, OutputStream out) throws IOException {
        try {
            new NewXliff2(document, new NewXml(out)).write();
        } catch (XMLStreamException e) {
            throw new IOException(e);
        }
    }

    private void write() throws XMLStreamException {
        String source = document.sourceLanguage();
        xml.open(
                "xliff",
                "xmlns",
                "urn:oasis:names:tc:xliff:document:2.0",
                "version",
                "2.1",
                "srcLang",
                source.isEmpty() ? "und" : source,
                "trgLang",
                document.targetLanguage());
        for (int part = 0; part < document.parts().size(); part++) {
            writePart(part);
        }
        xml.close();
        xml.end();
    }

    private void writePart(int number) throws XMLStreamException {
        List<List<Segment>> units = document.units(number);
        if (units.isEmpty()) {
            return;
        }
        Part part = document.parts().get(number);
        xml.open("file", "id", "f" + (number + 1), "original", part.name());
        int unit = 1;
        for (List<Segment> segments : units) {
            writeUnit("u" + unit++, segments);
        }
        xml.close();
    }

    private void writeUnit(String id, List<Segment> segments) throws XMLStreamException {
        Segment first = segments.get(0);
        xml.open("unit", "id", id, "name", first.unit(), "translate", first.locked() ? "no" : "");
        writeNotes(first.notes());
        Map<String, String> data = originalData(segments);
        if (!data.isEmpty()) {
            xml.open("originalData");
            for (Map.Entry<String, String> each : data.entrySet()) {
                xml.line("data", each.getKey(), "id", each.getValue());
            }
            xml.close();
        }
        int tagsBefore = 0;
        for (int i = 0; i < segments.size(); i++) {
            Segment segment = segments.get(i);
            boolean translated = !segment.target().isEmpty();
            xml.open("segment", "id", "s" + (i + 1), "state", translated ? States2.write(segment.state()) : "");
            boolean nested = isNested(segment.source()) && isNested(segment.target());
            writeContent("source", segment.source(), segment.source(), tagsBefore, nested, data);
            if (translated) {
                writeContent("target", segment.target(), segment.source(), tagsBefore, nested, data);
            }
            xml.close();
            tagsBefore +=
                    segment.source().tags().size() + segment.target().tags().size();
        }
        xml.close();
    }

    private void writeNotes(List<Note> notes) throws XMLStreamException {
        if (notes.isEmpty()) {
            return;
        }
        xml.open("notes");
        for (Note note : notes) {
            String about = note.kind() == Note.Kind.SOURCE ? "source" : note.kind() == Note.Kind.TARGET ? "target" : "";
            String priority = note.priority() == 0 ? "" : String.valueOf(note.priority());
            xml.line("note", note.text(), "category", note.from(), "appliesTo", about, "priority", priority);
        }
        xml.close();
    }

    /** Ids of the native codes of a unit. */
    private static Map<String, String> originalData(List<Segment> segments) {
        Map<String, String> ids = new LinkedHashMap<>();
        for (Segment segment : segments) {
            List<Tag> tags = new ArrayList<>(segment.source().tags());
            tags.addAll(segment.target().tags());
            tags.forEach(tag -> ids.computeIfAbsent(NativeCode.of(tag), code -> "d" + (ids.size() + 1)));
        }
        return ids;
    }

    private static boolean isNested(Content content) {
        Deque<String> open = new ArrayDeque<>();
        for (Tag tag : content.tags()) {
            if (tag.kind() == Tag.Kind.OPEN) {
                open.push(tag.id());
            } else if (tag.kind() == Tag.Kind.CLOSE
                    && (open.isEmpty() || !open.pop().equals(tag.id()))) {
                return false;
            }
        }
        return open.isEmpty();
    }

    private void writeContent(
            String name, Content content, Content source, int tagsBefore, boolean nested, Map<String, String> data)
            throws XMLStreamException {
        List<Integer> numbers = TagNumbers.of(source).in(content);
        List<Tag> tags = content.tags();
        xml.startLine(name);
        int at = 0;
        for (Run run : content.runs()) {
            if (run instanceof Text text) {
                xml.text(text.value());
            } else if (run instanceof Tag tag) {
                String id = String.valueOf(tagsBefore + numbers.get(at));
                if (tag.kind() == Tag.Kind.STANDALONE) {
                    xml.empty("ph", "id", id, "dataRef", data.get(NativeCode.of(tag)));
                } else if (nested) {
                    writeNested(tag, id, closing(tags, numbers, at), data);
                } else {
                    boolean paired = numbers.indexOf(numbers.get(at)) != numbers.lastIndexOf(numbers.get(at));
                    writeHalf(tag, id, data.get(NativeCode.of(tag)), paired);
                }
                at++;
            }
        }
        xml.closeInline();
    }

    private void writeNested(Tag tag, String id, Optional<Tag> end, Map<String, String> data)
            throws XMLStreamException {
        if (tag.kind() == Tag.Kind.CLOSE) {
            xml.closeInline();
        } else {
            String start = data.get(NativeCode.of(tag));
            xml.openInline(
                    "pc", "id", id, "dataRefStart", start, "dataRefEnd", data.get(NativeCode.of(end.orElseThrow())));
        }
    }

    /** A half of a pair that overlaps another, or is without its other half. */
    private void writeHalf(Tag tag, String id, String code, boolean paired) throws XMLStreamException {
        String isolated = paired ? "" : "yes";
        if (tag.kind() == Tag.Kind.OPEN) {
            xml.empty("sc", "id", id, "dataRef", code, "isolated", isolated);
        } else {
            xml.empty("ec", paired ? "startRef" : "id", id, "dataRef", code, "isolated", isolated);
        }
    }

    /** The other half of the pair that opens at {@code at}. */
    private static Optional<Tag> closing(List<Tag> tags, List<Integer> numbers, int at) {
        for (int i = at + 1; i < tags.size(); i++) {
            if (numbers.get(i).equals(numbers.get(at)) && tags.get(i).kind() == Tag.Kind.CLOSE) {
                return Optional.of(tags.get(i));
            }
        }
        return Optional.empty();
    }
}
