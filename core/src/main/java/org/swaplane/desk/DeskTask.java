package org.swaplane.desk;

import java.util.List;
import org.swaplane.document.LanguageCode;
import org.swaplane.task.CannotProceedException;

/**
 * A task that the client's desk offers.
 *
 * @param id a {@link TaskId}
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

    /**
     * What a desk leaves out is empty; what it must not leave out, or says wrongly, makes it no task.
     *
     * @throws CannotProceedException when the id or a language cannot be used, with the reason
     */
    public DeskTask {
        new TaskId(id);
        state = state == null ? State.OFFERED : state;
        title = DeskText.line(title);
        due = DeskText.line(due);
        instructions = DeskText.lines(instructions);
        person = DeskText.line(person);
        sourceLanguage = language(sourceLanguage);
        targetLanguages = targetLanguages == null
                ? List.of()
                : targetLanguages.stream().map(DeskTask::language).toList();
        files = files == null
                ? List.of()
                : files.stream()
                        .filter(each -> each != null && each.path() != null)
                        .toList();
    }

    private static String language(String code) {
        if (code == null || code.isEmpty() || !LanguageCode.fault(code).isEmpty()) {
            throw new CannotProceedException("", "desk.task-language", DeskText.line(code));
        }
        return code;
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
