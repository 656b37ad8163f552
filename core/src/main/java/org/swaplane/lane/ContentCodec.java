package org.swaplane.lane;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import java.util.ArrayList;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;

/** Content as JSON in the journal: text as strings, tags as arrays of kind, id, code, label and, where not everything may be done with
 * them, their rights. */
final class ContentCodec {
    private static final ObjectMapper JSON = new ObjectMapper();

    private ContentCodec() {}

    static String write(Content content) {
        ArrayNode array = JSON.createArrayNode();
        for (Run run : content.runs()) {
            if (run instanceof Text text) {
                array.add(text.value());
            } else if (run instanceof Tag tag) {
                ArrayNode written = array.addArray()
                        .add(tag.kind().name())
                        .add(tag.id())
                        .add(tag.code())
                        .add(tag.label());
                Tag.Rights rights = tag.rights();
                if (!rights.equals(Tag.Rights.ALL)) {
                    written.add(rights.copy())
                            .add(rights.delete())
                            .add(rights.reorder())
                            .add(rights.overlap());
                }
            }
        }
        return array.toString();
    }

    static Content read(String json) {
        if (json.length() > 4 && json.startsWith("[\"") && json.endsWith("\"]") && isPlain(json)) {
            // One text with nothing in it to be resolved, as most are.
            return Content.of(json.substring(2, json.length() - 2));
        }
        try {
            List<Run> runs = new ArrayList<>();
            for (JsonNode node : JSON.readTree(json)) {
                runs.add(node.isArray() ? tag(node) : new Text(node.asText()));
            }
            return new Content(runs);
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("the journal holds '" + json + "'", e);
        }
    }

    private static boolean isPlain(String json) {
        return json.indexOf('\\') < 0 && json.indexOf('"', 2) == json.length() - 2;
    }

    private static Tag tag(JsonNode node) {
        Tag.Rights rights = node.size() < 8
                ? Tag.Rights.ALL
                : new Tag.Rights(
                        node.get(4).asBoolean(),
                        node.get(5).asBoolean(),
                        node.get(6).asBoolean(),
                        node.get(7).asBoolean());
        return new Tag(
                Tag.Kind.valueOf(node.get(0).asText()),
                node.get(1).asText(),
                node.get(2).asText(),
                node.get(3).asText(),
                rights);
    }
}
