package org.swaplane.lane;

import java.util.LinkedHashMap;
import java.util.Map;
import org.swaplane.content.Content;
import org.swaplane.document.Segment;
import org.swaplane.document.State;

/** Targets that are only copies of their source. */
public final class SourceCopies {
    private SourceCopies() {}

    /** What empties them, as {@link EditRequest#of} takes it; reviewed and final ones only if {@code reviewedToo}, locked ones never. */
    public static Map<Integer, Value> cleared(TrackSnapshot track, boolean reviewedToo) {
        Map<Integer, Value> edits = new LinkedHashMap<>();
        for (int i = 0; i < track.size(); i++) {
            Segment segment = track.segment(i);
            boolean open = reviewedToo || track.state(i).compareTo(State.REVIEWED) < 0;
            if (open
                    && !segment.locked()
                    && !track.target(i).isEmpty()
                    && track.target(i).sameAs(segment.source())) {
                edits.put(i, Value.written(Content.EMPTY));
            }
        }
        return edits;
    }
}
