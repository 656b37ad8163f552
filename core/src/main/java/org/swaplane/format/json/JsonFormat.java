package org.swaplane.format.json;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.StreamReadConstraints;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.IcuMessage;
import org.swaplane.format.Selection;
import org.swaplane.format.Source;
import org.swaplane.format.TextDocument;
import org.swaplane.placeholder.PlaceholderTags;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/** JSON (RFC 8259). */
public final class JsonFormat implements BilingualFormat {
    private static final JsonFactory FACTORY = JsonFactory.builder()
            .streamReadConstraints(StreamReadConstraints.builder()
                    .maxNestingDepth(500)
                    .maxStringLength(16 << 20)
                    .build())
            .build();

    @Override
    public String id() {
        return "json";
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(
                id(), FormatTraits.of(FormatTraits.Markup.JSON).selectable().withPlaceholders());
    }

    @Override
    public boolean recognises(Head head) {
        return head.extension().equals("json");
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        EncodedText text = EncodedText.guessed(source, options);
        String all = text.readAll();
        boolean ascii = all.chars().allMatch(c -> c < 0x80) && all.contains("\\u");
        if (!options.sourceLanguage().isEmpty() && !options.targetLanguage().isEmpty()) {
            LanguageBranches branches =
                    LanguageBranches.of(tree(source, all), options.sourceLanguage(), options.targetLanguage());
            if (!branches.pairs().isEmpty()) {
                return new BranchedJsonFile(text, all, branches, new JsonSyntax(ascii), options);
            }
        }
        TextDocument.Builder document = new TextDocument.Builder(text, options);
        PlaceholderTags placeholders = options.placeholderTags();
        Selection selection = options.document().selection();
        try (JsonParser json = FACTORY.createParser(all)) {
            while (json.nextToken() != null) {
                progress.checkCancelled();
                if (json.currentToken() == JsonToken.VALUE_STRING && selection.includes(path(json))) {
                    add(document, json, placeholders, new JsonSyntax(ascii));
                }
            }
        } catch (JsonProcessingException e) {
            throw broken(source, e);
        }
        return document.build("json", CharacterEscapes.BACKSLASH_U);
    }

    private static JsonTree tree(Source source, String all) throws IOException {
        try (JsonParser json = FACTORY.createParser(all)) {
            json.nextToken();
            return JsonTree.read(json);
        } catch (JsonProcessingException e) {
            throw broken(source, e);
        }
    }

    /** RFC 6901. */
    private static String path(JsonParser json) {
        String path = json.getParsingContext().pathAsPointer().toString();
        return path.isEmpty() ? "/" : path;
    }

    private static void add(
            TextDocument.Builder document, JsonParser json, PlaceholderTags placeholders, JsonSyntax syntax)
            throws IOException {
        String value = json.getText();
        int start = (int) json.currentTokenLocation().getCharOffset() + 1;
        int end = (int) json.currentLocation().getCharOffset() - 1;
        Optional<IcuMessage> message = IcuMessage.of(value, placeholders, false);
        if (message.isPresent()) {
            document.add(path(json), start, end, message.get(), syntax.inside(message.get()), SegmentMetadata.NOTHING);
        } else {
            document.add(path(json), start, end, placeholders.tagged(value), syntax, SegmentMetadata.NOTHING);
        }
    }

    private static CannotProceedException broken(Source source, JsonProcessingException e) {
        var at = e.getLocation();
        return new CannotProceedException(
                new CannotProceedException.Place(
                        source.name(), at == null ? 0 : at.getLineNr(), at == null ? 0 : at.getColumnNr()),
                // Limits are told with the name of the parser's setting in brackets.
                Phrase.of("problem.no-json", e.getOriginalMessage().replaceFirst(", from `[^`]*`\\)", ")")),
                e);
    }
}
