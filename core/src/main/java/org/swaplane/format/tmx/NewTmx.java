package org.swaplane.format.tmx;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
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
import org.swaplane.format.Authorship;
import org.swaplane.format.NativeCode;
import org.swaplane.format.NewXml;

/** A TMX 1.4b file with everything of a document that has a target. */
public final class NewTmx {
    private final NewXml xml;

    private NewTmx(NewXml xml) {
        this.xml = xml;
    }

    /** Writes the memory; segments without a target are no translations and are left out. */
    public static void write(BilingualDocument document, OutputStream out) throws IOException {
        try {
            new NewTmx(new NewXml(out)).write(document);
        } catch (XMLStreamException e) {
            throw new IOException(e);
        }
    }

    /** Writes units one after the other; the file is whole when it is closed. */
    public static NewUnits units(OutputStream out, Collection<String> sourceLanguages) throws IOException {
        return new NewUnits(out, List.copyOf(sourceLanguages));
    }

    /** A TMX file that is being written. */
    public static final class NewUnits implements AutoCloseable {
        private final NewTmx tmx;
        private final boolean severalSources;

        private NewUnits(OutputStream out, List<String> sources) throws IOException {
            try {
                tmx = new NewTmx(new NewXml(out));
                severalSources = sources.size() != 1;
                tmx.begin(sources, "memory");
            } catch (XMLStreamException e) {
                throw new IOException(e);
            }
        }

        /** @param notes those of kind context are written as properties */
        public void write(
                String id,
                String sourceLanguage,
                String targetLanguage,
                Content source,
                Content target,
                Authorship by,
                List<Note> notes)
                throws IOException {
            try {
                tmx.xml.open(
                        "tu",
                        "tuid",
                        id,
                        "srclang",
                        severalSources ? known(sourceLanguage) : "",
                        "creationdate",
                        by.created(),
                        "creationid",
                        by.createdBy(),
                        "changedate",
                        by.changed(),
                        "changeid",
                        by.changedBy());
                tmx.write(notes);
                tmx.write(source, source, sourceLanguage);
                tmx.write(target, source, targetLanguage);
                tmx.xml.close();
            } catch (XMLStreamException e) {
                throw new IOException(e);
            }
        }

        @Override
        public void close() throws IOException {
            try {
                tmx.end();
            } catch (XMLStreamException e) {
                throw new IOException(e);
            }
        }
    }

    private void write(BilingualDocument document) throws XMLStreamException {
        List<String> sources =
                document.parts().stream().map(Part::sourceLanguage).distinct().toList();
        begin(sources, document.format());
        for (Segment segment : document.segments()) {
            if (!segment.target().isEmpty()) {
                write(segment, document.parts().get(segment.part()), sources.size() > 1);
            }
        }
        end();
    }

    private void end() throws XMLStreamException {
        xml.close();
        xml.close();
        xml.end();
    }

    private void begin(List<String> sources, String origin) throws XMLStreamException {
        xml.open("tmx", "version", "1.4");
        xml.startLine(
                "header",
                "creationtool",
                "Swap Lane",
                "creationtoolversion",
                "1",
                "segtype",
                "sentence",
                "o-tmf",
                origin,
                "adminlang",
                "en",
                "srclang",
                sources.size() == 1 ? known(sources.get(0)) : "*all*",
                "datatype",
                "unknown");
        xml.closeInline();
        xml.open("body");
    }

    private void write(Segment segment, Part part, boolean severalSources) throws XMLStreamException {
        xml.open("tu", "tuid", segment.key(), "srclang", severalSources ? known(part.sourceLanguage()) : "");
        write(segment.notes());
        xml.line("prop", segment.state().name().toLowerCase(Locale.ROOT), "type", "state");
        write(segment.source(), segment.source(), part.sourceLanguage());
        write(segment.target(), segment.source(), part.targetLanguage());
        xml.close();
    }

    private void write(List<Note> notes) throws XMLStreamException {
        for (Note note : notes) {
            if (note.kind() == Note.Kind.CONTEXT) {
                xml.line("prop", note.text(), "type", note.from().isEmpty() ? "context" : note.from());
            } else {
                xml.line("note", note.text());
            }
        }
    }

    private void write(Content content, Content source, String language) throws XMLStreamException {
        xml.open("tuv", "xml:lang", known(language));
        xml.startLine("seg");
        Map<Integer, Long> halves = halves(content, source);
        List<Integer> numbers = TagNumbers.of(source).in(content);
        int at = 0;
        for (Run run : content.runs()) {
            if (run instanceof Text text) {
                xml.text(text.value());
            } else if (run instanceof Tag tag) {
                int number = numbers.get(at++);
                write(tag, number, halves.get(number) == 2);
            }
        }
        xml.closeInline();
        xml.close();
    }

    /** How many tags have each number; a pair is two. */
    private static Map<Integer, Long> halves(Content content, Content source) {
        Map<Integer, Long> halves = new HashMap<>();
        TagNumbers.of(source).in(content).forEach(number -> halves.merge(number, 1L, Long::sum));
        return halves;
    }

    /** TMX 1.4b, section 3.3: bpt and ept come in pairs; a half whose other half is elsewhere is isolated. */
    private void write(Tag tag, int number, boolean paired) throws XMLStreamException {
        String written = String.valueOf(number);
        switch (tag.kind()) {
            case OPEN -> {
                if (paired) {
                    xml.openInline("bpt", "i", written, "x", written);
                } else {
                    xml.openInline("it", "pos", "begin", "x", written);
                }
            }
            case CLOSE -> {
                if (paired) {
                    xml.openInline("ept", "i", written);
                } else {
                    xml.openInline("it", "pos", "end", "x", written);
                }
            }
            case STANDALONE -> xml.openInline("ph", "x", written);
        }
        xml.text(NativeCode.of(tag));
        xml.closeInline();
    }

    private static String known(String language) {
        return language.isEmpty() ? "und" : language;
    }
}
