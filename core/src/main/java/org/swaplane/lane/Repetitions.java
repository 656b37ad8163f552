package org.swaplane.lane;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;

/** The other segments of a track with the same source. The first question about a document takes as long as the document. */
public final class Repetitions {
    private Repetitions() {}

    /** Positions of all segments with the same source, its own among them. */
    public static List<Integer> of(TrackSnapshot track, int index) {
        return track.read().sameSource(index);
    }

    /**
     * What the repetitions of a segment would hold if they got its target: translated, with tags of their own. Locked, reviewed
     * and final segments, and those that hold it already, are left out.
     *
     * @param onlyEmpty whether those with a target are left out, too
     */
    public static Map<Integer, Value> propagated(TrackSnapshot track, int index, boolean onlyEmpty) {
        Map<Integer, Value> edits = new LinkedHashMap<>();
        if (track.target(index).isEmpty()) {
            return edits;
        }
        Content source = track.segment(index).source();
        int tags = source.tags().size();
        String written = TagNotation.write(track.target(index), source);
        for (int i : of(track, index)) {
            Content other = track.segment(i).source();
            if (i != index
                    && track.isOpen(i)
                    && !(onlyEmpty && !track.target(i).isEmpty())
                    && other.tags().size() == tags) {
                Content target = TagNotation.read(written, other).content();
                if (!target.sameAs(track.target(i))) {
                    edits.put(i, Value.written(target));
                }
            }
        }
        return edits;
    }
}
