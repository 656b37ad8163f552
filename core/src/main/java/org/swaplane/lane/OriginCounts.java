package org.swaplane.lane;

import java.util.EnumMap;
import java.util.Map;

/**
 * Where the targets of a track come from: segments and words of their sources by origin. Segments without a target are not counted.
 *
 * @param drafts those of the drafts that nobody has edited or reviewed
 */
public record OriginCounts(Map<Origin.Kind, Amount> amounts, Amount drafts) {
    /** Segments, and words of their sources. */
    public record Amount(int segments, int words) {
        static final Amount NOTHING = new Amount(0, 0);

        private Amount plus(int more) {
            return new Amount(segments + 1, words + more);
        }
    }

    public static OriginCounts of(TrackSnapshot track) {
        Map<Origin.Kind, Amount> amounts = new EnumMap<>(Origin.Kind.class);
        Amount drafts = Amount.NOTHING;
        for (int i = 0; i < track.size(); i++) {
            Value value = track.value(i);
            if (!value.target().isEmpty()) {
                Origin.Kind kind = value.origin().kind();
                amounts.put(kind, amounts.getOrDefault(kind, Amount.NOTHING).plus(track.words(i)));
                drafts = value.isDraft() ? drafts.plus(track.words(i)) : drafts;
            }
        }
        return new OriginCounts(amounts, drafts);
    }
}
