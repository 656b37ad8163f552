package org.swaplane.desk;

import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/**
 * A task that the client's desk offers.
 *
 * @param version grows when the client changes what is asked for
 * @param due ISO date, or date and time; empty for none
 * @param person who accepted it; empty as long as nobody did
 */
public record DeskTask(
        String id,
        String title,
        int version,
        State state,
        String sourceLanguage,
        List<String> targetLanguages,
        String due,
        String instructions,
        String person,
        List<Entry> files,
        boolean memory,
        boolean references) {
    /** How far it is. */
    public enum State {
        OFFERED,
        ACCEPTED,
        /** Something was returned that the desk accepts. */
        RETURNED,
        /** Handed over: nothing is changed any more, unless it is given back. */
        CLOSED
    }

    /**
     * A client file of a task.
     *
     * @param path with {@code /} between its parts
     */
    public record Entry(String path, long bytes) {}

    public DeskTask {
        Stream.of(id, title, state, sourceLanguage, due, instructions, person).forEach(Objects::requireNonNull);
        targetLanguages = List.copyOf(targetLanguages);
        files = List.copyOf(files);
    }

    /** The same one in another state. */
    public DeskTask in(State other, String who) {
        return new DeskTask(
                id,
                title,
                version,
                other,
                sourceLanguage,
                targetLanguages,
                due,
                instructions,
                who,
                files,
                memory,
                references);
    }
}
