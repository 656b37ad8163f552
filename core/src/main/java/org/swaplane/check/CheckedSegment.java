package org.swaplane.check;

import org.swaplane.content.Content;
import org.swaplane.document.Segment;

/** A segment with the target that stands in it now, which may be another than the file's. */
public record CheckedSegment(int index, Segment segment, Content target, String sourceLanguage, String targetLanguage) {
    public Content source() {
        return segment.source();
    }
}
