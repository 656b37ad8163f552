package org.swaplane.reviewcopy;

import java.io.IOException;
import java.io.OutputStream;

/** A form that review copies are written in and read again from; made known in {@code META-INF/services}. */
public interface ReviewCopyFormat extends ReturnedFormat {
    /** Extension of its files, such as {@code docx}, which is also its id. */
    String extension();

    /** How many rows the form's own programs open without trouble; a longer copy is split. */
    int mostRows();

    void write(ReviewCopy copy, OutputStream out) throws IOException;
}
