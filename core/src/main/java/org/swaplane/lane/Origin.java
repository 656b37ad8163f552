package org.swaplane.lane;

import java.util.Locale;

/**
 * Where the target of a segment comes from.
 *
 * @param score of the match in percent, -1 where it is none
 * @param name of what it comes from: a memory's file, a draft service, a trip; may be empty
 */
public record Origin(Kind kind, int score, String name) {
    /** As the file came, and of nobody's making here. */
    public static final Origin RECEIVED = new Origin(Kind.RECEIVED, -1, "");

    /** In what way. */
    public enum Kind {
        RECEIVED,
        TYPED,
        /** A copy of the source. */
        SOURCE,
        MEMORY,
        /** Proposed by the file itself. */
        PROPOSED,
        /** By a draft service. */
        DRAFT,
        /** From a copy that came back. */
        RETURNED,
        /** The remedy of a check. */
        FIXED,
        /** The target of another segment with the same source. */
        REPEATED,
        /** The version of the source before this one. */
        EARLIER_VERSION
    }

    public static Origin memory(int score, String name) {
        return new Origin(Kind.MEMORY, score, name);
    }

    public static Origin draft(String service) {
        return new Origin(Kind.DRAFT, -1, service);
    }

    /** Of a target that a step of this kind wrote. */
    static Origin of(StepKind step) {
        Kind kind =
                switch (step) {
                    case COPIED -> Kind.SOURCE;
                    case FILLED -> Kind.MEMORY;
                    case PROPOSED -> Kind.PROPOSED;
                    case DRAFTED -> Kind.DRAFT;
                    case TAKEN -> Kind.RETURNED;
                    case FIXED -> Kind.FIXED;
                    case PROPAGATED -> Kind.REPEATED;
                    case NEW_VERSION -> Kind.EARLIER_VERSION;
                    case TYPED, REPLACED, STATE_SET, CLEARED, LOCKED, UNLOCKED, RESEGMENTED -> Kind.TYPED;
                };
        return new Origin(kind, -1, "");
    }

    /** For the database. */
    String written() {
        return kind == Kind.RECEIVED ? "" : kind.name().toLowerCase(Locale.ROOT) + '\t' + score + '\t' + name;
    }

    /** What {@link #written} wrote. */
    public static Origin of(String written) {
        if (written.isEmpty()) {
            return RECEIVED;
        }
        String[] parts = written.split("\t", 3);
        return new Origin(Kind.valueOf(parts[0].toUpperCase(Locale.ROOT)), Integer.parseInt(parts[1]), parts[2]);
    }
}
