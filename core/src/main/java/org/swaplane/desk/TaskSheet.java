package org.swaplane.desk;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.List;
import java.util.Objects;
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
    public record Entry(String path, String targetLanguage, String returned) {
        public Entry {
            path = path == null ? "" : path;
            targetLanguage = targetLanguage == null ? "" : targetLanguage;
            returned = returned == null ? "" : returned;
        }
    }

    public TaskSheet {
        new TaskId(task);
        title = DeskText.line(title);
        due = DeskText.line(due);
        instructions = DeskText.lines(instructions);
        sourceLanguage = sourceLanguage == null ? "" : sourceLanguage;
        form = form == null ? "" : form;
        targetLanguages = targetLanguages == null
                ? List.of()
                : targetLanguages.stream().filter(Objects::nonNull).toList();
        files = files == null
                ? List.of()
                : files.stream().filter(Objects::nonNull).toList();
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
            TaskSheet sheet = JSON.readValue(json, TaskSheet.class);
            if (sheet != null) {
                return sheet;
            }
            throw new CannotProceedException(name, "desk.no-sheet");
        } catch (IOException e) {
            throw new CannotProceedException(name, "desk.no-sheet");
        }
    }
}
