package org.swaplane.release;

import static org.swaplane.wording.Wording.text;

import java.util.List;
import java.util.Set;

/**
 * The conditions that must hold before a file is released.
 *
 * @param remarks what is to be known before, and keeps nothing back
 */
public record Gate(List<Condition> conditions, List<String> remarks) {
    /** Conditions that a lane may ask for, by their ids, in the order in which work meets them. */
    public static final List<String> OPTIONAL = List.of(
            "dry-run",
            "away",
            "translated",
            "errors",
            "findings",
            "spelling",
            "reviewed",
            "second-person",
            "final",
            "quality");

    /** Those that are asked for where nobody says otherwise. */
    public static final List<String> USUAL = List.of("dry-run", "away", "findings", "reviewed");

    /** Conditions that are always asked for: no lane may do without them. */
    public static final List<String> ALWAYS = List.of("write-back", "structure", "signature");

    public Gate {
        conditions = List.copyOf(conditions);
        remarks = List.copyOf(remarks);
    }

    /** One condition; {@code id} also names its sentences. */
    public record Condition(String id, boolean holds, String message) {
        /** One that holds where there is none of something. */
        public static Condition none(String id, int count) {
            return said(id, count == 0, count);
        }

        /** One that holds where nothing is wrong. */
        public static Condition right(String id, String wrong) {
            return said(id, wrong.isEmpty(), wrong);
        }

        public static Condition of(String id, boolean holds) {
            return said(id, holds);
        }

        private static Condition said(String id, boolean holds, Object... arguments) {
            return new Condition(id, holds, text("gate." + id + (holds ? ".held" : ".open"), arguments));
        }
    }

    public boolean holds() {
        return conditions.stream().allMatch(Condition::holds);
    }

    /** Those that are not met, without those that somebody waived. */
    public List<Condition> open(Set<String> waived) {
        return conditions.stream()
                .filter(condition -> !condition.holds() && !waived.contains(condition.id()))
                .toList();
    }
}
