package org.swaplane.format.json;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.StreamReadConstraints;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.swaplane.document.About;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.format.TextDocument;
import org.swaplane.placeholder.PlaceholderTags;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** JSON (RFC 8259). */
public final class JsonFormat implements BilingualFormat {
    private static final JsonFactory FACTORY = JsonFactory.builder()
            .streamReadConstraints(StreamReadConstraints.builder()
                    .maxNestingDepth(500)
                    .maxStringLength(16 << 20)
                    .build())
            .build();

    private final PlaceholderTags placeholders = new PlaceholderTags(new Placeholders());

    @Override
    public String id() {
        return "json";
    }

    @Override
    public boolean recognises(Head head) {
        return head.extension().equals("json");
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        EncodedText text = EncodedText.guessed(source, StandardCharsets.ISO_8859_1);
        String all = text.readAll();
        boolean ascii = all.chars().allMatch(c -> c < 0x80) && all.contains("\\u");
        TextDocument.Builder document = new TextDocument.Builder(text, options);
        try (JsonParser json = FACTORY.createParser(all)) {
            while (json.nextToken() != null) {
                progress.checkCancelled();
                if (json.currentToken() == JsonToken.VALUE_STRING) {
                    add(document, json, ascii);
                }
            }
        } catch (JsonProcessingException e) {
            throw broken(source, e);
        }
        return document.build("json", CharacterEscapes.BACKSLASH_U);
    }

    private void add(TextDocument.Builder document, JsonParser json, boolean ascii) throws IOException {
        String value = json.getText();
        int start = (int) json.currentTokenLocation().getCharOffset();
        int end = (int) json.currentLocation().getCharOffset();
        String path = json.getParsingContext().pathAsPointer().toString();
        document.add(
                path.isEmpty() ? "/" : path,
                start + 1,
                end - 1,
                placeholders.tagged(value),
                new JsonSyntax(ascii),
                About.NOTHING);
    }

    private static CannotProceedException broken(Source source, JsonProcessingException e) {
        var at = e.getLocation();
        return new CannotProceedException(
                new CannotProceedException.Place(
                        source.name(), at == null ? 0 : at.getLineNr(), at == null ? 0 : at.getColumnNr()),
                "the file is not JSON: " + e.getOriginalMessage(),
                "correct it there, or ask the sender for the file again",
                e);
    }
}
