package org.swaplane.reviewcopy;

import java.util.Optional;

/**
 * One segment in a copy; texts are written with {@link org.swaplane.content.TagNotation}.
 *
 * @param code empty for a row that is there for its context only, and not read again
 */
public record ReviewRow(Optional<RowCode> code, String source, String target, String comment, boolean locked) {
    /** Whether it only shows what stands around a part. */
    public boolean isContext() {
        return code.isEmpty();
    }
}
