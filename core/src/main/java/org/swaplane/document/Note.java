package org.swaplane.document;

/**
 * Something that the file says about a segment.
 *
 * @param from who signed it, or for {@link Kind#CONTEXT} what it is; may be empty
 * @param priority 1 (highest) to 10, 0 where the file does not say
 */
public record Note(String text, String from, Kind kind, int priority) {
    /** What a note is about. */
    public enum Kind {
        GENERAL,
        SOURCE,
        TARGET,
        /** Where the text stands, in the words of the file: a name, a line, a key. */
        CONTEXT,
        /** A term of the segment and its translation. */
        TERM
    }

    public Note(String text, String from) {
        this(text, from, Kind.GENERAL, 0);
    }
}
