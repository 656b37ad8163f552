package org.swaplane.format;

import java.util.List;
import org.swaplane.content.Content;

/**
 * A client document in one language that has been read as segments. Writing it with targets gives the document in the target language;
 * a segment without a target stays as it is.
 */
public interface DocumentFile extends StatelessFile {
    /**
     * A text of the document, whole.
     *
     * @param written as it stands in the file, comparable with the same unit read again
     */
    record WrittenUnit(Content content, String written) {}

    /** The texts of the document as they would be written with these edits. */
    List<WrittenUnit> units(List<SegmentEdit> edits);

    /**
     * Where the segments of a segment's unit begin, in UTF-16 units of the unit's plain text: cut there, the unit is as it is (see
     * {@link DocumentOptions#cuts}).
     */
    List<Integer> starts(int segment);
}
