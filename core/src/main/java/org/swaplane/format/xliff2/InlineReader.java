package org.swaplane.format.xliff2;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.format.InlinePass;
import org.swaplane.format.RecentText;
import org.swaplane.format.TagPool;
import org.swaplane.format.XmlContent;

/**
 * Reads what stands in a {@code source} or {@code target}: {@code pc} and {@code mrk} are pairs around text, {@code sc}/{@code ec} and
 * {@code sm}/{@code em} are pairs by {@code startRef}, everything else is one tag that stands alone (XLIFF 2.1, section 4.2.3).
 * Text that is marked as not to be translated is one tag, so that nobody edits it.
 */
final class InlineReader extends InlinePass {
    private static final Pattern NOT_TRANSLATED = Pattern.compile("\\stranslate\\s*=\\s*[\"']no[\"']");

    private final Map<String, String> originalData;

    /** The unit's original data by id says what a code stands for. */
    InlineReader(XMLStreamReader2 xml, RecentText recent, TagPool tags, Map<String, String> originalData) {
        super(xml, recent, tags);
        this.originalData = originalData;
    }

    @Override
    protected void startElement(String name) throws XMLStreamException {
        switch (name) {
            case "pc" ->
                pair("pc:" + attribute("id"), label("dispStart", "dataRefStart"), label("dispEnd", "dataRefEnd"));
            case "mrk" -> {
                if (attribute("translate").equals("no")) {
                    whole(Tag.Kind.STANDALONE, Tag.MARKED + attribute("id"), attribute("type"));
                } else {
                    pair(Tag.MARKED + attribute("id"), firstOf("value", "type"), "");
                }
            }
            case "sc" -> whole(Tag.Kind.OPEN, "sc:" + attribute("id"), label("disp", "dataRef"));
            case "sm" -> whole(Tag.Kind.OPEN, "sm:" + attribute("id"), firstOf("value", "type"));
            // An end whose start is in another unit has an id of its own.
            case "ec" -> whole(Tag.Kind.CLOSE, "sc:" + firstOf("startRef", "id"), label("disp", "dataRef"));
            case "em" -> whole(Tag.Kind.CLOSE, "sm:" + firstOf("startRef", "id"), "");
            case "cp" -> whole(Tag.Kind.STANDALONE, "cp:" + attribute("hex"), "U+" + attribute("hex"));
            default -> whole(Tag.Kind.STANDALONE, name + ':' + attribute("id"), label("disp", "dataRef"));
        }
    }

    /** The defaults are those of XLIFF 2.1, section 4.3.1: canReorder {@code firstNo} begins a sequence that stays in order. */
    @Override
    protected Tag.Rights rights() {
        boolean copy = !attribute("canCopy").equals("no");
        boolean delete = !attribute("canDelete").equals("no");
        boolean reorder =
                attribute("canReorder").isEmpty() || attribute("canReorder").equals("yes");
        boolean overlap = !attribute("canOverlap").equals("no");
        return copy && delete && reorder && overlap ? Tag.Rights.ALL : new Tag.Rights(copy, delete, reorder, overlap);
    }

    private String label(String disp, String dataRef) {
        String shown = attribute(disp);
        String data = originalData.getOrDefault(attribute(dataRef), "");
        if (!shown.isEmpty() || !data.isEmpty()) {
            return shown.isEmpty() ? data : shown;
        }
        return firstOf("equiv", "type");
    }

    /** What stands between the halves of a mark that is not to be translated is one tag, as an element of that kind is. */
    @Override
    protected Content finished(Content content) {
        if (!hasUntranslatedMark(content)) {
            return content;
        }
        List<Run> runs = new ArrayList<>(content.runs());
        for (int start = 0; start < runs.size(); start++) {
            if (runs.get(start) instanceof Tag open && isUntranslatedMark(open)) {
                int end = indexOfEnd(runs, open, start);
                if (end > start) {
                    Content inside = new Content(runs.subList(start + 1, end));
                    String code = XmlContent.written(new Content(runs.subList(start, end + 1)), "\n");
                    String id = Tag.MARKED + open.id().substring("sm:".length());
                    runs.subList(start, end + 1).clear();
                    runs.add(start, new Tag(Tag.Kind.STANDALONE, id, code, inside.plainText()));
                }
            }
        }
        return new Content(runs);
    }

    private static boolean hasUntranslatedMark(Content content) {
        for (Run run : content.runs()) {
            if (run instanceof Tag tag && isUntranslatedMark(tag)) {
                return true;
            }
        }
        return false;
    }

    private static boolean isUntranslatedMark(Tag tag) {
        return tag.kind() == Tag.Kind.OPEN
                && tag.id().startsWith("sm:")
                && NOT_TRANSLATED.matcher(tag.code()).find();
    }

    private static int indexOfEnd(List<Run> runs, Tag open, int start) {
        for (int i = start + 1; i < runs.size(); i++) {
            if (runs.get(i) instanceof Tag tag
                    && tag.kind() == Tag.Kind.CLOSE
                    && tag.id().equals(open.id())) {
                return i;
            }
        }
        return -1;
    }
}
