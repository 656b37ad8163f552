package org.swaplane.jobreport;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.swaplane.effort.Bands;
import org.swaplane.effort.Effort;
import org.swaplane.effort.Period;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.Track;
import org.swaplane.task.Progress;

/**
 * What all parts of a report are made from, read once.
 *
 * @param tracks those that are spoken of
 */
public record JobFacts(Lane lane, List<Track> tracks, Period period, Effort effort, Bands bands) {
    public JobFacts {
        tracks = List.copyOf(tracks);
    }

    /** Reads the journal of these tracks. */
    public static JobFacts read(Lane lane, List<Track> tracks, Period period, Progress progress) {
        List<Track> ordered = tracks.stream()
                .sorted(Comparator.comparing(JobFacts::path)
                        .thenComparing(track -> track.summary().targetLanguage()))
                .toList();
        return new JobFacts(
                lane,
                ordered,
                period,
                lane.effort(ordered, period, progress),
                Bands.parse(lane.settings().detail(LaneDetail.EDIT_BANDS)).orElse(Bands.DEFAULT));
    }

    static String path(Track track) {
        String folder = track.plan().folder();
        return folder.isEmpty() ? track.name() : folder + '/' + track.name();
    }

    /** The tracks by their ids. */
    public Map<Long, Track> byId() {
        return tracks.stream().collect(Collectors.toMap(Track::id, Function.identity()));
    }

    static String target(Track track) {
        return track.summary().targetLanguage();
    }
}
