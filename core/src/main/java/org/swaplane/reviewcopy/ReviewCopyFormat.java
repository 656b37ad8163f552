package org.swaplane.reviewcopy;

import java.io.IOException;
import java.io.OutputStream;
import org.swaplane.format.Source;

/** A form that review copies are written in and read again from; made known in {@code META-INF/services}. */
public interface ReviewCopyFormat {
    /** Extension of its files, such as {@code docx}, which is also its id. */
    String extension();

    /** Whether this may be such a document, judged by its first bytes; whether it is one of ours only reading tells. */
    boolean recognises(Source source) throws IOException;

    void write(ReviewCopy copy, OutputStream out) throws IOException;

    /**
     * Reads a copy that came back, or that was sent.
     *
     * @throws org.swaplane.task.CannotProceedException when it is no document of this kind, or none of its rows is one of ours
     */
    ReturnedCopy read(Source source) throws IOException;
}
