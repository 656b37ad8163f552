package org.swaplane.lane;

import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.swaplane.format.FormatRegistry;

/**
 * What can be said of a lane without reading its files.
 *
 * @param languages target languages of its tracks, in their order; of the lane while it has none
 * @param away copies that are away
 * @param overdue tracks that are past their due date
 */
public record LaneOverview(
        Path folder,
        String name,
        String client,
        String sourceLanguage,
        List<String> languages,
        Optional<LocalDate> due,
        int files,
        long words,
        long reviewedWords,
        int away,
        int overdue) {

    /** Looks into a lane that may be open elsewhere. */
    public static LaneOverview read(Path folder, FormatRegistry formats, Clock clock) {
        try (Lane lane = Lane.openForReading(folder, formats, clock)) {
            return of(lane);
        }
    }

    static LaneOverview of(Lane lane) {
        LocalDate today = LocalDate.ofInstant(lane.clock().instant(), ZoneId.systemDefault());
        String due = lane.settings().detail(LaneDetail.DUE);
        List<Track> tracks = lane.tracks();
        return new LaneOverview(
                lane.folder(),
                lane.name(),
                lane.settings().detail(LaneDetail.CLIENT),
                tracks.isEmpty()
                        ? lane.settings().detail(LaneDetail.SOURCE_LANGUAGE)
                        : tracks.get(0).summary().sourceLanguage(),
                tracks.isEmpty()
                        ? lane.settings().targetLanguages()
                        : tracks.stream()
                                .map(track -> track.summary().targetLanguage())
                                .filter(language -> !language.isEmpty())
                                .distinct()
                                .toList(),
                due.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(due)),
                tracks.size(),
                tracks.stream()
                        .mapToLong(track -> track.summary().counts().openableWords())
                        .sum(),
                tracks.stream()
                        .mapToLong(track -> track.summary().counts().reviewedWords())
                        .sum(),
                lane.trips().away(),
                (int) tracks.stream()
                        .filter(track -> track.plan()
                                .due()
                                .filter(day -> day.isBefore(today))
                                .isPresent())
                        .filter(track -> track.summary().counts().unreviewed() > 0)
                        .count());
    }
}
