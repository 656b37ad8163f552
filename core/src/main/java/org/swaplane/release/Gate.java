package org.swaplane.release;

import static org.swaplane.wording.Wording.text;

import java.util.List;
import java.util.Set;

/** The conditions that must hold before a file is released. */
public record Gate(List<Condition> conditions) {
    /** Conditions that a lane may do without, by their ids; that the target file reads back is always asked. */
    public static final List<String> OPTIONAL = List.of("dry-run", "away", "findings", "reviewed");

    public Gate {
        conditions = List.copyOf(conditions);
    }

    /** One condition; {@code id} also names its sentences. */
    public record Condition(String id, boolean holds, String message) {}

    /**
     * The gate of one track.
     *
     * @param openFindings findings that nobody set aside or mended
     * @param unreviewed segments that are neither locked nor reviewed
     * @param away copies that went out and have not come back
     * @param dryRunPassed the dry run passed for this version of the file
     * @param writeBack what is wrong with the file as it would be written, empty when nothing is
     */
    public static Gate of(int openFindings, int unreviewed, int away, boolean dryRunPassed, String writeBack) {
        return new Gate(List.of(
                condition("dry-run", dryRunPassed),
                condition("away", away == 0, away),
                condition("findings", openFindings == 0, openFindings),
                condition("reviewed", unreviewed == 0, unreviewed),
                condition("write-back", writeBack.isEmpty(), writeBack)));
    }

    private static Condition condition(String id, boolean holds, Object... arguments) {
        return new Condition(id, holds, text("gate." + id + (holds ? ".held" : ".open"), arguments));
    }

    /** The same without the conditions that nobody asks for. */
    public Gate asking(Set<String> required) {
        return new Gate(conditions.stream()
                .filter(condition -> !OPTIONAL.contains(condition.id()) || required.contains(condition.id()))
                .toList());
    }

    public boolean holds() {
        return conditions.stream().allMatch(Condition::holds);
    }
}
