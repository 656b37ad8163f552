package org.swaplane.format.xliff12;

import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.content.Tag;
import org.swaplane.format.InlinePass;
import org.swaplane.format.RecentText;
import org.swaplane.format.TagPool;

/**
 * Reads what stands in a {@code source} or {@code target}: {@code g} and {@code mrk} are pairs around text, {@code bx}/{@code ex}
 * and {@code bpt}/{@code ept} are pairs by {@code rid}, everything else is one tag that stands alone (XLIFF 1.2, section 2.5).
 */
final class InlineReader extends InlinePass {
    InlineReader(XMLStreamReader2 xml, RecentText recent, TagPool tags) {
        super(xml, recent, tags);
    }

    @Override
    protected void startElement(String name) throws XMLStreamException {
        String label = firstOf("equiv-text", "ctype", "mtype");
        switch (name) {
            case "g" -> pair("g:" + attribute("id"), label, "");
            case "mrk" -> pair("mrk:" + attribute("mid"), label, "");
            case "bx" -> whole(Tag.Kind.OPEN, "bx:" + firstOf("rid", "id"), label);
            case "ex" -> whole(Tag.Kind.CLOSE, "bx:" + firstOf("rid", "id"), label);
            case "bpt" -> whole(Tag.Kind.OPEN, "bpt:" + firstOf("rid", "id"), label);
            case "ept" -> whole(Tag.Kind.CLOSE, "bpt:" + firstOf("rid", "id"), label);
            default -> whole(Tag.Kind.STANDALONE, name + ':' + attribute("id"), label);
        }
    }
}
