package org.swaplane.format.table;

import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Lock;
import org.swaplane.document.Note;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.State;

/** A row of a table as a segment. */
final class PairSegment {
    private PairSegment() {}

    /** Both texts in tag notation; {@code note} is empty where there is none. */
    static Segment of(String key, int part, String sourceText, String targetText, String note) {
        Content source = TagNotation.readSource(sourceText);
        Content target = TagNotation.read(targetText, source).content();
        return new Segment(
                key,
                part,
                key,
                source,
                target,
                target.isEmpty() ? State.INITIAL : State.TRANSLATED,
                "",
                Lock.NONE,
                note.isBlank() ? SegmentMetadata.NOTHING : SegmentMetadata.ofNotes(List.of(new Note(note, ""))));
    }
}
