package org.swaplane.content;

/**
 * An inline tag.
 *
 * @param kind which half of a pair, or a tag that stands alone
 * @param id the file's own identity of the tag, such as {@code g:1}; both halves of a pair share it, and so do the source's
 *     tag and its counterpart in the target
 * @param code the tag exactly as the file writes it
 * @param label what the tag stands for, for display; may be empty
 * @param rights what the file allows people to do with it
 */
public record Tag(Kind kind, String id, String code, String label, Rights rights) implements Run {
    /** Ids of marked text begin with it, whichever format marks it. */
    public static final String MARKED = "mrk:";

    /** A tag with which everything may be done. */
    public Tag(Kind kind, String id, String code, String label) {
        this(kind, id, code, label, Rights.ALL);
    }

    /** Ids of placeholders in text begin with it. */
    public static final String PLACEHOLDER = "placeholder:";

    /** What the file allows people to do with a tag of the source in the target (XLIFF 2.1, section 4.3.1, canCopy and others). */
    public record Rights(boolean copy, boolean delete, boolean reorder, boolean overlap) {
        public static final Rights ALL = new Rights(true, true, true, true);
    }

    /** Which half of a pair, or a tag that stands alone. */
    public enum Kind {
        OPEN,
        CLOSE,
        STANDALONE
    }

    /** Whether people know it by what it stands for rather than by a number. */
    public boolean isKnownByLabel() {
        return isProtectedText() || id.startsWith(PLACEHOLDER);
    }

    /** Whether it holds text that people read and must not change. */
    public boolean isProtectedText() {
        return kind == Kind.STANDALONE && id.startsWith(MARKED);
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
