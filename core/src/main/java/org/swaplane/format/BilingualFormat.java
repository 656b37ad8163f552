package org.swaplane.format;

import java.io.IOException;
import java.util.Map;
import org.swaplane.task.Progress;

/** A kind of file that holds source and target, is read with its own segmentation, and written back in place. */
public interface BilingualFormat {
    /** Such as {@code xliff-1.2}. */
    String id();

    /** What can be said of all its files, by the name that their documents give the format; one of these by default. */
    default Map<String, FormatTraits> traits() {
        return Map.of(id(), FormatTraits.of(FormatTraits.Markup.XML));
    }

    /** Whether a file that begins with {@code head} is of this kind. */
    boolean recognises(Head head);

    /**
     * Reads the file.
     *
     * @param options what the lane knows about the file
     * @throws org.swaplane.task.CannotProceedException when it cannot be read, with line and column
     */
    BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException;
}
