package org.swaplane.format;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.State;
import org.swaplane.task.Progress;

/** A bilingual file that has been read and can be written again with some targets changed. */
public interface BilingualFile {
    BilingualDocument document();

    /** The state that a segment has after writing and reading again, for formats that know fewer states. */
    default State kept(State state, Content target) {
        return state;
    }

    /** Whether {@code translate="no"} or the like can be written. */
    default boolean canLock() {
        return false;
    }

    /**
     * Writes the original with these edits put in; everything else stays the same to the byte. Without edits the output is the
     * original.
     *
     * @param edits at most one for each segment, in any order
     * @throws org.swaplane.task.CannotProceedException when a target holds what the format cannot hold
     */
    void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException;
}
