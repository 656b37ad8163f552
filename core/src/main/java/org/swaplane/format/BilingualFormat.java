package org.swaplane.format;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.Segment;
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

    /**
     * Hands over every translation of a file; a format whose files may be of any size holds none of them.
     *
     * @return what is odd about the file
     */
    default List<Problem> stream(Source source, Progress progress, SegmentSink sink) throws IOException {
        BilingualDocument document = read(source, FileOptions.NONE, progress).document();
        for (Segment segment : document.segments()) {
            Part part = document.parts().get(segment.part());
            if (!segment.target().isEmpty()) {
                sink.translation(new SegmentSink.Translation(
                        part.sourceLanguage(),
                        part.targetLanguage(),
                        segment.source(),
                        segment.target(),
                        Authorship.UNKNOWN,
                        segment.notes()));
            }
        }
        return document.problems();
    }
}
