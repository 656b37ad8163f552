package org.swaplane.lane;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Fingerprint;

/** The other segments of a track with the same source. */
public final class Repetitions {
    /** So much white space more or less may stand in the same source. */
    private static final int SPACES = 8;

    private Repetitions() {}

    /** Positions of all segments with the same source, its own among them. */
    public static List<Integer> of(TrackSnapshot track, int index) {
        return IntStream.range(0, track.size())
                .filter(other -> other == index || isSame(track, index, other))
                .boxed()
                .toList();
    }

    /** Whether two segments have the same source. */
    public static boolean isSame(TrackSnapshot track, int one, int other) {
        Content source = track.segment(one).source();
        Content another = track.segment(other).source();
        // The cheapest way to tell most of them apart.
        int difference = source.plainText().length() - another.plainText().length();
        return Math.abs(difference) <= SPACES && Fingerprint.of(source).equals(Fingerprint.of(another));
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
        for (int i = 0; i < track.size(); i++) {
            Content other = track.segment(i).source();
            if (i != index
                    && track.isOpen(i)
                    && !(onlyEmpty && !track.target(i).isEmpty())
                    && other.tags().size() == tags
                    && isSame(track, index, i)) {
                Content target = TagNotation.read(written, other).content();
                if (!target.sameAs(track.target(i))) {
                    edits.put(i, Value.written(target));
                }
            }
        }
        return edits;
    }
}
