package org.swaplane.format.resources;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.document.Note;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.ElementText;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.InlinePass;
import org.swaplane.format.TextDocument;
import org.swaplane.format.XmlPass;
import org.swaplane.placeholder.PlaceholderTags;
import org.swaplane.task.Progress;

/** One pass over a file of string resources. */
final class ResourceReader extends XmlPass {
    private final ResourceKind kind;
    private final TextDocument.Builder document;
    private final PlaceholderTags placeholders;
    /** The open elements: their names in the file, and whether they are for translation. */
    private final Deque<Open> open = new ArrayDeque<>();

    private final List<Note> notes = new ArrayList<>();
    private int items;

    private record Open(String name, boolean translatable) {}

    /** Text with any elements in it: pairs where they hold something to translate, one tag where they do not. */
    private static final class Inline extends InlinePass {
        private int tags;

        private Inline(ResourceReader reader) {
            super(reader.xml, reader.recent, reader.tags);
        }

        @Override
        protected void startElement(String name) throws XMLStreamException {
            // XLIFF's own g within a resource marks what is to be kept.
            boolean kept =
                    xml.getNamespaceURI() != null && xml.getNamespaceURI().startsWith("urn:oasis:names:tc:xliff");
            if (kept) {
                whole(Tag.Kind.STANDALONE, Tag.MARKED + ++tags, "");
            } else {
                pair(name + ':' + ++tags, name, "");
            }
        }
    }

    ResourceReader(ResourceKind kind, EncodedText text, FileOptions options, Progress progress) {
        super(text, options, progress);
        this.kind = kind;
        this.placeholders = options.placeholderTags();
        this.document = new TextDocument.Builder(text, options);
    }

    BilingualFile read(String format) throws IOException {
        run();
        return document.build(format, CharacterEscapes.XML);
    }

    @Override
    protected boolean isOurNamespace(String namespace) {
        return namespace.isEmpty();
    }

    @Override
    protected void step(int event) throws XMLStreamException {
        progress.checkCancelled();
        switch (event) {
            case XMLStreamConstants.COMMENT -> notes.add(new Note(xml.getText().strip(), ""));
            case XMLStreamConstants.START_ELEMENT -> startElement();
            case XMLStreamConstants.END_ELEMENT -> {
                open.pop();
                if (open.size() == 1) {
                    notes.clear();
                }
            }
            default -> {}
        }
    }

    private void startElement() throws XMLStreamException {
        String element = xml.getLocalName();
        boolean translatable = (open.isEmpty() || open.peek().translatable())
                && !attribute("translatable").equals("false")
                && !element.equals("resheader")
                && attribute("type").isEmpty()
                && attribute("mimetype").isEmpty();
        String name =
                attribute("name").isEmpty() ? (open.isEmpty() ? "" : open.peek().name()) : attribute("name");
        if (element.equals("comment") && kind == ResourceKind.DOT_NET) {
            notes.add(new Note(ElementText.read(xml), ""));
        } else if (translatable && kind.holdsText(element)) {
            readText(name);
        } else {
            items = 0;
            open.push(new Open(name, translatable));
        }
    }

    private void readText(String name) throws XMLStreamException {
        String quantity = attribute("quantity");
        boolean isItem = xml.getLocalName().equals("item");
        String id = isItem ? name + '/' + (quantity.isEmpty() ? String.valueOf(items++) : quantity) : name;
        int start = (int) end();
        Content content = new Inline(this).read();
        int end = Math.max(start, (int) start());
        SegmentMetadata about = SegmentMetadata.ofNotes(notes);
        document.add(id, start, end, withPlaceholders(content), kind, about);
        if (open.size() == 1) {
            notes.clear();
        }
    }

    private Content withPlaceholders(Content content) {
        List<Run> runs = new ArrayList<>();
        for (Run run : content.runs()) {
            if (run instanceof Text text) {
                runs.addAll(placeholders.tagged(kind.read(text.value())).runs());
            } else {
                runs.add(run);
            }
        }
        return new Content(runs);
    }
}
