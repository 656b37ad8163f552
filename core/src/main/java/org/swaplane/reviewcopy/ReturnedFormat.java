package org.swaplane.reviewcopy;

import java.io.IOException;
import org.swaplane.format.Source;

/** A form that copies come back in; made known in {@code META-INF/services}, unless it is one that they are written in too. */
public interface ReturnedFormat {
    /** Whether this may be such a document, judged by its first bytes; whether it is one of ours only reading tells. */
    boolean recognises(Source source) throws IOException;

    /**
     * Reads a copy that came back, or that was sent.
     *
     * @throws org.swaplane.task.CannotProceedException when it is no document of this kind, or none of its rows is one of ours
     */
    ReturnedCopy read(Source source) throws IOException;
}
