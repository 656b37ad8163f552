package org.swaplane.desk;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.List;
import org.swaplane.task.CannotProceedException;

/**
 * What a task's package says of itself, in {@value #NAME}.
 *
 * @param form of the files, by its id
 */
public record TaskSheet(
        String task,
        String title,
        int version,
        String sourceLanguage,
        List<String> targetLanguages,
        String due,
        String instructions,
        String form,
        List<Entry> files) {
    public static final String NAME = "task.json";

    private static final ObjectMapper JSON =
            new ObjectMapper().disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES);

    /**
     * A file that is to be returned.
     *
     * @param path in this package
     * @param returned path in the package that is to come back
     */
    public record Entry(String path, String targetLanguage, String returned) {}

    public TaskSheet {
        targetLanguages = List.copyOf(targetLanguages);
        files = List.copyOf(files);
    }

    public byte[] toJson() {
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(this);
        } catch (JsonProcessingException e) {
            throw new AssertionError("values only", e);
        }
    }

    /**
     * Reads one.
     *
     * @throws CannotProceedException when it is something else
     */
    public static TaskSheet parse(String name, byte[] json) {
        try {
            return JSON.readValue(json, TaskSheet.class);
        } catch (IOException | NullPointerException e) {
            throw new CannotProceedException(name, "desk.no-sheet");
        }
    }
}
