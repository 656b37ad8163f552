package org.swaplane.desk;

import java.util.regex.Pattern;
import org.swaplane.format.PackagePath;
import org.swaplane.task.CannotProceedException;

/** What a desk calls a task: 1 to 80 letters, digits, dots, hyphens and underscores of ASCII that can be a part of a file's name. */
public record TaskId(String value) {
    private static final Pattern FORM = Pattern.compile("[A-Za-z0-9_-][A-Za-z0-9_.-]{0,79}");

    /**
     * @throws CannotProceedException when the text cannot be such an id
     */
    public TaskId {
        if (value == null || !FORM.matcher(value).matches()) {
            throw new CannotProceedException("", "desk.task-id");
        }
        // A device of Windows, or a dot at the end.
        new PackagePath(value);
    }

    @Override
    public String toString() {
        return value;
    }
}
