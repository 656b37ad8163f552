package org.swaplane.wording;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;

/**
 * A sentence before it is put into words: its key and its arguments. This is what is compared and stored, so that a change of words
 * changes nothing else.
 *
 * @param key of the sentence; empty where the only argument is somebody's own sentence
 * @param arguments texts and numbers
 */
public record Phrase(String key, List<Object> arguments) {
    private static final ObjectMapper JSON = new ObjectMapper();

    public Phrase {
        arguments = List.copyOf(arguments);
    }

    /** The phrase; what is not known of an argument, such as the message of somebody's exception, is empty. */
    public static Phrase of(String key, Object... arguments) {
        return new Phrase(
                key,
                Arrays.stream(arguments)
                        .map(each -> Objects.requireNonNullElse(each, ""))
                        .toList());
    }

    /** What somebody wrote, to be shown as it is. */
    public static Phrase verbatim(String text) {
        return of("", text);
    }

    /** The sentence. */
    public String text() {
        return key.isEmpty() ? String.valueOf(arguments.get(0)) : Wording.text(key, arguments.toArray());
    }

    /** The arguments as a JSON array. */
    public String writtenArguments() {
        try {
            return JSON.writeValueAsString(arguments);
        } catch (JsonProcessingException e) {
            throw new AssertionError("texts and numbers can be written", e);
        }
    }

    /** The phrase with arguments as {@link #writtenArguments} wrote them. */
    public static Phrase ofWritten(String key, String arguments) {
        try {
            return new Phrase(key, JSON.readValue(arguments, new TypeReference<List<Object>>() {}));
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("these are no arguments of a phrase: " + arguments, e);
        }
    }
}
