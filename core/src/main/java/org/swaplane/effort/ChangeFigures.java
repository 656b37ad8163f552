package org.swaplane.effort;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;

/**
 * How far segments were changed.
 *
 * @param distance edits of all together, as {@link org.swaplane.compare.EditDistance} counts them
 * @param wordsByBand words of the sources, by the place of their band
 */
public record ChangeFigures(
        int segments,
        long words,
        int added,
        int edited,
        int emptied,
        int untouched,
        int stateChanges,
        long distance,
        List<Long> wordsByBand,
        long activeMillis) {
    public static ChangeFigures of(Collection<SegmentWork> work, Bands bands) {
        int[] outcomes = new int[SegmentWork.Outcome.values().length];
        List<Long> byBand = new ArrayList<>(Collections.nCopies(bands.floors().size(), 0L));
        long words = 0;
        long distance = 0;
        long millis = 0;
        int states = 0;
        for (SegmentWork each : work) {
            outcomes[each.outcome().ordinal()]++;
            int band = bands.of(each.similarity());
            byBand.set(band, byBand.get(band) + each.words());
            words += each.words();
            distance += each.distance();
            millis += each.activeMillis();
            states += each.stateBefore() == each.stateNow() ? 0 : 1;
        }
        return new ChangeFigures(
                work.size(),
                words,
                outcomes[SegmentWork.Outcome.ADDED.ordinal()],
                outcomes[SegmentWork.Outcome.EDITED.ordinal()],
                outcomes[SegmentWork.Outcome.EMPTIED.ordinal()],
                outcomes[SegmentWork.Outcome.UNTOUCHED.ordinal()],
                states,
                distance,
                List.copyOf(byBand),
                millis);
    }
}
