package org.swaplane.format.xliff12;

import java.util.ArrayList;
import java.util.List;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.format.ElementPlace;
import org.swaplane.format.InlinePass;
import org.swaplane.format.RecentText;
import org.swaplane.format.TagPool;

/**
 * Reads what stands in a {@code source} or {@code target}: {@code g} and {@code mrk} are pairs around text, {@code bx}/{@code ex}
 * and {@code bpt}/{@code ept} are pairs by {@code rid}, everything else is one tag that stands alone (XLIFF 1.2, section 2.5).
 * Protected text is one tag, so that nobody edits it; sub-flows are handed out as content of their own.
 */
final class InlineReader extends InlinePass {
    private static final Tag.Rights NOT_CLONED = new Tag.Rights(false, true, true, true);

    private final RecentText recent;
    private final TagPool tags;
    private List<SubContent> subFlows = List.of();

    InlineReader(XMLStreamReader2 xml, RecentText recent, TagPool tags) {
        super(xml, recent, tags);
        this.recent = recent;
        this.tags = tags;
    }

    /** The sub-flows in what was read. */
    List<SubContent> subFlows() {
        return subFlows;
    }

    @Override
    protected void startElement(String name) throws XMLStreamException {
        String label = firstOf("equiv-text", "ctype", "mtype");
        switch (name) {
            case "g" -> pair("g:" + attribute("id"), label, "");
            case "mrk" -> {
                if (attribute("mtype").equals("protected")) {
                    whole(Tag.Kind.STANDALONE, Tag.MARKED + attribute("mid"), label);
                } else {
                    pair(Tag.MARKED + attribute("mid"), label, "");
                }
            }
            case "bx" -> whole(Tag.Kind.OPEN, "bx:" + firstOf("rid", "id"), label);
            case "ex" -> whole(Tag.Kind.CLOSE, "bx:" + firstOf("rid", "id"), label);
            case "bpt" -> whole(Tag.Kind.OPEN, "bpt:" + firstOf("rid", "id"), label);
            case "ept" -> whole(Tag.Kind.CLOSE, "bpt:" + firstOf("rid", "id"), label);
            default -> whole(Tag.Kind.STANDALONE, name + ':' + attribute("id"), label);
        }
    }

    @Override
    protected Tag.Rights rights() {
        return attribute("clone").equals("no") ? NOT_CLONED : Tag.Rights.ALL;
    }

    @Override
    protected String inside(Tag.Kind kind, String id) throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        int position = 0;
        int depth = 1;
        while (depth > 0) {
            switch (xml.next()) {
                case XMLStreamConstants.START_ELEMENT -> {
                    if (xml.getLocalName().equals("sub")) {
                        readSubFlow(kind, id, position++);
                        text.append('…');
                    } else {
                        depth++;
                    }
                }
                case XMLStreamConstants.END_ELEMENT -> depth--;
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA, XMLStreamConstants.SPACE ->
                    text.append(xml.getText());
                default -> {}
            }
        }
        return text.toString();
    }

    private void readSubFlow(Tag.Kind kind, String id, int position) throws XMLStreamException {
        long start = start();
        long contentStart = end();
        Content content = new InlineReader(xml, recent, tags).read();
        if (subFlows.isEmpty()) {
            subFlows = new ArrayList<>();
        }
        subFlows.add(
                new SubContent(kind, id, position, content, new ElementPlace(start, contentStart, start(), end())));
    }
}
