package org.swaplane.lane;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import org.swaplane.effort.Activity;
import org.swaplane.effort.Visit;

/** Time that is not spent at segments: in the lane's other views, and what people correct by hand. */
public final class TimeLog {
    private final Database database;
    private final Clock clock;
    private final LaneWriter writer;
    private final LaneSettings settings;

    TimeLog(Database database, Clock clock, LaneWriter writer, LaneSettings settings) {
        this.database = database;
        this.clock = clock;
        this.writer = writer;
        this.settings = settings;
    }

    /**
     * Time that somebody added or took off.
     *
     * @param track 0 for the lane as a whole
     * @param time below zero where it is taken off
     * @param withdrawn whether it does not count any more; it stays to be seen
     */
    public record Correction(
            long id,
            long track,
            LocalDate day,
            String who,
            Activity activity,
            Duration time,
            String reason,
            String madeBy,
            Instant at,
            boolean withdrawn) {}

    /** Whether time is recorded in this lane at all. */
    public boolean isRecorded() {
        return Boolean.parseBoolean(settings.detail(LaneDetail.RECORD_TIME));
    }

    /**
     * Notes that somebody was in a view of the lane.
     *
     * @param track that was chosen there, as far as one was
     * @param trip whose return was looked at; empty for none
     */
    public CompletableFuture<Void> visited(String view, Optional<Track> track, String trip, Visit visit) {
        String who = settings.person();
        return writer.submit(transaction -> {
            if (isRecorded()) {
                database.update(
                        "insert into lane_visit (view, track, trip, who, began_at, ended_at, active_ms)"
                                + " values (?, ?, ?, ?, ?, ?, ?)",
                        view,
                        track.map(Track::id).orElse(null),
                        trip,
                        who,
                        visit.began().toString(),
                        visit.ended().toString(),
                        visit.active().toMillis());
            }
            return null;
        });
    }

    /** Adds time by hand, or takes some off; {@code track} is empty for the lane as a whole. */
    public CompletableFuture<Void> correct(
            Optional<Track> track, LocalDate day, String who, Activity activity, Duration time, String reason) {
        String madeBy = settings.person();
        return writer.submit(transaction -> {
            database.update(
                    "insert into time_correction (track, day, who, activity, ms, reason, made_by, at)"
                            + " values (?, ?, ?, ?, ?, ?, ?, ?)",
                    track.map(Track::id).orElse(null),
                    day.toString(),
                    who,
                    activity.name(),
                    time.toMillis(),
                    reason,
                    madeBy,
                    clock.instant().toString());
            return null;
        });
    }

    /** Lets a correction count no more, or again. */
    public CompletableFuture<Void> withdraw(Correction correction, boolean withdrawn) {
        return writer.submit(transaction -> {
            database.update("update time_correction set withdrawn = ? where id = ?", withdrawn, correction.id());
            return null;
        });
    }

    /** All that was corrected, oldest first. */
    public List<Correction> corrections() {
        return database.query(
                row -> new Correction(
                        row.getLong("id"),
                        row.getLong("track"),
                        LocalDate.parse(row.getString("day")),
                        row.getString("who"),
                        Activity.valueOf(row.getString("activity")),
                        Duration.ofMillis(row.getLong("ms")),
                        row.getString("reason"),
                        row.getString("made_by"),
                        Instant.parse(row.getString("at")),
                        row.getBoolean("withdrawn")),
                "select * from time_correction order by day, id");
    }
}
