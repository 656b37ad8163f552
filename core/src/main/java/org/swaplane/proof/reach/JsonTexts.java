package org.swaplane.proof.reach;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Source;

/** Strings of JSON that are text. */
final class JsonTexts {
    private static final JsonFactory FACTORY = new JsonFactory();

    private JsonTexts() {}

    static List<FoundText> find(Source source, FileOptions options) throws IOException {
        List<FoundText> found = new ArrayList<>();
        String all = EncodedText.guessed(source, options).readAll();
        try (JsonParser json = FACTORY.createParser(all)) {
            while (json.nextToken() != null) {
                if (json.currentToken() == JsonToken.VALUE_STRING && Wordlike.isSentence(json.getText())) {
                    String path = json.getParsingContext().pathAsPointer().toString();
                    found.add(new FoundText(path, FoundText.Kind.EXCLUDED, json.getText()));
                }
            }
        }
        return found;
    }
}
