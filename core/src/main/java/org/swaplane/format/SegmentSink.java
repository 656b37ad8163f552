package org.swaplane.format;

import java.io.IOException;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.document.Note;

/** Takes the translations of a file one after the other, so that a file of any size need not be held. */
public interface SegmentSink {
    void translation(Translation translation) throws IOException;

    /** A source with its text in one other language. */
    record Translation(
            String sourceLanguage,
            String targetLanguage,
            Content source,
            Content target,
            Authorship authorship,
            List<Note> notes) {}
}
