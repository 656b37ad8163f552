package org.swaplane.lane;

import java.util.LinkedHashMap;
import java.util.Map;
import org.swaplane.content.Content;
import org.swaplane.document.Segment;
import org.swaplane.document.State;

/** Targets that are only copies of their source. */
public final class SourceCopies {
    private SourceCopies() {}

    /** What puts copies into the empty targets; they count as no translations. */
    static Map<Integer, Value> into(TrackSnapshot track) {
        Map<Integer, Value> edits = new LinkedHashMap<>();
        for (int i = 0; i < track.size(); i++) {
            if (track.target(i).isEmpty() && !track.value(i).locked()) {
                edits.put(i, new Value(track.segment(i).source(), State.INITIAL));
            }
        }
        return edits;
    }

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
