package org.swaplane.intake;

import java.util.List;
import java.util.Map;
import org.swaplane.lane.Track;
import org.swaplane.version.Outcome;

/**
 * What an arriving file is a new version of.
 *
 * @param tracks of the same document, one for each target language
 * @param counts segments by what became of them
 * @param words of the sources, counted like the segments
 */
public record NewVersion(List<Track> tracks, Map<Outcome, Integer> counts, Map<Outcome, Integer> words) {
    public NewVersion {
        tracks = List.copyOf(tracks);
    }
}
