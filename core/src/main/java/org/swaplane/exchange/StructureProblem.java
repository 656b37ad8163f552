package org.swaplane.exchange;

/**
 * Something about what came back that is not as it was sent.
 *
 * @param number of the row as it was sent, 0 when it is not known or concerns several
 */
public record StructureProblem(Kind kind, int number, String message) {
    /** What a problem means for the row that has it. */
    private enum Effect {
        /** It is said, and the row can be accepted all the same. */
        SAID,
        /** A person must look before the row is accepted. */
        ASKS,
        /** The row cannot be accepted. */
        FORBIDS
    }

    public enum Kind {
        ROW_MISSING(Effect.SAID),
        ROW_DOUBLED(Effect.FORBIDS),
        ROW_MOVED(Effect.SAID),
        ROW_UNKNOWN(Effect.FORBIDS),
        RESEGMENTED(Effect.FORBIDS),
        CODE_DAMAGED(Effect.SAID),
        SOURCE_CHANGED(Effect.ASKS),
        TAGS_DAMAGED(Effect.ASKS),
        TAGS_CHANGED(Effect.ASKS),
        /** Tags whose order the file fixes stand in another one, or pairs overlap that did not. */
        TAGS_MOVED(Effect.ASKS),
        /** A pair closes before it opens or overlaps with another, so that no file could hold it. */
        TAGS_BROKEN(Effect.FORBIDS),
        LOCKED_CHANGED(Effect.FORBIDS),
        /** A target that had text has none. */
        EMPTIED(Effect.ASKS),
        /** The target says of itself that it is in another language. */
        OTHER_LANGUAGE(Effect.ASKS),
        /** Line breaks within a text were lost, as programs do that fold white space. */
        LINES_JOINED(Effect.ASKS),
        /** Targets stand in the rows of others, as where one column alone was sorted. */
        TARGETS_SHIFTED(Effect.ASKS),
        /** A long text ends where a program cuts its cells. */
        TEXT_CUT(Effect.ASKS),
        /** Characters that no file can hold. */
        CHARACTERS(Effect.FORBIDS),
        LINES_NUMBERED(Effect.ASKS),
        SYMBOL(Effect.ASKS),
        COLUMN_UNCLEAR(Effect.ASKS),
        CELL_MERGED(Effect.ASKS),
        CELL_CALCULATED(Effect.ASKS),
        TEXT_STRUCK(Effect.SAID),
        TEXT_HIDDEN(Effect.SAID),
        /** A segment came back in an earlier state than it was sent in. */
        STATE_LOWERED(Effect.ASKS);

        private final Effect effect;

        Kind(Effect effect) {
            this.effect = effect;
        }

        /** Whether a row with this problem cannot be accepted at all. */
        public boolean forbids() {
            return effect == Effect.FORBIDS;
        }

        /** Whether a row with this problem is not accepted by default. */
        public boolean isDoubtful() {
            return effect != Effect.SAID;
        }
    }
}
