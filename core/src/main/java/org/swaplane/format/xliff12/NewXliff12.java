package org.swaplane.format.xliff12;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import javax.xml.stream.XMLStreamException;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNumbers;
import org.swaplane.content.Text;
import org.swaplane.content.UnspacedScript;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.NativeCode;
import org.swaplane.format.NewXml;

/**
 * Writes a bilingual document as a new XLIFF 1.2 file, for tools that know no newer one: a unit of several segments has a segmented
 * source, native codes stand in {@code bpt}, {@code ept}, {@code it} and {@code ph}.
 */
public final class NewXliff12 {
    private final BilingualDocument document;
    private final NewXml xml;

    private NewXliff12(BilingualDocument document, NewXml xml) {
        this.document = document;
        this.xml = xml;
    }

    public static void write(BilingualDocument document, OutputStream out) throws IOException {
        try {
            new NewXliff12(document, new NewXml(out)).write();
        } catch (XMLStreamException e) {
            throw new IOException(e);
        }
    }

    private void write() throws XMLStreamException {
        xml.open("xliff", "xmlns", "urn:oasis:names:tc:xliff:document:1.2", "version", "1.2");
        for (int part = 0; part < document.parts().size(); part++) {
            List<List<Segment>> units = document.units(part);
            if (!units.isEmpty()) {
                writePart(document.parts().get(part), units);
            }
        }
        xml.close();
        xml.end();
    }

    private void writePart(Part part, List<List<Segment>> units) throws XMLStreamException {
        xml.open(
                "file",
                "original",
                part.name(),
                "source-language",
                part.sourceLanguage().isEmpty() ? "und" : part.sourceLanguage(),
                "target-language",
                part.targetLanguage(),
                "datatype",
                "plaintext");
        xml.open("body");
        int number = 1;
        for (List<Segment> segments : units) {
            writeUnit("u" + number++, segments);
        }
        xml.close();
        xml.close();
    }

    private void writeUnit(String id, List<Segment> segments) throws XMLStreamException {
        Segment first = segments.get(0);
        State least =
                segments.stream().map(Segment::state).min(State::compareTo).orElseThrow();
        boolean any = segments.stream().anyMatch(segment -> !segment.target().isEmpty());
        boolean translated =
                segments.stream().noneMatch(segment -> segment.target().isEmpty());
        xml.open(
                "trans-unit",
                "id",
                id,
                "resname",
                first.unit(),
                "translate",
                first.locked() ? "no" : "",
                "approved",
                translated && States12.isApproved(least) ? "yes" : "");
        writeSide("source", segments, false, "");
        if (segments.size() > 1) {
            writeSide("seg-source", segments, false, "");
        }
        if (any) {
            writeSide("target", segments, true, States12.write(least));
        }
        for (Note note : first.notes()) {
            xml.line("note", note.text(), "from", note.from());
        }
        xml.close();
    }

    private void writeSide(String name, List<Segment> segments, boolean targets, String state)
            throws XMLStreamException {
        boolean marked = segments.size() > 1 && !name.equals("source");
        xml.startLine(name, "state", state);
        int tagsBefore = 0;
        for (int i = 0; i < segments.size(); i++) {
            Segment segment = segments.get(i);
            if (targets && segment.target().isEmpty()) {
                tagsBefore += segment.source().tags().size();
                continue;
            }
            boolean spaced = i > 0
                    && UnspacedScript.needsSpaceBetween(
                            segments.get(i - 1).source().plainText(),
                            segment.source().plainText());
            xml.text(spaced ? " " : "");
            if (marked) {
                xml.openInline("mrk", "mtype", "seg", "mid", String.valueOf(i + 1));
            }
            writeContent(targets ? segment.target() : segment.source(), segment.source(), tagsBefore);
            if (marked) {
                xml.closeInline();
            }
            tagsBefore +=
                    segment.source().tags().size() + segment.target().tags().size();
        }
        xml.closeInline();
    }

    private void writeContent(Content content, Content source, int tagsBefore) throws XMLStreamException {
        List<Integer> numbers = TagNumbers.of(source).in(content);
        int at = 0;
        for (Run run : content.runs()) {
            if (run instanceof Text text) {
                xml.text(text.value());
            } else if (run instanceof Tag tag) {
                int number = numbers.get(at++);
                boolean paired = numbers.indexOf(number) != numbers.lastIndexOf(number);
                writeTag(tag, String.valueOf(tagsBefore + number), paired);
            }
        }
    }

    private void writeTag(Tag tag, String id, boolean paired) throws XMLStreamException {
        boolean opens = tag.kind() == Tag.Kind.OPEN;
        if (tag.kind() == Tag.Kind.STANDALONE) {
            xml.openInline("ph", "id", id);
        } else if (paired) {
            xml.openInline(opens ? "bpt" : "ept", "id", id, "rid", id);
        } else {
            xml.openInline("it", "id", id, "pos", opens ? "open" : "close");
        }
        xml.text(NativeCode.of(tag));
        xml.closeInline();
    }
}
