package org.swaplane.lane;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import org.swaplane.document.State;
import org.swaplane.effort.Activity;
import org.swaplane.effort.Effort;
import org.swaplane.effort.Period;
import org.swaplane.effort.SegmentStory;
import org.swaplane.effort.SegmentWork;
import org.swaplane.effort.TimeKey;
import org.swaplane.task.Progress;

/**
 * Computes what a lane took from its journal: the changes of each segment go by once, in their order, and nothing of a text is kept. Files
 * are read only for words that the journal of an earlier version does not tell.
 */
final class EffortReader {
    /** What only makes the text that somebody is to work at. */
    private static final Set<StepKind> PREPARING = Set.of(
            StepKind.FILLED,
            StepKind.DRAFTED,
            StepKind.PROPOSED,
            StepKind.COPIED,
            StepKind.CLEARED,
            StepKind.LOCKED,
            StepKind.UNLOCKED,
            StepKind.RESEGMENTED,
            StepKind.NEW_VERSION);

    private final Database database;
    private final List<Track> tracks;
    private final Map<String, Trip> trips;
    private final TimeLog timeLog;
    private final Period period;

    EffortReader(Database database, List<Track> tracks, List<Trip> trips, TimeLog timeLog, Period period) {
        this.database = database;
        this.tracks = tracks;
        this.trips = trips.stream().collect(Collectors.toMap(Trip::code, trip -> trip));
        this.timeLog = timeLog;
        this.period = period;
    }

    /** What was done in one track. */
    private record TrackEffort(Effort.Size size, List<SegmentWork> segments, Map<TimeKey, Long> times) {}

    /** Time at a segment by who and which day. */
    private record Stay(String who, Instant began, long millis) {}

    Effort read(Progress progress) {
        Map<Long, TrackEffort> byTrack = new ConcurrentHashMap<>();
        AtomicInteger done = new AtomicInteger();
        // As many tracks at once as there are processors; each has a connection of its own.
        tracks.parallelStream().forEach(track -> {
            progress.checkCancelled();
            byTrack.put(track.id(), new TrackReader(track).read());
            synchronized (progress) {
                progress.at(done.incrementAndGet(), tracks.size());
            }
        });
        Map<Long, Effort.Size> sizes = new HashMap<>();
        List<SegmentWork> segments = new ArrayList<>();
        Map<TimeKey, Long> times = new HashMap<>();
        for (Track track : tracks) {
            TrackEffort effort = byTrack.get(track.id());
            sizes.put(track.id(), effort.size());
            segments.addAll(effort.segments());
            effort.times().forEach((key, millis) -> times.merge(key, millis, Long::sum));
        }
        addLaneTimes(times);
        addCorrections(times);
        return new Effort(sizes, segments, times);
    }

    private void addLaneTimes(Map<TimeKey, Long> times) {
        database.each(
                row -> {
                    Instant began = Instant.parse(row.getString(5));
                    if (period.holds(began)) {
                        TimeKey key = new TimeKey(
                                row.getLong(2),
                                row.getString(4),
                                period.day(began),
                                Activity.FILE_WORK,
                                row.getString(1),
                                row.getString(3),
                                false);
                        times.merge(key, row.getLong(6), Long::sum);
                    }
                },
                "select view, track, trip, who, began_at, active_ms from lane_visit");
    }

    private void addCorrections(Map<TimeKey, Long> times) {
        for (TimeLog.Correction each : timeLog.corrections()) {
            if (!each.withdrawn() && period.holds(each.day())) {
                times.merge(
                        new TimeKey(each.track(), each.who(), each.day(), each.activity(), "", "", true),
                        each.time().toMillis(),
                        Long::sum);
            }
        }
    }

    /** Goes through the journal of one track. */
    private final class TrackReader {
        private final Track track;
        private final Map<String, List<Stay>> stays = new HashMap<>();
        private final Map<String, Integer> visitedWords = new HashMap<>();
        private final List<SegmentWork> segments = new ArrayList<>();
        private final Map<TimeKey, Long> times = new HashMap<>();
        private Optional<Map<String, Integer>> wordsOfFile = Optional.empty();
        private String at = "";
        private int version;
        private String key = "";
        private SegmentStory story;

        TrackReader(Track track) {
            this.track = track;
        }

        TrackEffort read() {
            readVisits();
            database.each(
                    this::change,
                    "select step.version, key, kind, who, step.at, trip, target_before, state_before, origin_before,"
                            + " target_after, state_after, origin_after, words"
                            + " from step join change on change.step = step.id"
                            + " where track = ? and undone = 0 and step.at < ? order by step.version, key, change.rowid",
                    track.id(),
                    period.end().equals(Instant.MAX) ? "9" : period.end().toString());
            endStory();
            visitedOnly();
            TrackCounts counts = track.summary().counts();
            return new TrackEffort(
                    new Effort.Size(
                            counts.all(),
                            counts.words().stream().mapToInt(Integer::intValue).sum()),
                    segments,
                    times);
        }

        private void readVisits() {
            database.each(
                    row -> {
                        Instant began = Instant.parse(row.getString(4));
                        if (period.holds(began)) {
                            String place = row.getInt(1) + "\t" + row.getString(2);
                            stays.computeIfAbsent(place, any -> new ArrayList<>(1))
                                    .add(new Stay(row.getString(3), began, row.getLong(5)));
                            visitedWords.merge(place, row.getInt(6), Math::max);
                        }
                    },
                    "select version, key, who, began_at, active_ms, words from visit where track = ? order by id",
                    track.id());
        }

        private void change(ResultSet row) throws SQLException {
            String place = row.getInt(1) + "\t" + row.getString(2);
            if (!place.equals(at)) {
                endStory();
                at = place;
                version = row.getInt(1);
                key = row.getString(2);
                story = new SegmentStory(period.begin(), ContentCodec::read);
            }
            Instant when = Instant.parse(row.getString(5));
            if (!when.isBefore(period.end())) {
                // Within the second of its end; the database compares what is written.
                return;
            }
            StepKind kind = StepKind.valueOf(row.getString(3));
            Optional<Trip> trip = Optional.ofNullable(trips.get(row.getString(6)));
            boolean translated = kind == StepKind.TAKEN
                    && trip.filter(each -> each.purpose() == Purpose.TRANSLATION)
                            .isPresent();
            story.tell(new SegmentStory.Change(
                    when,
                    trip.map(Trip::person).orElse(row.getString(4)),
                    translated || PREPARING.contains(kind),
                    row.getString(7),
                    State.valueOf(row.getString(8)),
                    row.getString(9),
                    row.getString(10),
                    State.valueOf(row.getString(11)),
                    row.getString(12),
                    translated ? trip.get().person() : "",
                    row.getInt(13)));
        }

        private void endStory() {
            if (story == null) {
                return;
            }
            List<Stay> here = stays.remove(at);
            if (story.isWork() || here != null) {
                end(story, here == null ? List.of() : here, at);
            }
            story = null;
        }

        private void end(SegmentStory told, List<Stay> here, String place) {
            int words = Math.max(told.words(), visitedWords.getOrDefault(place, -1));
            SegmentWork work = told.end(
                    track.id(),
                    version,
                    key,
                    words >= 0 ? words : wordsOfFile(key),
                    here.stream().mapToLong(Stay::millis).sum());
            segments.add(work);
            for (Stay stay : here) {
                times.merge(
                        new TimeKey(track.id(), stay.who(), period.day(stay.began()), work.activity(), "", "", false),
                        stay.millis(),
                        Long::sum);
            }
        }

        /** Segments that somebody was at and left as they were. */
        private void visitedOnly() {
            stays.forEach((place, here) -> {
                int tab = place.indexOf('\t');
                version = Integer.parseInt(place.substring(0, tab));
                key = place.substring(tab + 1);
                end(new SegmentStory(period.begin(), ContentCodec::read), here, place);
            });
        }

        /** Of the version of today; 0 for a segment that is no more. */
        private int wordsOfFile(String of) {
            if (wordsOfFile.isEmpty()) {
                Map<String, Integer> words = new HashMap<>();
                TrackSnapshot now = track.now();
                for (int i = 0; i < now.size(); i++) {
                    words.put(now.segment(i).key(), now.words(i));
                }
                wordsOfFile = Optional.of(words);
            }
            return wordsOfFile.get().getOrDefault(of, 0);
        }
    }
}
