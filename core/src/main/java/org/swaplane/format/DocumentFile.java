package org.swaplane.format;

import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.document.State;

/**
 * A client document in one language that has been read as segments. Writing it with targets gives the document in the target language;
 * a segment without a target stays as it is.
 */
public interface DocumentFile extends BilingualFile {
    /** The texts of the document, each whole, as they would be written with these edits. */
    List<Content> units(List<SegmentEdit> edits);

    /** A document says nothing of states. */
    @Override
    default State kept(State state, Content target) {
        return target.isEmpty() ? State.INITIAL : State.TRANSLATED;
    }
}
