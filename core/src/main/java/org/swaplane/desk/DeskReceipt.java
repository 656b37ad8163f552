package org.swaplane.desk;

import java.util.Objects;
import java.util.stream.Stream;

/**
 * What the desk says when a task was handed over.
 *
 * @param sha256 of the package that closed it
 */
public record DeskReceipt(String task, int version, String at, String person, String sha256) {
    public DeskReceipt {
        Stream.of(task, at, person, sha256).forEach(Objects::requireNonNull);
    }
}
