package org.swaplane.format.tmx;

import java.util.HashMap;
import java.util.Map;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.content.Tag;
import org.swaplane.format.InlinePass;
import org.swaplane.format.RecentText;
import org.swaplane.format.TagPool;

/**
 * Reads a {@code seg}: {@code hi} is a pair around text, {@code bpt}/{@code ept} are pairs by {@code i}, everything else stands alone
 * (TMX 1.4b, section 3.3). What {@code x} does not link between variants is linked by its place among its kind.
 */
final class InlineReader extends InlinePass {
    private final Map<String, String> pairs = new HashMap<>(0);
    private final Map<String, Integer> seen = new HashMap<>(0);

    InlineReader(XMLStreamReader2 xml, RecentText recent, TagPool tags) {
        super(xml, recent, tags);
    }

    @Override
    protected void startElement(String name) throws XMLStreamException {
        String label = attribute("type");
        switch (name) {
            case "hi" -> pair(id(name), label, "");
            case "bpt" -> {
                String id = attribute("x").isEmpty() ? "bpt:i" + attribute("i") : "bpt:" + attribute("x");
                pairs.put(attribute("i"), id);
                whole(Tag.Kind.OPEN, id, label);
            }
            case "ept" -> whole(Tag.Kind.CLOSE, pairs.getOrDefault(attribute("i"), "bpt:i" + attribute("i")), label);
            default -> whole(Tag.Kind.STANDALONE, id(name), label);
        }
    }

    private String id(String name) {
        int place = seen.merge(name, 1, Integer::sum);
        return name + ':' + (attribute("x").isEmpty() ? "#" + place : attribute("x"));
    }
}
