package org.swaplane.lane;

import java.util.LinkedHashMap;
import java.util.Map;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Fingerprint;

/** The other segments of a track with the same source. */
public final class Repetitions {
    private Repetitions() {}

    /**
     * What the repetitions of a segment would hold if they got its target: translated, with tags of their own. Locked, reviewed
     * and final segments, and those that hold it already, are left out.
     */
    public static Map<Integer, Value> propagated(TrackSnapshot track, int index) {
        Map<Integer, Value> edits = new LinkedHashMap<>();
        if (track.target(index).isEmpty()) {
            return edits;
        }
        Content source = track.segment(index).source();
        String fingerprint = Fingerprint.of(source);
        int tags = source.tags().size();
        String written = TagNotation.write(track.target(index), source);
        for (int i = 0; i < track.size(); i++) {
            Content other = track.segment(i).source();
            if (i != index
                    && track.isOpen(i)
                    && other.tags().size() == tags
                    && Fingerprint.of(other).equals(fingerprint)) {
                Content target = TagNotation.read(written, other).content();
                if (!target.sameAs(track.target(i))) {
                    edits.put(i, Value.written(target));
                }
            }
        }
        return edits;
    }
}
