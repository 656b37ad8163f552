package org.swaplane.format;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;

/** Reads the content of one element: its text, and what the format makes of the elements within it. */
public abstract class InlinePass {
    protected final XMLStreamReader2 xml;
    private final RecentText recent;
    private final TagPool tags;
    private final List<Run> runs = new ArrayList<>(4);
    private final Deque<Tag> open = new ArrayDeque<>(2);

    protected InlinePass(XMLStreamReader2 xml, RecentText recent, TagPool tags) {
        this.xml = xml;
        this.recent = recent;
        this.tags = tags;
    }

    /** What the format makes of a content when all of it has been read. */
    protected Content finished(Content content) {
        return content;
    }

    /** An element within the text begins; calls {@link #pair} or {@link #whole}. */
    protected abstract void startElement(String name) throws XMLStreamException;

    /** From the start tag that the reader stands on to its end tag, on which the reader is left. */
    public final Content read() throws XMLStreamException {
        while (true) {
            switch (xml.next()) {
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA, XMLStreamConstants.SPACE ->
                    runs.add(new Text(xml.getText()));
                case XMLStreamConstants.START_ELEMENT -> startElement(xml.getLocalName());
                case XMLStreamConstants.END_ELEMENT -> {
                    if (open.isEmpty()) {
                        return runs.isEmpty() ? Content.EMPTY : finished(new Content(runs));
                    }
                    runs.add(open.pop());
                }
                default -> {} // comments and processing instructions are no text
            }
        }
    }

    /** The element is a pair of tags around what is in it. */
    protected final void pair(String id, String openLabel, String closeLabel) throws XMLStreamException {
        long start = start();
        Tag.Rights rights = rights();
        StartTag tag = new StartTag(recent.text(start, end()));
        runs.add(tags.shared(new Tag(Tag.Kind.OPEN, id, tag.opened().raw(), openLabel, rights)));
        open.push(tags.shared(new Tag(Tag.Kind.CLOSE, id, "</" + tag.name() + '>', closeLabel, rights)));
    }

    /** The element with all that is in it is one tag; what is in it is its label, where there is something. */
    protected final void whole(Tag.Kind kind, String id, String label) throws XMLStreamException {
        long start = start();
        Tag.Rights rights = rights();
        String inside = inside(kind, id);
        String raw = recent.text(start, end());
        runs.add(tags.shared(new Tag(kind, id, raw, inside.isEmpty() ? label : inside, rights)));
    }

    /** What the file allows people to do with the tag that the parser stands on. */
    protected Tag.Rights rights() {
        return Tag.Rights.ALL;
    }

    /** Reads what is in an element that is one tag, for people to see; leaves the reader on its end tag. */
    protected String inside(Tag.Kind kind, String id) throws XMLStreamException {
        return ElementText.read(xml);
    }

    /** Where what the parser stands on begins, in UTF-16 units of the text. */
    protected final long start() throws XMLStreamException {
        return xml.getLocationInfo().getStartingCharOffset();
    }

    /** Where what the parser stands on ends. */
    protected final long end() throws XMLStreamException {
        return xml.getLocationInfo().getEndingCharOffset();
    }

    /** An attribute without namespace, empty when it is not there. */
    protected final String attribute(String name) {
        String value = xml.getAttributeValue(null, name);
        return value == null ? "" : value;
    }

    /** The first of these attributes that is there and not empty, else nothing. */
    protected final String firstOf(String... names) {
        for (String name : names) {
            String value = attribute(name);
            if (!value.isEmpty()) {
                return value;
            }
        }
        return "";
    }
}
