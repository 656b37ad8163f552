package org.swaplane.proof.reach;

/**
 * A text in a file.
 *
 * @param where part, line or path in the file
 * @param kind why it may not have been reached
 */
public record FoundText(String where, Kind kind, String text) {
    /** Where a text can stand that no segment covers. */
    public enum Kind {
        /** Ordinary text, which a rule or choice leaves out. */
        EXCLUDED(true),
        ATTRIBUTE(true),
        FIELD_CODE(true),
        SCRIPT(true),
        STYLE(true),
        NUMBERING(true),
        /** What follows is left out by the document itself or by a choice at intake, and not seen on its pages. */
        LOCKED(false),
        NOT_TRANSLATED(false),
        COMMENT(false),
        HIDDEN(false),
        PROPERTY(false),
        SHEET_NAME(false),
        MASTER(false);

        private final boolean unexpected;

        Kind(boolean unexpected) {
            this.unexpected = unexpected;
        }

        /** Whether a reader of the document would come across it. */
        public boolean isUnexpected() {
            return unexpected;
        }
    }
}
