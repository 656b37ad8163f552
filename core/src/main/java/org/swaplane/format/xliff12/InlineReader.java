package org.swaplane.format.xliff12;

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
import org.swaplane.format.ElementText;
import org.swaplane.format.RecentText;
import org.swaplane.format.StartTag;

/**
 * Reads what stands in a {@code source} or {@code target}: {@code g} and {@code mrk} are pairs around text, {@code bx}/{@code ex}
 * and {@code bpt}/{@code ept} are pairs by {@code rid}, everything else is one tag that stands alone (XLIFF 1.2, section 2.5).
 */
final class InlineReader {
    private final XMLStreamReader2 xml;
    private final RecentText recent;
    private final List<Run> runs = new ArrayList<>(4);
    private final Deque<Tag> open = new ArrayDeque<>();

    InlineReader(XMLStreamReader2 xml, RecentText recent) {
        this.xml = xml;
        this.recent = recent;
    }

    /** From the start tag that the reader stands on to its end tag, on which the reader is left. */
    Content read() throws XMLStreamException {
        while (true) {
            switch (xml.next()) {
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA, XMLStreamConstants.SPACE ->
                    runs.add(new Text(xml.getText()));
                case XMLStreamConstants.START_ELEMENT -> startElement();
                case XMLStreamConstants.END_ELEMENT -> {
                    if (open.isEmpty()) {
                        return runs.isEmpty() ? Content.EMPTY : new Content(runs);
                    }
                    runs.add(open.pop());
                }
                default -> {} // comments and processing instructions are no text
            }
        }
    }

    private void startElement() throws XMLStreamException {
        String name = xml.getLocalName();
        switch (name) {
            case "g", "mrk" -> openPair(name);
            case "bx", "bpt" -> runs.add(whole(Tag.Kind.OPEN, pairId()));
            case "ex", "ept" -> runs.add(whole(Tag.Kind.CLOSE, pairId()));
            default -> runs.add(whole(Tag.Kind.STANDALONE, name + ':' + attribute("id")));
        }
    }

    private void openPair(String name) throws XMLStreamException {
        long start = xml.getLocationInfo().getStartingCharOffset();
        StartTag tag = new StartTag(recent.text(start, xml.getLocationInfo().getEndingCharOffset()));
        String own = attribute(name.equals("mrk") ? "mid" : "id");
        String id = name + ':' + own;
        runs.add(new Tag(Tag.Kind.OPEN, id, tag.opened().raw(), label("")));
        open.push(new Tag(Tag.Kind.CLOSE, id, "</" + tag.name() + '>', ""));
    }

    private String pairId() {
        String rid = attribute("rid");
        String family = xml.getLocalName().equals("bx") || xml.getLocalName().equals("ex") ? "bx:" : "bpt:";
        return family + (rid.isEmpty() ? attribute("id") : rid);
    }

    /** An element with all that is in it as one tag. */
    private Tag whole(Tag.Kind kind, String id) throws XMLStreamException {
        long start = xml.getLocationInfo().getStartingCharOffset();
        xml.getLocationInfo().getEndingCharOffset();
        String hint = label("");
        String nativeCode = ElementText.read(xml);
        String raw = recent.text(start, xml.getLocationInfo().getEndingCharOffset());
        return new Tag(kind, id, raw, nativeCode.isEmpty() ? hint : nativeCode);
    }

    private String label(String otherwise) {
        for (String name : List.of("equiv-text", "ctype", "mtype")) {
            String value = attribute(name);
            if (!value.isEmpty()) {
                return value;
            }
        }
        return otherwise;
    }

    private String attribute(String name) {
        String value = xml.getAttributeValue(null, name);
        return value == null ? "" : value;
    }
}
