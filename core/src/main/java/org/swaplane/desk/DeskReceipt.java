package org.swaplane.desk;

import java.util.Objects;

/**
 * What the desk says when a task was handed over.
 *
 * @param sha256 of the package that closed it
 */
public record DeskReceipt(String task, int version, String at, String person, String sha256) {
    public DeskReceipt {
        new TaskId(task);
        Objects.requireNonNull(sha256);
        at = DeskText.line(at);
        person = DeskText.line(person);
    }
}
