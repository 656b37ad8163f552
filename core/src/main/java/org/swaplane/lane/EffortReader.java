package org.swaplane.lane;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
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
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/**
 * Computes what a lane took from its journal: its changes go by once, in their order; of the texts of a track, the first and the newest of
 * each segment are held while it is read. Files
 * are read only for words that the journal of an earlier version does not tell.
 */
final class EffortReader {
    /** What only makes the text that somebody is to work at. */
    private static final Set<StepKind> PREPARING = Set.of(
            StepKind.FILLED,
            StepKind.DRAFTED,
            StepKind.PROPOSED,
            StepKind.CLEARED,
            StepKind.LOCKED,
            StepKind.UNLOCKED,
            StepKind.RESEGMENTED,
            StepKind.NEW_VERSION);

    /** So many characters of ISO 8601 name a minute. */
    private static final int MINUTE = "2026-11-18T10:00".length();

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

    /** What many changes have in common. */
    private record Manner(boolean prepares, String who, String translator, State state, int words, String origin) {}

    /** What the file of today says of a segment. */
    private record InFile(int words, boolean empty) {
        static final InFile GONE = new InFile(0, false);
    }

    /** A segment of a version. */
    private record Place(int version, String key) {}

    /** Time at a segment by who and which day. */
    private record Stay(String who, LocalDate day, long millis) {}

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

    /** Kind, trip, person, state, words and origin of a change, parted by unit separators. */
    private Manner manner(String written) {
        String[] parts = written.split("\u001F", 6);
        StepKind kind = StepKind.valueOf(parts[0]);
        Optional<Trip> trip = Optional.ofNullable(trips.get(parts[1]));
        boolean translated = kind == StepKind.TAKEN
                && trip.filter(each -> each.purpose() == Purpose.TRANSLATION).isPresent();
        return new Manner(
                translated || PREPARING.contains(kind),
                trip.map(Trip::person).orElse(parts[2]),
                translated ? trip.get().person() : "",
                State.valueOf(parts[3]),
                Integer.parseInt(parts[4]),
                parts[5]);
    }

    private static boolean isFilled(String origin) {
        Origin.Kind kind = Origin.of(origin).kind();
        return kind == Origin.Kind.MEMORY || kind == Origin.Kind.DRAFT;
    }

    /** Whether time at a track is spoken of; that of the lane as a whole always is. */
    private boolean isMeant(long track) {
        return track == 0 || tracks.stream().anyMatch(each -> each.id() == track);
    }

    private void addLaneTimes(Map<TimeKey, Long> times) {
        database.each(
                row -> {
                    Instant began = Instant.parse(row.getString(5));
                    if (period.holds(began) && isMeant(row.getLong(2))) {
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
            if (!each.withdrawn() && period.holds(each.day()) && isMeant(each.track())) {
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
        private final Map<Place, List<Stay>> stays = new LinkedHashMap<>();
        private final Map<Place, Integer> visitedWords = new HashMap<>();
        private final Map<Place, Boolean> emptyWhenVisited = new HashMap<>();
        private final List<SegmentWork> segments = new ArrayList<>();
        private final Map<TimeKey, Long> times = new HashMap<>();
        private final Map<String, LocalDate> days = new HashMap<>();
        private final Map<String, Manner> manners = new HashMap<>();
        private Optional<Map<String, InFile>> inFile = Optional.empty();
        private final Map<Place, SegmentStory> stories = new LinkedHashMap<>();

        TrackReader(Track track) {
            this.track = track;
        }

        TrackEffort read() {
            readVisits();
            database.each(
                    this::change,
                    // Reading a column takes longer than reading a long one: what is often the same is read as one.
                    "select step.version, key, target_after, kind || char(31) || trip || char(31) || who || char(31)"
                            + " || state_after || char(31) || words || char(31) || origin_after,"
                            + " step.at, target_before, state_before, origin_before"
                            + " from step join change on change.step = step.id"
                            + " where track = ? and undone = 0 and " + SqlInstant.of("step.at")
                            + " < ? order by step.id, change.rowid",
                    track.id(),
                    SqlInstant.value(period.end()));
            stories.forEach((place, story) -> end(place, story));
            // What is left was visited, and nothing was done.
            List.copyOf(stays.keySet()).forEach(place -> end(place, begin()));
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
                        LocalDate day = day(row.getString(4));
                        if (period.holds(day)) {
                            Place place = new Place(row.getInt(1), row.getString(2));
                            stays.computeIfAbsent(place, any -> new ArrayList<>(1))
                                    .add(new Stay(row.getString(3), day, row.getLong(5)));
                            visitedWords.merge(place, row.getInt(6), Math::max);
                            if (row.getInt(7) >= 0) {
                                emptyWhenVisited.putIfAbsent(place, row.getInt(7) > 0);
                            }
                        }
                    },
                    "select version, key, who, began_at, active_ms, words, target_empty from visit where track = ?"
                            + " order by id",
                    track.id());
        }

        /** The day of a moment; of all moments of a minute it is the same one. */
        private LocalDate day(String at) {
            return days.computeIfAbsent(at.substring(0, MINUTE), any -> period.day(Instant.parse(at)));
        }

        private SegmentStory begin() {
            return new SegmentStory(ContentCodec::read, EffortReader::isFilled);
        }

        private void change(ResultSet row) throws SQLException {
            boolean earlier = false;
            if (period.to().isPresent() || period.from().isPresent()) {
                Instant at = Instant.parse(row.getString(5));
                if (!at.isBefore(period.end())) {
                    // Within the second of its end; the database compares what is written.
                    return;
                }
                earlier = at.isBefore(period.begin());
            }
            Manner manner = manners.computeIfAbsent(row.getString(4), EffortReader.this::manner);
            SegmentStory story = stories.computeIfAbsent(new Place(row.getInt(1), row.getString(2)), any -> begin());
            // What stood there before is known but for the first time; reading it again would take long.
            Optional<String> known = story.now();
            story.tell(new SegmentStory.Change(
                    earlier,
                    manner.who(),
                    manner.prepares(),
                    known.isPresent() ? known.get() : row.getString(6),
                    known.isPresent() ? State.INITIAL : State.valueOf(row.getString(7)),
                    known.isPresent() ? "" : row.getString(8),
                    row.getString(3),
                    manner.state(),
                    manner.origin(),
                    manner.translator(),
                    manner.words()));
        }

        private void end(Place place, SegmentStory story) {
            List<Stay> here = stays.remove(place);
            if (here == null && !story.isWork()) {
                return;
            }
            List<Stay> times = here == null ? List.of() : here;
            int words = Math.max(story.words(), visitedWords.getOrDefault(place, -1));
            SegmentWork work = story.end(
                    track.id(),
                    place.version(),
                    place.key(),
                    words >= 0 ? words : ofFile(place.key()).words(),
                    story.now().isPresent() ? SegmentWork.Beginning.TRANSLATED : beginning(place),
                    times.stream().mapToLong(Stay::millis).sum());
            segments.add(work);
            for (Stay stay : times) {
                this.times.merge(
                        new TimeKey(track.id(), stay.who(), stay.day(), work.activity(), "", "", false),
                        stay.millis(),
                        Long::sum);
            }
        }

        /** Where nothing was changed; lanes of earlier versions did not note it, so that the file has to say it. */
        private SegmentWork.Beginning beginning(Place place) {
            Boolean noted = emptyWhenVisited.get(place);
            boolean empty = noted != null ? noted : ofFile(place.key()).empty();
            return empty ? SegmentWork.Beginning.EMPTY : SegmentWork.Beginning.TRANSLATED;
        }

        /** Of the version of today; nothing for a segment that is no more. */
        private InFile ofFile(String key) {
            if (inFile.isEmpty()) {
                inFile = Optional.of(readFile());
            }
            return inFile.get().getOrDefault(key, InFile.GONE);
        }

        /** Nothing of a file that cannot be read now; what was done in it is told all the same. */
        private Map<String, InFile> readFile() {
            Map<String, InFile> segments = new HashMap<>();
            boolean wasLoaded = track.loaded().isPresent();
            try {
                TrackSnapshot now = track.now();
                for (int i = 0; i < now.size(); i++) {
                    segments.put(
                            now.segment(i).key(),
                            new InFile(now.words(i), now.target(i).isEmpty()));
                }
            } catch (CannotProceedException e) {
                // The board says it of the track.
                segments.clear();
            }
            if (!wasLoaded) {
                track.unload();
            }
            return segments;
        }
    }
}
