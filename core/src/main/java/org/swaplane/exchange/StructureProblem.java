package org.swaplane.exchange;

/**
 * Something about the table that came back that is not as it was sent.
 *
 * @param number of the row as it was sent, 0 when it is not known
 */
public record StructureProblem(Kind kind, int number, String message) {
    public enum Kind {
        ROW_MISSING(false),
        ROW_DOUBLED(true),
        ROW_MOVED(false),
        ROW_UNKNOWN(true),
        RESEGMENTED(true),
        CODE_DAMAGED(false),
        SOURCE_CHANGED(false),
        TAGS_DAMAGED(false),
        TAGS_CHANGED(false),
        LOCKED_CHANGED(true);

        private final boolean forbids;

        Kind(boolean forbids) {
            this.forbids = forbids;
        }

        /** Whether a row with this problem cannot be taken at all. */
        public boolean forbids() {
            return forbids;
        }
    }
}
