package org.swaplane.format.json;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A JSON value that knows where it stands in the text, UTF-16 units, half-open. */
sealed interface JsonTree {
    int start();

    int end();

    /** A string, with its quotation marks. */
    record JsonString(int start, int end, String value) implements JsonTree {}

    /** A number, {@code true}, {@code false} or {@code null}. */
    record JsonOther(int start, int end) implements JsonTree {}

    /** An array. */
    record JsonArray(int start, int end, List<JsonTree> items) implements JsonTree {}

    /**
     * An object.
     *
     * @param names where the name of each member begins, with its quotation mark
     */
    record JsonObject(int start, int end, Map<String, JsonTree> members, Map<String, Integer> names)
            implements JsonTree {}

    /** Reads the value that the parser stands on. */
    static JsonTree read(JsonParser json) throws IOException {
        int start = (int) json.currentTokenLocation().getCharOffset();
        JsonToken token = json.currentToken();
        if (token == JsonToken.START_OBJECT) {
            Map<String, JsonTree> members = new LinkedHashMap<>();
            Map<String, Integer> names = new LinkedHashMap<>();
            while (json.nextToken() != JsonToken.END_OBJECT) {
                String name = json.currentName();
                names.put(name, (int) json.currentTokenLocation().getCharOffset());
                json.nextToken();
                members.put(name, read(json));
            }
            return new JsonObject(start, end(json), members, names);
        }
        if (token == JsonToken.START_ARRAY) {
            List<JsonTree> items = new ArrayList<>();
            while (json.nextToken() != JsonToken.END_ARRAY) {
                items.add(read(json));
            }
            return new JsonArray(start, end(json), items);
        }
        if (token == JsonToken.VALUE_STRING) {
            String value = json.getText();
            return new JsonString(start, end(json), value);
        }
        json.getText();
        return new JsonOther(start, end(json));
    }

    private static int end(JsonParser json) {
        return (int) json.currentLocation().getCharOffset();
    }
}
