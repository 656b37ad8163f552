package org.swaplane.content;

/**
 * An inline tag.
 *
 * @param kind which half of a pair, or a tag that stands alone
 * @param id the file's own identity of the tag, such as {@code g:1}; both halves of a pair share it, and so do the source's
 *     tag and its counterpart in the target
 * @param code the tag exactly as the file writes it
 * @param label what the tag stands for, for display; may be empty
 */
public record Tag(Kind kind, String id, String code, String label) implements Run {
    /** Which half of a pair, or a tag that stands alone. */
    public enum Kind {
        OPEN,
        CLOSE,
        STANDALONE
    }

    @Override
    public int length() {
        return 0;
    }

    /** Whether both are the same tag, however the file writes it in each place. */
    public boolean matches(Tag other) {
        return kind == other.kind && id.equals(other.id);
    }
}
